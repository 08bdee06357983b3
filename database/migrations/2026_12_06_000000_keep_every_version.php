<?php

declare(strict_types=1);

use App\Ground\Support\SearchTables;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Who changed what, from what to what: as the rows hold it, so that each can be brought back.
        Schema::create('changes', static function (Blueprint $table): void {
            $table->id();
            $table->string('of', 20);
            $table->unsignedBigInteger('row_id');
            $table->string('did', 10);
            $table->string('label', 200);
            $table->json('before');
            $table->json('after');
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->timestamp('at');
            // The change that took this one back.
            $table->unsignedBigInteger('undone_by')->nullable();
            $table->index(['of', 'row_id', 'id']);
            $table->index(['did', 'id']);
        });
        SearchTables::create(['changes']);
        Schema::table('firms', static function (Blueprint $table): void {
            // So many days after a visit its hands may still change what they said of it.
            $table->unsignedSmallInteger('log_days')->default(14);
        });
    }

    public function down(): void
    {
        Schema::table('firms', static fn (Blueprint $table) => $table->dropColumn('log_days'));
        Schema::dropIfExists('search_changes');
        Schema::dropIfExists('words_changes');
        Schema::dropIfExists('changes');
    }
};
