<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What a season came to, reckoned in the background: it rests on every line of it.
        Schema::create('season_reports', static function (Blueprint $table): void {
            $table->unsignedSmallInteger('season')->primary();
            $table->timestamp('asked_at')->nullable();
            $table->timestamp('made_at')->nullable();
            $table->json('result')->nullable();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('season_reports');
    }
};
