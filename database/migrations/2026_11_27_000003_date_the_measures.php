<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // When stems were counted and the height measured; null where nobody knows: then they are taken as they stand.
        Schema::table('plants', static function (Blueprint $table): void {
            $table->date('stems_on')->nullable();
            $table->date('height_on')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('plants', static fn (Blueprint $table) => $table->dropColumn(['stems_on', 'height_on']));
    }
};
