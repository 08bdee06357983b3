<?php

declare(strict_types=1);

use App\Ground\Support\SearchTables;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    /**
     * Tables with a day that was kept with a time behind it, so that no index on it could be used. Only SQLite keeps
     * one so: its columns hold whatever text they are given.
     */
    private const DAYS = ['visits' => 'on', 'work_logs' => 'on', 'observations' => 'on', 'plants' => 'planted_on'];

    public function up(): void
    {
        foreach (DB::getDriverName() === 'sqlite' ? self::DAYS : [] as $table => $column) {
            DB::table($table)->whereRaw('length('.DB::getQueryGrammar()->wrap($column).') > 10')
                ->update([$column => DB::raw('substr('.DB::getQueryGrammar()->wrap($column).', 1, 10)')]);
        }
        Schema::table('firms', static function (Blueprint $table): void {
            // Raised by every change that all gardens rest on; and by those of kinds, which signs rest on too.
            $table->unsignedInteger('revision')->default(1);
            $table->unsignedInteger('kinds_revision')->default(1);
            // The book and kinds by which the signs of the seasons were last weighed.
            $table->string('signs_weighed_by')->nullable();
        });
        Schema::table('gardens', static function (Blueprint $table): void {
            // Raised by every change that what is due here rests on.
            $table->unsignedInteger('revision')->default(1);
            $table->boolean('own_practice')->default(false)->index();
            $table->index(['name', 'id']);
            $table->index(['crew_id', 'name']);
            $table->index('latitude');
        });
        Schema::table('plants', static function (Blueprint $table): void {
            $table->boolean('own_practice')->default(false)->index();
            $table->index(['garden_id', 'deleted_at']);
            $table->index(['kind', 'deleted_at']);
        });
        Schema::table('visits', static function (Blueprint $table): void {
            // Tasks that wait for their log, and whether any does: what the round asks for first.
            $table->unsignedSmallInteger('unlogged')->default(0);
            $table->boolean('waiting')->default(false);
            $table->dropIndex(['on']);
            foreach ([[], ['crew_id'], ['garden_id']] as $of) {
                $table->index([...$of, 'on']);
                $table->index([...$of, 'waiting', 'on']);
            }
        });
        Schema::table('visit_tasks', static function (Blueprint $table): void {
            $table->unsignedInteger('minutes')->default(0);
        });
        Schema::table('observations', static function (Blueprint $table): void {
            // Against the day the book expects at its own site; null where the book no longer knows the sign.
            $table->smallInteger('late_days')->nullable();
        });
        if (DB::table('gardens')->exists()) {
            $this->fill();
        }

        // How late a garden's season is by its signs and its neighbours'; no row where nothing was seen.
        Schema::create('garden_seasons', static function (Blueprint $table): void {
            $table->foreignId('garden_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('season');
            $table->smallInteger('spring_days');
            $table->json('spring_from');
            $table->unsignedInteger('spring_more');
            $table->smallInteger('autumn_days');
            $table->json('autumn_from');
            $table->unsignedInteger('autumn_more');
            // Anchors that were themselves seen, as days since 1970-01-01.
            $table->json('days');
            $table->primary(['garden_id', 'season']);
        });

        // One row a garden: what the rows below were worked out from.
        Schema::create('kept_gardens', static function (Blueprint $table): void {
            $table->foreignId('garden_id')->primary()->constrained()->cascadeOnDelete();
            $table->unsignedInteger('revision');
            $table->unsignedInteger('firm_revision');
            $table->string('book_mark', 64);
            // The days they reach over, as days since 1970-01-01.
            $table->integer('covers_from');
            $table->integer('covers_to');
            $table->unsignedInteger('plants');
            $table->unsignedInteger('tasks');
            $table->unsignedInteger('faults');
        });
        // One row a garden and week: how many tasks are open in it, and how many at their best.
        Schema::create('kept_weeks', static function (Blueprint $table): void {
            $table->foreignId('garden_id')->constrained()->cascadeOnDelete();
            // The Monday, as days since 1970-01-01.
            $table->integer('week');
            $table->unsignedInteger('open');
            $table->unsignedInteger('best');
            $table->primary(['garden_id', 'week']);
        });
        // One row a plant: what it does of itself, and what could not be worked out.
        Schema::create('kept_plants', static function (Blueprint $table): void {
            $table->foreignId('plant_id')->primary()->constrained()->cascadeOnDelete();
            $table->foreignId('garden_id')->constrained()->cascadeOnDelete();
            $table->string('kind');
            // Stretches of days, each [from, to] as days since 1970-01-01.
            $table->json('bloom');
            $table->json('closed');
            $table->text('fault')->nullable();
            $table->index(['garden_id', 'plant_id']);
            $table->index(['kind', 'garden_id']);
        });
        // One row a task of a plant in a season. Days as days since 1970-01-01.
        Schema::create('season_tasks', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('garden_id')->constrained()->cascadeOnDelete();
            $table->foreignId('plant_id')->constrained()->cascadeOnDelete();
            $table->string('kind');
            $table->unsignedSmallInteger('season');
            $table->string('task');
            $table->string('name');
            $table->string('method');
            $table->integer('opens');
            $table->integer('best_from');
            $table->integer('best_to');
            $table->integer('closes');
            $table->unsignedInteger('minutes');
            $table->unsignedSmallInteger('people');
            $table->json('skills');
            // What the record says of it: an outcome, or null. `done` is what is counted by.
            $table->string('outcome')->nullable();
            $table->integer('logged_on')->nullable();
            $table->boolean('done');
            $table->unique(['plant_id', 'task', 'season']);
            // Each holds all that is counted by it, so that the rows themselves need not be read.
            $table->index(
                ['garden_id', 'done', 'closes', 'opens', 'best_from', 'best_to', 'plant_id', 'kind'],
                'season_tasks_of_gardens',
            );
            $table->index(['done', 'closes', 'opens', 'garden_id', 'plant_id', 'kind'], 'season_tasks_closing');
            $table->index(
                ['done', 'opens', 'closes', 'best_from', 'best_to', 'garden_id', 'plant_id', 'kind'],
                'season_tasks_opening',
            );
            $table->index(
                ['kind', 'done', 'opens', 'closes', 'best_from', 'best_to', 'garden_id', 'plant_id'],
                'season_tasks_of_kinds',
            );
        });
        SearchTables::create();

        Schema::create('jobs', static function (Blueprint $table): void {
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });
        Schema::create('failed_jobs', static function (Blueprint $table): void {
            $table->id();
            $table->string('uuid')->unique();
            $table->text('connection');
            $table->text('queue');
            $table->longText('payload');
            $table->longText('exception');
            $table->timestamp('failed_at')->useCurrent();
        });
    }

    /** What the new columns hold for the rows that are there. */
    private function fill(): void
    {
        foreach (['gardens', 'plants'] as $table) {
            DB::table($table)->whereNotIn('practice', ['{}', '[]'])->update(['own_practice' => true]);
        }
        DB::table('visit_tasks')
            ->orderBy('id')
            ->select('id', 'prescribed')
            ->chunkById(500, static function ($tasks): void {
                foreach ($tasks as $task) {
                    $prescribed = json_decode($task->prescribed, true);
                    DB::table('visit_tasks')
                        ->where('id', $task->id)
                        ->update(['minutes' => $prescribed['minutes'] ?? 0]);
                }
            });
        DB::statement('update visits set unlogged = (select count(*) from visit_tasks
            where visit_tasks.visit_id = visits.id
            and not exists (select 1 from work_logs where work_logs.visit_task_id = visit_tasks.id))');
        DB::table('visits')->where('unlogged', '>', 0)->update(['waiting' => true]);
    }
};
