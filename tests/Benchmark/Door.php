<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use App\Ground\Models\User;
use App\Ground\Support\OwnToken;
use Closure;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * The product's own front door, without a network before it: whoever asks is signed in, and each request is a new one.
 */
final readonly class Door
{
    /** Forms need no token here: it is not the doors that are tried. */
    public static function unlock(Application $app): void
    {
        $app->bind(OwnToken::class, static fn (): object => new class
        {
            public function handle(Request $request, Closure $next): mixed
            {
                return $next($request);
            }
        });
    }

    public static function knock(Application $app, Request $request, ?User $who): Response
    {
        $app->forgetScopedInstances();
        $auth = $app->make('auth');
        $auth->forgetGuards();
        // A request to the API before made its guard the usual one.
        $auth->shouldUse('web');
        $app->make('session')->driver()->flush();
        $app->instance('request', $request);
        if ($who !== null) {
            $auth->guard()->setUser($who);
        }
        $kernel = $app->make(Kernel::class);
        $response = $kernel->handle($request);
        $kernel->terminate($request, $response);

        return $response;
    }
}
