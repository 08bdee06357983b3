<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What rows are asked by, and go with, is found without reading all of them. */
return new class extends Migration
{
    private const BY = [
        'users' => [['crew_id']],
        'entries' => [['visit_task_id'], ['visit_id']],
        'photos' => [['visit_task_id']],
        'changes' => [['user_id', 'id']],
        'sent_forms' => [['user_id']],
        'stem_taps' => [['stem_survey_id']],
        'imports' => [['user_id']],
        'feeds' => [['crew_id'], ['garden_id']],
        'client_links' => [['garden_id']],
        'client_words' => [['garden_id'], ['visit_id']],
        'devices' => [['user_id']],
    ];

    public function up(): void
    {
        foreach (self::BY as $table => $indexes) {
            Schema::table($table, static function (Blueprint $of) use ($indexes): void {
                foreach ($indexes as $columns) {
                    $of->index($columns);
                }
            });
        }
        // Hardly any entry is without its place, nor is a plant of the firm often practised on: only those are held.
        DB::statement('create index entries_unplaced_index on entries (id) where unplaced is not null');
        DB::statement('create index bench_answers_plant_id_index on bench_answers (plant_id) '
            .'where plant_id is not null');
    }

    public function down(): void
    {
        DB::statement('drop index entries_unplaced_index');
        DB::statement('drop index bench_answers_plant_id_index');
        foreach (self::BY as $table => $indexes) {
            Schema::table($table, static function (Blueprint $of) use ($indexes): void {
                foreach ($indexes as $columns) {
                    $of->dropIndex($columns);
                }
            });
        }
    }
};
