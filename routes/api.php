<?php

declare(strict_types=1);

use App\Io\Api\DueController;
use App\Io\Api\GardensController;
use App\Io\Api\HoursController;
use App\Io\Api\LogsController;
use App\Io\Api\PlantsController;
use App\Io\Api\VisitsController;
use Illuminate\Support\Facades\Route;

// What programs read with a token of a planner's: public/openapi.json describes it.
Route::middleware(['auth:sanctum', 'throttle:api', 'cache.headers:private;max_age=0;etag'])->name('api.')
    ->where(['garden' => '[0-9]{1,18}', 'plant' => '[0-9]{1,18}', 'visit' => '[0-9]{1,18}'])
    ->group(function (): void {
        Route::get('gardens', [GardensController::class, 'index'])->middleware('scope:gardens:read')->name('gardens');
        Route::get('gardens/{garden}', [GardensController::class, 'show'])->middleware('scope:gardens:read')
            ->name('garden');
        Route::get('plants', [PlantsController::class, 'index'])->middleware('scope:plants:read')->name('plants');
        Route::get('plants/{plant}', [PlantsController::class, 'show'])->middleware('scope:plants:read')
            ->name('plant');
        Route::get('due', [DueController::class, 'index'])->middleware('scope:due:read')->name('due');
        Route::get('visits', [VisitsController::class, 'index'])->middleware('scope:visits:read')->name('visits');
        Route::get('visits/{visit}', [VisitsController::class, 'show'])->middleware('scope:visits:read')
            ->name('visit');
        Route::get('logs', [LogsController::class, 'index'])->middleware('scope:logs:read')->name('logs');
        Route::get('hours', [HoursController::class, 'index'])->middleware('scope:hours:read')->name('hours');
    });
