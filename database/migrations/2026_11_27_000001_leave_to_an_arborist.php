<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Why the crew leaves it to an arborist; null where it is theirs.
        Schema::table('season_tasks', static function (Blueprint $table): void {
            $table->string('hands_off')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('season_tasks', static fn (Blueprint $table) => $table->dropColumn('hands_off'));
    }
};
