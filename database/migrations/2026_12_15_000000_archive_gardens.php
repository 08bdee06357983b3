<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('gardens', static function (Blueprint $table): void {
            // The day the firm stopped working there; its record stays.
            $table->string('archived_on')->nullable();
            $table->index(['archived_on', 'name', 'id']);
        });
    }

    public function down(): void
    {
        Schema::table('gardens', static function (Blueprint $table): void {
            $table->dropIndex(['archived_on', 'name', 'id']);
            $table->dropColumn('archived_on');
        });
    }
};
