<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration
{
    /** Devices were remembered for more than a year; from here on none is beyond its session. */
    public function up(): void
    {
        DB::table('users')->update(['remember_token' => null]);
    }

    public function down(): void
    {
        // Whoever was remembered signs in again.
    }
};
