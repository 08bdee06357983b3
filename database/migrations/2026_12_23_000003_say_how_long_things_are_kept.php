<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    private const BY_TIME = ['letters' => 'created_at', 'photos' => 'taken_at', 'changes' => 'at'];

    public function up(): void
    {
        Schema::table('firms', static fn (Blueprint $table) => $table->text('retention')->default('{}'));
        foreach (self::BY_TIME as $table => $column) {
            Schema::table($table, static fn (Blueprint $of) => $of->index($column));
        }
    }

    public function down(): void
    {
        foreach (self::BY_TIME as $table => $column) {
            Schema::table($table, static fn (Blueprint $of) => $of->dropIndex([$column]));
        }
        Schema::table('firms', static fn (Blueprint $table) => $table->dropColumn('retention'));
    }
};
