<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Sends pages compressed to whoever can read them so: a fifth of the way over a weak signal. Sign-in cookies are not
 * sent along with requests that another site causes (SameSite), so that lengths tell nobody anything.
 */
final class Compressed
{
    /** Shorter answers gain nothing. */
    private const LEAST = 1024;

    private const LEVEL = 7;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        $body = $response->getContent();
        if (
            $body === false
            || strlen($body) < self::LEAST
            || $response->headers->has('Content-Encoding')
            || ! in_array('gzip', $request->getEncodings(), true)
        ) {
            return $response;
        }
        $short = gzencode($body, self::LEVEL);
        if ($short !== false) {
            $response->setContent($short);
            $response->headers->set('Content-Encoding', 'gzip');
            $response->headers->set('Content-Length', (string) strlen($short));
            $response->setVary('Accept-Encoding', false);
        }

        return $response;
    }
}
