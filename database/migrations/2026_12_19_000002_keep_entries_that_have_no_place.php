<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('entries', static function (Blueprint $table): void {
            // Of which visit and task it was sent, and why it could not be kept there; null where it has its place.
            $table->json('unplaced')->nullable();
        });
        DB::statement('create index entries_unplaced on entries (id) where unplaced is not null');
    }

    public function down(): void
    {
        Schema::table('entries', static function (Blueprint $table): void {
            $table->dropIndex('entries_unplaced');
        });
        Schema::table('entries', static fn (Blueprint $table) => $table->dropColumn('unplaced'));
    }
};
