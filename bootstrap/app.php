<?php

declare(strict_types=1);

use App\Ground\Models\ClientLink;
use App\Ground\Models\Device;
use App\Ground\Models\Import;
use App\Ground\Models\Letter;
use App\Ground\Models\Photo;
use App\Ground\Models\PinBrowser;
use App\Ground\Models\WebhookDelivery;
use App\Ground\Support\Busy;
use App\Ground\Support\CannotWrite;
use App\Ground\Support\Compressed;
use App\Ground\Support\Failures;
use App\Ground\Support\Heartbeat;
use App\Ground\Support\KeepsSession;
use App\Ground\Support\KeptPictures;
use App\Ground\Support\OwnHost;
use App\Ground\Support\OwnToken;
use App\Ground\Support\SafeHeaders;
use App\Ground\Support\SentOnce;
use App\Ground\Support\SetBackClock;
use App\Ground\Support\SoundText;
use App\Ground\Support\Today;
use App\Io\Api\AnswersInJson;
use App\Io\Webhooks\DeliverWebhook;
use App\People\AsksForCode;
use App\People\EndsStaleSessions;
use App\Season\Due\RenewDue;
use Illuminate\Console\Scheduling\Schedule;
use Illuminate\Contracts\Debug\ExceptionHandler;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Foundation\ViteException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\View\ViewException;
use Laravel\Sanctum\Http\Middleware\CheckForAnyAbility;
use PruningHook\Core\Fault;

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        api: __DIR__.'/../routes/api.php',
        apiPrefix: 'api/v1',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // Same-origin only, and the package it needs is one of those replaced (packages/README.md).
        $middleware->remove(HandleCors::class);
        $middleware->prepend([SafeHeaders::class, OwnHost::class]);
        $middleware->append(Compressed::class);
        $middleware->web(append: [EndsStaleSessions::class, AsksForCode::class, SoundText::class, SentOnce::class], replace: [
            StartSession::class => KeepsSession::class, ValidateCsrfToken::class => OwnToken::class,
        ]);
        $middleware->api(prepend: [AnswersInJson::class], append: [SoundText::class]);
        $middleware->alias(['scope' => CheckForAnyAbility::class]);
        $middleware->redirectGuestsTo('/sign-in');
        $middleware->redirectUsersTo(static fn (Request $request): string => $request->user()?->home() ?? '/');
    })
    ->withSchedule(static function (Schedule $schedule): void {
        // At an hour that every night has, also where clocks are put forward; whoever runs the office carries the files
        // elsewhere.
        $schedule->command('backup')->dailyAt('04:40')->timezone(Today::zone());
        $schedule->call(static function (): void {
            SetBackClock::mend();
            Heartbeat::beat(Heartbeat::SCHEDULER);
        })->name('heartbeat')->everyMinute();
        $schedule->call(Photo::forgetStray(...))->name('stray pictures')->dailyAt('05:10')->timezone(Today::zone());
        $schedule->call(Import::forgetStray(...))->name('stray files')->dailyAt('05:20')->timezone(Today::zone());
        // Rain that has fallen, days that come into sight, and the eve of a midwinter: done before they are looked at.
        $schedule->call(RenewDue::ask(...))->name('what is due')->hourly();
        $schedule->call(static fn (KeptPictures $pictures) => $pictures->tidy())->name('old pictures')
            ->dailyAt('04:50')->timezone(Today::zone());
        $schedule->call(ClientLink::forgetOld(...))->name('old client links')->dailyAt('05:15')
            ->timezone(Today::zone());
        $schedule->call(Letter::forgetSecrets(...))->name('links in letters')->dailyAt('05:25')
            ->timezone(Today::zone());
        $schedule->command('retention')->dailyAt('05:45')->timezone(Today::zone());
        $schedule->command('sanctum:prune-expired --hours=720')->name('old tokens')->dailyAt('05:30')
            ->timezone(Today::zone());
        $schedule->call(DeliverWebhook::sendWaiting(...))->name('webhooks')->everyMinute();
        $schedule->call(WebhookDelivery::forgetOld(...))->name('old webhook deliveries')->dailyAt('05:35')
            ->timezone(Today::zone());
        $schedule->call(PinBrowser::forgetOld(...))->name('old PINs')->dailyAt('05:40')->timezone(Today::zone());
        $schedule->call(Device::forgetOld(...))->name('old devices')->dailyAt('05:00')->timezone(Today::zone());
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->shouldRenderJsonWhen(
            static fn (Request $request) => $request->is('api/*') || $request->expectsJson(),
        );
        $exceptions->dontFlash(['password', 'password_confirmation']);
        // What the core refuses is said in its own words, wherever a page had none better: no plant is an error of
        // ours.
        $exceptions->render(static fn (Fault $fault, Request $request) => $request->expectsJson()
            ? new JsonResponse(['message' => ucfirst($fault->getMessage()).'.'], 422)
            : response()->view('errors.fault', ['says' => ucfirst($fault->getMessage()).'.'], 422));
        $exceptions->dontReport(Fault::class);
        $exceptions->render(static fn (QueryException|PDOException $thrown, Request $request) => Busy::is($thrown)
            ? Busy::answer($request)
            : null);
        $exceptions->render(
            static fn (Throwable $thrown, Request $request) => CannotWrite::answer($thrown, $request),
        );
        // The installation is not complete: that is said to whoever opens the first page of it.
        $exceptions->render(static function (ViewException|ViteException $thrown) {
            for ($cause = $thrown; $cause instanceof ViewException; $cause = $cause->getPrevious());

            return $cause instanceof ViteException ? response()->view('errors.unbuilt', [], 503) : null;
        });
    })
    ->create();
$app->singleton(ExceptionHandler::class, Failures::class);

return $app;
