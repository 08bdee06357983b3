<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** What a browser may do with our pages: run and show what ships with the product, and nothing else. */
final readonly class SafeHeaders
{
    private const POLICY = [
        // Pictures that wait on a phone are blobs; the signs of form fields are data.
        "default-src 'self'", "img-src 'self' data: blob:", "object-src 'none'", "base-uri 'self'",
        "form-action 'self'", "frame-ancestors 'none'", 'report-uri /policy-report',
    ];

    /** A year, in seconds. */
    private const TLS_ONLY = 31_536_000;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        $response->headers->add([
            'Content-Security-Policy' => implode('; ', self::POLICY),
            'X-Frame-Options' => 'DENY',
            'X-Content-Type-Options' => 'nosniff',
            'Referrer-Policy' => 'same-origin',
            'Permissions-Policy' => 'camera=(self), geolocation=(), microphone=(), payment=(), usb=()',
        ]);
        if ($request->isSecure()) {
            $response->headers->set('Strict-Transport-Security', 'max-age='.self::TLS_ONLY);
        }

        return $response;
    }
}
