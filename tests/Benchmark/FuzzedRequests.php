<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use App\Ground\Models\Role;
use App\Ground\Models\User;
use Closure;
use Database\Seeders\DemoSeeder;
use Illuminate\Contracts\Console\Kernel as Console;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Bootstrap\LoadConfiguration;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\DB;
use Throwable;

/** Requests nobody means, over every route and as every role, to a firm made up for it in a database of its own. */
final readonly class FuzzedRequests
{
    public const ROLES = 4;

    private const DAY = '2027-03-08';

    /** An application serves so many requests and is then booted anew. */
    private const OF_ONE = 100;

    /** Looked at after a write that was taken: what was kept must be shown. */
    private const AFTER = ['/', '/gardens', '/plan', '/round', '/record', '/plant-book', '/crews'];

    public function __construct(private int $seed)
    {
    }

    /** @param  Closure(string): mixed  $tell  each sort of fault once, with the request that showed it */
    public function send(int $requests, Closure $tell): Sent
    {
        $file = storage_path('bench/fuzz.sqlite');
        self::make($file);
        $sent = new Sent;
        $app = self::app($file);
        $routes = [];
        $odd = new OddInputs($this->seed);
        for ($number = 0; $number < $requests; $number++) {
            if ($number % self::OF_ONE === 0) {
                DB::disconnect();
                $app->flush();
                $app = self::app($file);
                /** @var non-empty-list<Route> $routes */
                $routes = array_values($app->make('router')->getRoutes()->getRoutes());
                $sent->routes = count($routes);
            }
            $role = $odd->oneOf([null, ...Role::cases()]);
            $who = $role === null ? null : User::query()->where('role', $role)->firstOrFail();
            $request = self::request($odd->oneOf($routes), $odd);
            DB::beginTransaction();
            if ($who !== null && $request->is('api/*')) {
                $token = $who->createToken('Odd', ['*'])->plainTextToken;
                $request->headers->set('Authorization', "Bearer $token");
            }
            $status = self::answer($app, $request, $who, $sent, $tell);
            $sent->statuses[$status] = ($sent->statuses[$status] ?? 0) + 1;
            if ($status === 302 && ! $request->isMethod('GET') && $odd->chance(30)) {
                self::answer($app, Request::create($odd->oneOf(self::AFTER)), $who, $sent, $tell, 'after it ');
            }
            while (DB::transactionLevel() > 0) {
                DB::rollBack();
            }
        }

        return $sent;
    }

    /** @param  Closure(string): mixed  $tell */
    private static function answer(
        Application $app,
        Request $request,
        ?User $who,
        Sent $sent,
        Closure $tell,
        string $when = '',
    ): int {
        $response = Door::knock($app, $request, $who);
        if ($response->getStatusCode() >= 500) {
            $thrown = $response instanceof Response || $response instanceof JsonResponse ? $response->exception : null;
            $what = $thrown === null ? 'nothing told' : sprintf(
                '%s: %s at %s', $thrown::class, strtok(mb_strimwidth($thrown->getMessage(), 0, 160), "\n"),
                self::place($thrown),
            );
            $key = $thrown === null ? $what : $thrown::class.self::place($thrown);
            $sent->faults[$key] = ($sent->faults[$key] ?? 0) + 1;
            if ($sent->faults[$key] === 1) {
                $tell(sprintf(
                    "%s%s %s as %s\n    %s\n    %s", $when, $request->method(), $request->path(),
                    $who->role->value ?? 'nobody', mb_strimwidth((string) json_encode(
                        $request->input(), JSON_INVALID_UTF8_SUBSTITUTE | JSON_UNESCAPED_UNICODE,
                    ), 0, 300, '...'), $what,
                ));
            }
        }

        return $response->getStatusCode();
    }

    /** Where in the product it happened. */
    private static function place(Throwable $thrown): string
    {
        foreach ([['file' => $thrown->getFile(), 'line' => $thrown->getLine()], ...$thrown->getTrace()] as $step) {
            $file = $step['file'] ?? '';
            if (! str_contains($file, '/vendor/') && ! str_contains($file, '/app/Bench/') && $file !== '') {
                return substr($file, strlen(base_path()) + 1).':'.($step['line'] ?? 0);
            }
        }

        return $thrown->getFile().':'.$thrown->getLine();
    }

    private static function request(Route $route, OddInputs $odd): Request
    {
        $path = (string) preg_replace_callback(
            '/\{(\w+)\??\}/', static fn (array $found): string => $odd->part($found[1]), $route->uri(),
        );
        $path = ltrim($path, '/');
        $methods = array_values(array_diff($route->methods(), ['HEAD']));
        $method = $odd->oneOf($methods === [] ? ['GET'] : $methods);
        $input = $odd->input((string) preg_replace('/^App.(\w+).*$/s', '$1', $route->getActionName()));
        $server = $odd->chance(30) ? ['HTTP_ACCEPT' => 'application/json'] : [];
        if ($method !== 'GET' && $odd->chance(25)) {
            $body = json_encode($input, JSON_INVALID_UTF8_SUBSTITUTE);
            $server['CONTENT_TYPE'] = 'application/json';

            return Request::create("/$path", $method, server: $server, content: $odd->chance(10)
                ? '{"entries": [' : (string) $body);
        }
        if ($method === 'GET') {
            // As it comes over the line: written out and read back.
            $query = http_build_query($input);

            return Request::create(mb_strlen($query) > 8000 ? "/$path" : "/$path?$query", 'GET', server: $server);
        }

        return Request::create("/$path", $method, $input, server: $server);
    }

    private static function app(string $file): Application
    {
        /** @var Application $app */
        $app = require base_path('bootstrap/app.php');
        $app->afterBootstrapping(LoadConfiguration::class, static fn (Application $app) => $app->make('config')->set([
            'database.connections.sqlite.database' => $file,
            'database.default' => 'sqlite',
            'session.driver' => 'array',
            'cache.default' => 'array',
            'queue.default' => 'null',
            'mail.default' => 'array',
            'logging.default' => 'null',
            'hook.today' => self::DAY,
        ]));
        Door::unlock($app);
        // Whoever asks who is signed in asks a request.
        $app->instance('request', Request::create('/'));
        $app->make(Kernel::class)->bootstrap();

        return $app;
    }

    private static function make(string $file): void
    {
        @mkdir(dirname($file), 0777, true);
        foreach (['', '-wal', '-shm'] as $part) {
            @unlink($file.$part);
        }
        touch($file);
        $app = self::app($file);
        $console = $app->make(Console::class);
        $console->call('migrate', ['--force' => true]);
        $console->call('db:seed', ['--class' => DemoSeeder::class, '--force' => true]);
        DB::disconnect();
        $app->flush();
    }
}
