<?php

declare(strict_types=1);

namespace App\People;

use App\Support\Controller;
use Illuminate\Contracts\View\View;
use Illuminate\Foundation\Auth\SendsPasswordResetEmails;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class ForgotPasswordController extends Controller
{
    use SendsPasswordResetEmails;

    private const SENT = 'If somebody signs in with that address, a letter is on its way to it.';

    public function showLinkRequestForm(): View
    {
        return view('auth.forgot-password');
    }

    /**
     * Whoever has left gets no letter.
     *
     * @return array<string, mixed>
     */
    protected function credentials(Request $request): array
    {
        return [...$request->only('email'), 'left_on' => null];
    }

    /** The same answer whether the address is known or not: who works here is nobody's business. */
    protected function sendResetLinkResponse(): RedirectResponse
    {
        return back()->with('status', self::SENT);
    }

    protected function sendResetLinkFailedResponse(): RedirectResponse
    {
        return back()->with('status', self::SENT);
    }
}
