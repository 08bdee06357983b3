<?php

declare(strict_types=1);

namespace App\Providers;

use App\Bench\Exercises;
use App\Bridge\CorePlants;
use App\Bridge\ReadsRain;
use App\Clients\ClientLinks;
use App\Due\SeenRevision;
use App\Due\SignsToWeigh;
use App\Due\Watch;
use App\Integrations\TokenUse;
use App\People\NotesSignIns;
use App\PlantBook\OwnKinds;
use App\PlantBook\PlantBookFiles;
use App\Post\CallsOut;
use App\Post\HttpCalls;
use App\Post\SimulatedMail;
use App\Post\SimulatedTexts;
use App\Post\TextMessages;
use App\Post\WebhookEvents;
use App\Support\AtomicFileSessionHandler;
use App\Support\BrokenDatabase;
use App\Support\Heartbeat;
use App\Support\KeptPictures;
use App\Support\PostgresConnection;
use App\Support\SqliteConnection;
use App\Support\Today;
use App\Weather\RainRead;
use App\Weather\SimulatedStation;
use App\Weather\WeatherStation;
use Illuminate\Contracts\Database\LostConnectionDetector;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Connection;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Mail\MailManager;
use Illuminate\Queue\Events\Looping;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\ServiceProvider;
use PruningHook\Core\PlantBook\PlantBook;

final class AppServiceProvider extends ServiceProvider
{
    public function boot(): void
    {
        // A firm whose days begin at no known hour does not start: every window would be off by one.
        Today::zone();
        Watch::start();
        $this->optimizes('plant-book:compile', key: 'plant book');
        Event::listen(Looping::class, static fn () => Heartbeat::beat(Heartbeat::WORKER));
        Session::extend('file', static fn (): AtomicFileSessionHandler => new AtomicFileSessionHandler(
            new Filesystem(), Config::string('session.files'), Config::integer('session.lifetime'),
        ));
        NotesSignIns::start();
        ClientLinks::start();
        TokenUse::start();
        WebhookEvents::start();
        RateLimiter::for('api', TokenUse::limit(...));
        $this->callAfterResolving(
            'mail.manager', static fn (MailManager $mail) => $mail->extend('post', static fn () => new SimulatedMail),
        );
        $proxies = config('hook.proxies');
        TrustProxies::at(array_values(array_filter(explode(',', is_string($proxies) ? $proxies : ''))));
    }

    public function register(): void
    {
        Connection::resolverFor('sqlite', static fn (mixed ...$of): SqliteConnection => new SqliteConnection(...$of));
        Connection::resolverFor(
            'pgsql', static fn (mixed ...$of): PostgresConnection => new PostgresConnection(...$of),
        );
        $this->app->singleton(LostConnectionDetector::class, BrokenDatabase::class);
        config(['mail.mailers.post' => ['transport' => 'post']]);
        $this->app->bind(TextMessages::class, SimulatedTexts::class);
        $this->app->bind(CallsOut::class, HttpCalls::class);
        $this->app->scoped(WebhookEvents::class);
        $this->app->scoped(SeenRevision::class);
        $this->app->scoped(SignsToWeigh::class);
        $this->app->scoped(CorePlants::class);
        $this->app->scoped(Exercises::class);
        $this->app->bind(ReadsRain::class, RainRead::class);
        $this->app->singleton(WeatherStation::class, SimulatedStation::class);
        $this->app->singleton(
            PlantBookFiles::class,
            static fn (): PlantBookFiles => new PlantBookFiles(base_path('plant-book'), storage_path('framework')),
        );
        $this->app->scoped(
            KeptPictures::class,
            static fn (Application $app): KeptPictures => new KeptPictures(
                $app->make(Filesystem::class), storage_path('framework/pictures'),
            ),
        );
        $this->app->scoped(
            PlantBook::class,
            static function (Application $app): PlantBook {
                // Before the kinds are read: whoever corrects one meanwhile is then not overlooked.
                $app->make(SeenRevision::class);

                return $app->make(PlantBookFiles::class)->read(OwnKinds::inForce());
            },
        );
    }
}
