<?php

declare(strict_types=1);

namespace App\Io\Api;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Every answer of the API is JSON, whatever the program says it accepts; 401 names the scheme (RFC 6750). */
final readonly class AnswersInJson
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $request->headers->set('Accept', 'application/json');
        $response = $next($request);
        if ($response->getStatusCode() === Response::HTTP_UNAUTHORIZED) {
            $response->headers->set('WWW-Authenticate', 'Bearer realm="Pruning Hook"');
        }

        return $response;
    }
}
