<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('letters', static function (Blueprint $table): void {
            // Why the last try failed; null where it went out.
            $table->string('failed_because')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('letters', static fn (Blueprint $table) => $table->dropColumn('failed_because'));
    }
};
