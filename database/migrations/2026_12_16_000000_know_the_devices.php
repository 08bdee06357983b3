<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Where somebody is signed in, so that one lost phone can be shut out alone.
        Schema::create('devices', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 20);
            $table->timestamp('created_at')->nullable();
            $table->timestamp('seen_at')->index();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('devices');
    }
};
