<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Each row is one version of what the firm says of a kind; the latest rules.
        Schema::create('own_kinds', static function (Blueprint $table): void {
            $table->id();
            $table->string('kind')->index();
            // The kind a new one was begun from; null where a kind of the plant book is corrected.
            $table->string('like')->nullable();
            $table->json('entry');
            $table->string('note', 500);
            $table->foreignId('written_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamps();
            $table->softDeletes();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('own_kinds');
    }
};
