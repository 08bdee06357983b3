<?php

declare(strict_types=1);

namespace App\People;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Where the firm requires two-step sign-in, a planner without it can do nothing else before setting it up. */
final readonly class AsksForCode
{
    private const OPEN = ['account', 'account.*', 'logout', 'entries.who', 'policy-report'];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        return $request->user() !== null && $request->session()->has(Arrival::CODE_DUE)
            && ! $request->routeIs(self::OPEN)
            ? redirect()->to(route('account').'#code')
                ->with('said', 'Your firm requires planners to use two-step sign-in. Set it up here.')
            : $next($request);
    }
}
