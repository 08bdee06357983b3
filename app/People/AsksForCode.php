<?php

declare(strict_types=1);

namespace App\People;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Where the firm asks its planners for a code, one who has none yet sets it up before anything else. */
final readonly class AsksForCode
{
    private const OPEN = ['account', 'account.*', 'logout', 'entries.who', 'policy-report'];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        return $request->user() !== null && $request->session()->has(Arrival::CODE_DUE)
            && ! $request->routeIs(self::OPEN)
            ? redirect()->to(route('account').'#code')
                ->with('said', 'The firm asks its planners for a code besides the password: set yours up here.')
            : $next($request);
    }
}
