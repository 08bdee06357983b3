<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('bench_answers', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            // A case of the library, or a plant of the firm.
            $table->string('case_key');
            $table->foreignId('plant_id')->nullable()->constrained()->cascadeOnDelete();
            $table->unsignedInteger('seed');
            $table->string('kind');
            $table->string('task');
            $table->string('method');
            $table->unsignedTinyInteger('level');
            $table->text('cuts');
            $table->string('day');
            $table->unsignedTinyInteger('score');
            $table->json('mark');
            $table->timestamp('created_at')->nullable();
            $table->index(['user_id', 'method']);
            $table->index(['user_id', 'id']);
        });
        // What somebody has logged of each method, without reading what others did.
        Schema::table('work_logs', static fn (Blueprint $table) => $table->index(['logged_by', 'recipe', 'outcome']));
        Schema::create('sign_offs', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('method');
            $table->foreignId('by_id')->nullable()->constrained('users')->nullOnDelete();
            $table->string('on');
            $table->timestamps();
            $table->unique(['user_id', 'method']);
        });
    }

    public function down(): void
    {
        Schema::table('work_logs', static fn (Blueprint $table) => $table->dropIndex(
            ['logged_by', 'recipe', 'outcome'],
        ));
        Schema::dropIfExists('sign_offs');
        Schema::dropIfExists('bench_answers');
    }
};
