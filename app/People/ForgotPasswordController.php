<?php

declare(strict_types=1);

namespace App\People;

use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class ForgotPasswordController extends Controller
{
    public function showLinkRequestForm(): View
    {
        return view('auth.forgot-password');
    }

    /** The same answer, and as soon, whether the address is known or not: who works here is nobody's business. */
    public function sendResetLinkEmail(Request $request): RedirectResponse
    {
        $this->validate($request, ['email' => ['required', 'string', 'email']], [
            'email.*' => 'Type the address you sign in with.',
        ]);
        SendResetLetter::dispatch(Asked::text($request, 'email'));

        return back()->with('status', 'If somebody signs in with that address, a letter is on its way to it.');
    }
}
