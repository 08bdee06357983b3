<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

return new class extends Migration
{
    public function up(): void
    {
        // What was said in the garden, word after word: nothing here is ever changed. The record is what stands of it.
        Schema::create('entries', static function (Blueprint $table): void {
            $table->id();
            $table->string('uuid', 36)->unique();
            $table->string('kind', 16);
            // Whatever becomes of the visit, what was said on it stays.
            $table->foreignId('visit_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('visit_task_id')->nullable()->constrained()->nullOnDelete();
            $table->json('corrects');
            $table->json('body');
            $table->string('digest', 64)->nullable();
            $table->foreignId('said_by')->nullable()->constrained('users')->nullOnDelete();
            $table->dateTime('said_at');
            $table->integer('clock_off_s')->default(0);
            $table->timestamp('created_at')->nullable();
        });
        Schema::create('photos', static function (Blueprint $table): void {
            $table->id();
            $table->string('uuid', 36)->unique();
            $table->foreignId('visit_task_id')->constrained()->cascadeOnDelete();
            $table->string('moment', 8);
            $table->foreignId('taken_by')->nullable()->constrained('users')->nullOnDelete();
            $table->dateTime('taken_at');
            $table->integer('width');
            $table->integer('height');
            $table->integer('bytes');
            $table->timestamp('created_at')->nullable();
        });
        Schema::table('work_logs', static function (Blueprint $table): void {
            $table->boolean('blades')->nullable();
            $table->string('told')->nullable();
            $table->string('left_stem', 16)->nullable();
            // The record of the firm is read from its end.
            $table->index(['on', 'id']);
        });
        self::wordsOfBefore();
    }

    public function down(): void
    {
        Schema::table('work_logs', static function (Blueprint $table): void {
            $table->dropIndex(['on', 'id']);
            $table->dropColumn(['blades', 'told', 'left_stem']);
        });
        Schema::dropIfExists('photos');
        Schema::dropIfExists('entries');
    }

    /** What the record held before is one word each, said when it was written. */
    private static function wordsOfBefore(): void
    {
        $logs = DB::table('work_logs')->join('visit_tasks', 'visit_tasks.id', '=', 'work_logs.visit_task_id');
        $logs->orderBy('work_logs.id')->select(['work_logs.*', 'visit_tasks.visit_id']);
        foreach ($logs->cursor() as $log) {
            DB::table('entries')->insert([
                'uuid' => (string) Str::uuid(), 'kind' => 'log', 'visit_id' => $log->visit_id,
                'visit_task_id' => $log->visit_task_id, 'corrects' => '[]', 'said_by' => $log->logged_by,
                'said_at' => $log->updated_at ?? $log->on, 'created_at' => $log->created_at,
                'body' => json_encode([
                    'outcome' => $log->outcome, 'why' => $log->why, 'minutes' => $log->minutes,
                    'removed_percent' => $log->removed_percent, 'over_cap_reason' => $log->over_cap_reason,
                    'amounts' => json_decode($log->amounts, true), 'findings' => json_decode($log->findings, true),
                    'note' => $log->note, 'left_for_next_year' => $log->left_for_next_year,
                ], JSON_THROW_ON_ERROR),
            ]);
        }
    }
};
