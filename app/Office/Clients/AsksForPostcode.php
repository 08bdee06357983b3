<?php

declare(strict_types=1);

namespace App\Office\Clients;

use App\Ground\Models\ClientLink;
use App\Ground\Support\Asked;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Symfony\Component\HttpFoundation\Response;

/** A client's page whose garden has a postcode opens once that is entered: a letter gone astray shows nothing. */
final readonly class AsksForPostcode
{
    private const TRIES = 10;

    private const WHILE_S = 3600;

    public function __construct(private ClientLinks $links)
    {
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $token = $request->route('token');
        $link = $this->links->named(is_string($token) ? $token : '');
        $postcode = self::plain((string) $link->garden->postcode);
        if ($postcode === '' || $request->session()->get("client-$link->id") === $postcode) {
            return $next($request);
        }
        $wrong = null;
        if ($request->isMethod('POST') && $request->has('postcode')) {
            $wrong = self::wrong($link, $postcode, Asked::text($request, 'postcode'));
            if ($wrong === null) {
                $request->session()->put("client-$link->id", $postcode);

                return redirect()->to(route('client', $token, false));
            }
        }

        return response()->view(
            'clients.postcode', ['token' => $token, 'wrong' => $wrong], $wrong === null ? 200 : 422,
        )->withHeaders(['Cache-Control' => 'no-store']);
    }

    private static function wrong(ClientLink $link, string $postcode, string $said): ?string
    {
        $tries = "postcode|$link->id";
        if (RateLimiter::tooManyAttempts($tries, self::TRIES)) {
            return 'Too many attempts. Try again in an hour, or telephone us.';
        }
        // Counted before it is checked, so that parallel requests are limited too.
        RateLimiter::hit($tries, self::WHILE_S);
        if (! hash_equals($postcode, self::plain($said))) {
            return 'That is not the postcode we have for this garden.';
        }
        RateLimiter::clear($tries);

        return null;
    }

    /** As it is compared: however it is spaced or written. */
    private static function plain(string $postcode): string
    {
        return mb_strtoupper((string) preg_replace('/[^\p{L}\p{N}]+/u', '', $postcode));
    }
}
