<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use App\Support\Controller;
use Illuminate\Contracts\View\View;
use Illuminate\Foundation\Auth\AuthenticatesUsers;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class LoginController extends Controller
{
    use AuthenticatesUsers;

    public function showLoginForm(): View
    {
        return view('auth.sign-in');
    }

    /** Whoever only opened the door, and asked for no page in particular, is taken to where the day begins. */
    protected function authenticated(Request $request, User $user): RedirectResponse
    {
        $asked = $request->session()->pull('url.intended');

        return redirect()->to(is_string($asked) && $asked !== url('/') ? $asked : $user->home());
    }
}
