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
        Schema::table('bloom_notes', static function (Blueprint $table): void {
            $table->string('regrowth')->nullable();
            $table->boolean('diseased')->nullable();
            // How well it flowered can be told without a rule at hand.
            $table->unsignedInteger('flowering_height_mm')->nullable()->change();
        });
    }

    public function down(): void
    {
        DB::table('bloom_notes')->whereNull('flowering_height_mm')->delete();
        Schema::table('bloom_notes', static function (Blueprint $table): void {
            $table->dropColumn(['regrowth', 'diseased']);
            $table->unsignedInteger('flowering_height_mm')->nullable(false)->change();
        });
    }
};
