<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('work_logs', static function (Blueprint $table): void {
            $table->unsignedSmallInteger('rain_mm')->nullable();
        });
        // Asked for on every page that tells what is due: nearly always there is nothing to read.
        DB::statement('create index work_logs_rain_unread on work_logs ("on") where rain_mm is null');
    }

    public function down(): void
    {
        DB::statement('drop index work_logs_rain_unread');
        Schema::table('work_logs', static fn (Blueprint $table) => $table->dropColumn('rain_mm'));
    }
};
