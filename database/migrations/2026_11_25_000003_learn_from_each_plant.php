<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('plants', static function (Blueprint $table): void {
            // Of vines: what the one-year wood taken off weighed, and how many buds the winter killed.
            $table->unsignedInteger('prunings_g')->nullable();
            $table->unsignedTinyInteger('bud_mortality_percent')->nullable();
        });
        Schema::table('work_logs', static function (Blueprint $table): void {
            $table->string('over_cap_reason', 300)->nullable();
        });
        // What was seen at bloom: one note a plant a season.
        Schema::create('bloom_notes', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('plant_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('season');
            $table->unsignedInteger('flowering_height_mm');
            $table->unsignedTinyInteger('score')->nullable();
            $table->foreignId('noted_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamps();
            $table->unique(['plant_id', 'season']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('bloom_notes');
        Schema::table('work_logs', static fn (Blueprint $table) => $table->dropColumn('over_cap_reason'));
        Schema::table(
            'plants',
            static fn (Blueprint $table) => $table->dropColumn(['prunings_g', 'bud_mortality_percent']),
        );
    }
};
