<?php

declare(strict_types=1);

namespace App\Io\Api;

use App\Ground\History\SecurityLog;
use App\Ground\Models\AccessToken;
use App\Ground\Models\Firm;
use App\Ground\Models\SecurityEventKind;
use App\Ground\Models\TokenScope;
use App\Ground\Models\User;
use App\Ground\Policies\CurrentPassword;
use App\Ground\Support\Controller;
use App\Ground\Support\SentOnce;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rule;

/** Tokens with which programs read the API in a planner's name. */
final class TokenController extends Controller
{
    /** For how long a token lasts, by days. */
    public const DAYS = [30 => '30 days', 90 => '90 days', 365 => '365 days'];

    private const MOST = 50;

    public function store(Request $request, CurrentPassword $password): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        /** @var User $person nobody comes here who is not signed in */
        $person = $request->user();
        $this->validate($request, [
            'name' => ['required', 'string', 'max:80', static function ($field, $value, $fail) use ($person): void {
                $person->tokens()->count() < self::MOST ?: $fail('You have 50 tokens. Revoke one first.');
            }],
            'days' => ['required', Rule::in(array_keys(self::DAYS))],
            'scopes' => ['required', 'array'],
            'scopes.*' => [Rule::enum(TokenScope::class)],
        ], [
            'name.required' => 'Name the program that will use it.',
            'days.*' => 'Choose when it expires.',
            'scopes.required' => 'Choose at least one thing it may read.',
            'scopes.*' => 'Choose from the list.',
        ]);
        $password->hold($request, 'current');

        return SentOnce::write(static function () use ($request, $person): RedirectResponse {
            $name = $request->string('name')->trim()->toString();
            $token = $person->createToken(
                $name, array_values($request->array('scopes')), Carbon::now()->addDays($request->integer('days')),
            );
            SecurityLog::note(SecurityEventKind::TokenMade, says: $name);

            return redirect()->to(route('integrations').'#tokens')->with('token', $token->plainTextToken)
                ->with('said', 'Token created. Copy it now: it is shown only once.');
        });
    }

    /** Any planner revokes any token: whoever made it may be away. */
    public function destroy(AccessToken $accessToken): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        $accessToken->delete();
        SecurityLog::note(SecurityEventKind::TokenEnded, says: $accessToken->name);

        return redirect()->to(route('integrations').'#tokens')
            ->with('said', "Token revoked: $accessToken->name can no longer read anything.");
    }
}
