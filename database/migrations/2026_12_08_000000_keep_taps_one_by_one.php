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
        $names = DB::table('stem_taps')->get(['id', 'on'])->all();
        Schema::drop('stem_taps');
        $writers = DB::table('stem_surveys')->pluck('written_by', 'id');
        // Before anything hangs on them: the table is made anew for it.
        Schema::table('stem_surveys', static function (Blueprint $table): void {
            $table->dropConstrainedForeignId('written_by');
            $table->dropColumn('before');
        });
        Schema::create('stem_taps', static function (Blueprint $table): void {
            $table->id();
            // The tap's own name: one sent again because its answer never came is not kept twice.
            $table->string('name', 36)->unique();
            $table->foreignId('stem_survey_id')->nullable()->constrained()->cascadeOnDelete();
            $table->date('on');
            $table->foreignId('said_by')->nullable()->constrained('users')->nullOnDelete();
            $table->json('change');
            $table->foreignId('takes_back')->nullable()->unique();
        });
        foreach ($names as $tap) {
            DB::table('stem_taps')->insert(['name' => $tap->id, 'on' => $tap->on, 'change' => '{}']);
        }
        // A survey of before begins with all that was said of it.
        foreach (DB::table('stem_surveys')->lazyById() as $survey) {
            $state = (array) json_decode($survey->state, true);
            DB::table('stem_taps')->insert([
                'name' => "survey-$survey->id",
                'stem_survey_id' => $survey->id,
                'on' => $survey->surveyed_on ?? substr((string) $survey->created_at, 0, 10),
                'said_by' => $writers[$survey->id],
                'change' => json_encode([
                    'stems' => array_column($state['stems'], null, 'ref'),
                    'cut' => array_fill_keys($state['cut'], true),
                    'word' => (array) $state['word'],
                    'keep' => $state['keep'],
                    'budget' => $state['budget'],
                ], JSON_THROW_ON_ERROR),
            ]);
        }
    }

    public function down(): void
    {
        Schema::drop('stem_taps');
        Schema::table('stem_surveys', static function (Blueprint $table): void {
            $table->json('before')->default('[]');
            $table->foreignId('written_by')->nullable()->constrained('users')->nullOnDelete();
        });
        Schema::create('stem_taps', static function (Blueprint $table): void {
            $table->string('id', 36)->primary();
            $table->foreignId('plant_id')->constrained()->cascadeOnDelete();
            $table->date('on')->index();
        });
    }
};
