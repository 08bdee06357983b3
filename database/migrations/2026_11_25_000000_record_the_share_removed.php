<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('work_logs', static function (Blueprint $table): void {
            $table->unsignedTinyInteger('removed_percent')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('work_logs', static function (Blueprint $table): void {
            $table->dropColumn('removed_percent');
        });
    }
};
