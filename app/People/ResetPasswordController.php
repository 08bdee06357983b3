<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use App\Support\Asked;
use App\Support\Controller;
use Illuminate\Contracts\View\View;
use Illuminate\Foundation\Auth\ResetsPasswords;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

final class ResetPasswordController extends Controller
{
    use ResetsPasswords;

    public function showResetForm(Request $request, string $token): View
    {
        return view('auth.reset-password', ['token' => $token, 'email' => Asked::text($request, 'email')]);
    }

    protected function redirectTo(): string
    {
        $user = Auth::user();

        return $user instanceof User ? $user->home() : '/';
    }
}
