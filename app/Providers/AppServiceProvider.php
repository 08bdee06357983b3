<?php

declare(strict_types=1);

namespace App\Providers;

use App\Exercise\Exercises;
use App\Ground\Bridge\CorePlants;
use App\Ground\Bridge\ReadsRain;
use App\Ground\Models\User;
use App\Ground\Support\Asked;
use App\Ground\Support\AtomicFileSessionHandler;
use App\Ground\Support\BrokenDatabase;
use App\Ground\Support\Heartbeat;
use App\Ground\Support\KeptPictures;
use App\Ground\Support\PostgresConnection;
use App\Ground\Support\Say;
use App\Ground\Support\SqliteConnection;
use App\Ground\Support\Today;
use App\Io\Api\TokenUse;
use App\Io\Webhooks\CallsOut;
use App\Io\Webhooks\HttpCalls;
use App\Io\Webhooks\WebhookEvents;
use App\Knowledge\OwnKinds;
use App\Knowledge\PlantBookFiles;
use App\Office\Clients\ClientLinks;
use App\Office\Messages\SimulatedMail;
use App\Office\Messages\SimulatedTexts;
use App\Office\Messages\TextMessages;
use App\People\NotesSignIns;
use App\Season\Due\SeenRevision;
use App\Season\Due\SignsToWeigh;
use App\Season\Due\Watch;
use App\Season\Weather\RainRead;
use App\Season\Weather\SimulatedStation;
use App\Season\Weather\WeatherStation;
use Illuminate\Contracts\Database\LostConnectionDetector;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Relations\Relation;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Foundation\AliasLoader;
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
        // Rows name what they belong to by a word, never by a class that may move.
        Relation::enforceMorphMap(['user' => User::class]);
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
        // What most views speak with. Never a model: a policy goes by the whole name of a class.
        AliasLoader::getInstance([
            'Asked' => Asked::class, 'Say' => Say::class, 'Today' => Today::class,
        ]);
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
