<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Exception\SuspiciousOperationException;
use Symfony\Component\HttpFoundation\Response;

/** Answers only under the names the product is known by: links made for another name would lead people astray. */
final readonly class OwnHost
{
    /** Whoever asks by these sits at the machine itself, or at a proxy on it. */
    private const HERE = ['localhost', '127.0.0.1', '[::1]'];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        try {
            $host = $request->getHost();
        } catch (SuspiciousOperationException) {
            abort(400);
        }
        abort_unless(in_array($host, self::known(), true), 400);
        // "Back" follows the referrer only to our own pages.
        if (self::cameFrom($request) !== strtolower((string) $request->headers->get('Host'))) {
            $request->headers->remove('Referer');
        }

        return $next($request);
    }

    /** Host and port of the referrer. */
    private static function cameFrom(Request $request): string
    {
        $from = parse_url((string) $request->headers->get('Referer'));
        $from = is_array($from) ? $from : [];

        return strtolower(($from['host'] ?? '').(isset($from['port']) ? ":{$from['port']}" : ''));
    }

    /** @return list<string> */
    private static function known(): array
    {
        $own = parse_url((string) config('app.url'), PHP_URL_HOST);
        $more = config('hook.hosts');

        return [
            ...self::HERE, ...(is_string($own) ? [$own] : []),
            ...array_filter(array_map(trim(...), explode(',', is_string($more) ? $more : ''))),
        ];
    }
}
