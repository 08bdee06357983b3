<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A report names its columns; one from before is calculated anew when it is next looked at. */
return new class extends Migration
{
    public function up(): void
    {
        DB::table('season_reports')->delete();
    }

    public function down(): void
    {
        DB::table('season_reports')->delete();
    }
};
