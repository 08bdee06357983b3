<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** PostgreSQL hands a decimal out as a text with all its places; degrees are numbers, as they are on SQLite. */
return new class extends Migration
{
    private const DEGREES = [
        'gardens' => ['latitude' => false, 'longitude' => false],
        'firms' => ['depot_latitude' => true, 'depot_longitude' => true],
    ];

    public function up(): void
    {
        foreach (DB::getDriverName() === 'pgsql' ? self::DEGREES : [] as $table => $columns) {
            Schema::table($table, static function (Blueprint $of) use ($columns): void {
                foreach ($columns as $column => $nullable) {
                    $of->double($column)->nullable($nullable)->change();
                }
            });
        }
    }

    public function down(): void
    {
        foreach (DB::getDriverName() === 'pgsql' ? self::DEGREES : [] as $table => $columns) {
            Schema::table($table, static function (Blueprint $of) use ($columns): void {
                foreach ($columns as $column => $nullable) {
                    $of->decimal($column, 8, 5)->nullable($nullable)->change();
                }
            });
        }
    }
};
