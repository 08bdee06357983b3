<?php

declare(strict_types=1);

namespace App\Providers;

use App\Bridge\CorePlants;
use App\Bridge\WeighsSigns;
use App\Due\SignShifts;
use App\Due\Watch;
use App\PlantBook\OwnKinds;
use App\PlantBook\PlantBookFiles;
use App\Support\Today;
use App\Weather\SimulatedStation;
use App\Weather\WeatherStation;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Support\ServiceProvider;
use PruningHook\Core\PlantBook\PlantBook;

final class AppServiceProvider extends ServiceProvider
{
    public function boot(): void
    {
        // A firm whose days begin at no known hour does not start: every window would be off by one.
        Today::zone();
        Watch::start();
    }

    public function register(): void
    {
        $this->app->scoped(CorePlants::class);
        $this->app->bind(WeighsSigns::class, SignShifts::class);
        $this->app->singleton(WeatherStation::class, SimulatedStation::class);
        $this->app->singleton(
            PlantBookFiles::class,
            static fn (): PlantBookFiles => new PlantBookFiles(base_path('plant-book'), storage_path('framework')),
        );
        $this->app->scoped(
            PlantBook::class,
            static fn (Application $app): PlantBook => $app->make(PlantBookFiles::class)->read(OwnKinds::inForce()),
        );
    }
}
