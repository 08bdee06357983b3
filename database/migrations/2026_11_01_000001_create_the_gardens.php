<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('gardens', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('crew_id')->nullable()->constrained()->nullOnDelete();
            $table->string('name');
            $table->string('client');
            $table->string('address')->nullable();
            $table->decimal('latitude', 8, 5);
            $table->decimal('longitude', 8, 5);
            $table->integer('elevation_m');
            $table->string('last_frost', 5)->nullable();
            $table->string('first_frost', 5)->nullable();
            $table->string('winter', 8);
            $table->json('practice');
            $table->text('notes')->nullable();
            $table->timestamps();
        });
        Schema::create('plants', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('garden_id')->constrained()->cascadeOnDelete();
            $table->string('kind')->index();
            $table->string('label');
            $table->string('bed')->nullable();
            $table->date('planted_on')->nullable();
            $table->unsignedInteger('count')->default(1);
            $table->unsignedInteger('height_mm')->nullable();
            $table->unsignedInteger('spread_mm')->nullable();
            $table->unsignedInteger('run_mm')->nullable();
            $table->unsignedInteger('flowering_height_mm')->nullable();
            $table->unsignedInteger('stems_old')->nullable();
            $table->unsignedInteger('stems_young')->nullable();
            $table->string('form')->nullable();
            $table->string('aim')->nullable();
            $table->boolean('grafted')->nullable();
            $table->json('hazards');
            $table->json('practice');
            $table->text('notes')->nullable();
            $table->timestamps();
            $table->softDeletes();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('plants');
        Schema::dropIfExists('gardens');
    }
};
