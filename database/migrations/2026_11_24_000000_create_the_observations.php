<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('observations', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('garden_id')->constrained()->cascadeOnDelete();
            $table->string('event');
            $table->date('on');
            $table->unsignedSmallInteger('season')->index();
            $table->foreignId('seen_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamps();
            $table->unique(['garden_id', 'event', 'season']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('observations');
    }
};
