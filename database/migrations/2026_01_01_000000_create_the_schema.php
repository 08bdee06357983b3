<?php

declare(strict_types=1);

use App\Ground\Support\SearchTables;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** All tables as version 1.0.0 has them. A database that was made before has them already, and keeps them. */
return new class extends Migration
{
    /** The last of the migrations that led here. */
    private const LAST_BEFORE = '2026_12_23_000007_name_the_columns_of_a_report';

    /** Where few rows matter, only those are held. */
    private const FEW = [
        'create index entries_unplaced on entries (id) where unplaced is not null',
        'create index bench_answers_plant_id_index on bench_answers (plant_id) where plant_id is not null',
        'create index work_logs_rain_unread on work_logs ("on") where rain_mm is null',
    ];

    public function up(): void
    {
        if (Schema::hasTable('gardens')) {
            DB::table('migrations')->where('migration', self::LAST_BEFORE)->exists() || throw new RuntimeException(
                'this database is older than version 1.0.0: bring it up to date with the last version of 1 December '
                    .'2026 first (docs/upgrading.md)',
            );

            return;
        }
        $this->framework();
        $this->people();
        $this->gardens();
        $this->due();
        $this->visits();
        $this->office();
        foreach (self::FEW as $index) {
            DB::statement($index);
        }
        SearchTables::create(['plants', 'gardens', 'changes']);
    }

    public function down(): void
    {
        // A firm is never taken apart by going back.
    }

    /** What the framework keeps: its cache, its queue, and links to set a password. */
    private function framework(): void
    {
        Schema::create('cache', static function (Blueprint $table): void {
            $table->string('key');
            $table->text('value');
            $table->integer('expiration');
            $table->primary('key');
            $table->index('expiration');
        });
        Schema::create('cache_locks', static function (Blueprint $table): void {
            $table->string('key');
            $table->string('owner');
            $table->integer('expiration');
            $table->primary('key');
            $table->index('expiration');
        });
        Schema::create('jobs', static function (Blueprint $table): void {
            $table->id();
            $table->string('queue');
            $table->text('payload');
            $table->smallInteger('attempts');
            $table->integer('reserved_at')->nullable();
            $table->integer('available_at');
            $table->integer('created_at');
            $table->index('queue');
        });
        Schema::create('failed_jobs', static function (Blueprint $table): void {
            $table->id();
            $table->string('uuid');
            $table->text('connection');
            $table->text('queue');
            $table->text('payload');
            $table->text('exception');
            $table->timestamp('failed_at')->useCurrent();
            $table->unique('uuid');
        });
        Schema::create('password_reset_tokens', static function (Blueprint $table): void {
            $table->string('email');
            $table->string('token');
            $table->timestamp('created_at')->nullable();
            $table->primary('email');
        });
    }

    /** Crews, people, and how they come in. */
    private function people(): void
    {
        Schema::create('crews', static function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->timestamps();
            $table->smallInteger('people')->default(2);
            $table->json('skills')->default('["ladder","saw","shears"]');
            $table->boolean('overtime')->default(false);
            $table->json('week')->default('{"1":[480,960],"2":[480,960],"3":[480,960],"4":[480,960],"5":[480,960]}');
            $table->unique('name');
        });
        Schema::create('crew_days_off', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('crew_id')->constrained()->cascadeOnDelete();
            $table->date('on');
            $table->string('why');
            $table->smallInteger('people')->nullable();
            $table->timestamps();
            $table->unique(['crew_id', 'on']);
            $table->index('on');
        });
        Schema::create('users', static function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->string('email');
            $table->string('password');
            $table->string('role');
            $table->foreignId('crew_id')->nullable()->constrained()->nullOnDelete();
            $table->string('remember_token', 100)->nullable();
            $table->timestamps();
            $table->string('session_version', 40)->default('');
            $table->boolean('keys')->default(true);
            $table->timestamp('joined_at')->nullable();
            $table->string('left_on')->nullable();
            $table->string('units')->default('metric');
            $table->text('code_secret')->nullable();
            $table->timestamp('code_since')->nullable();
            $table->unsignedBigInteger('code_step')->default(0);
            $table->text('code_spares')->nullable();
            $table->string('pin')->nullable();
            $table->index('crew_id');
            $table->unique('email');
        });
        Schema::create('devices', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 20);
            $table->timestamp('created_at')->nullable();
            $table->timestamp('seen_at');
            $table->string('browser', 16)->nullable();
            $table->index('seen_at');
            $table->index('user_id');
        });
        Schema::create('pin_browsers', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('browser', 16);
            $table->smallInteger('tries')->default(0);
            $table->timestamp('since');
            $table->index('browser');
            $table->index('since');
            $table->unique(['user_id', 'browser']);
        });
        Schema::create('sign_offs', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('method');
            $table->foreignId('by_id')->nullable()->constrained('users')->nullOnDelete();
            $table->string('on');
            $table->timestamps();
            $table->unique(['user_id', 'method']);
        });
        Schema::create('personal_access_tokens', static function (Blueprint $table): void {
            $table->id();
            $table->string('tokenable_type');
            $table->unsignedBigInteger('tokenable_id');
            $table->string('name', 80);
            $table->string('token', 64);
            $table->text('abilities')->nullable();
            $table->timestamp('last_used_at')->nullable();
            $table->timestamp('expires_at')->nullable();
            $table->timestamps();
            $table->index('expires_at');
            $table->unique('token');
            $table->index(['tokenable_type', 'tokenable_id']);
        });
        Schema::create('sent_forms', static function (Blueprint $table): void {
            $table->string('once', 36);
            $table->foreignId('user_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('led_to', 500);
            $table->timestamp('sent_at');
            $table->primary('once');
            $table->index('sent_at');
            $table->index('user_id');
        });
        Schema::create('security_events', static function (Blueprint $table): void {
            $table->id();
            $table->timestamp('at');
            $table->string('kind', 40);
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('about_id')->nullable()->constrained('users')->nullOnDelete();
            $table->string('network', 64)->nullable();
            $table->string('device', 20)->nullable();
            $table->string('says', 200)->nullable();
            $table->index('about_id');
            $table->index('at');
            $table->index(['kind', 'at']);
            $table->index('user_id');
        });
    }

    /** Gardens and what grows in them. */
    private function gardens(): void
    {
        Schema::create('firms', static function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->json('practice');
            $table->timestamps();
            $table->integer('revision')->default(1);
            $table->integer('kinds_revision')->default(1);
            $table->string('signs_weighed_by')->nullable();
            $table->double('depot_latitude')->nullable();
            $table->double('depot_longitude')->nullable();
            $table->smallInteger('usual_travel')->default(20);
            $table->integer('plan_revision')->default(1);
            $table->smallInteger('log_days')->default(14);
            $table->string('signs_weigher')->nullable();
            $table->boolean('planners_code')->default(false);
            $table->text('retention')->default('{}');
        });
        Schema::create('gardens', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('crew_id')->nullable()->constrained()->nullOnDelete();
            $table->string('name');
            $table->string('client');
            $table->string('address')->nullable();
            $table->double('latitude');
            $table->double('longitude');
            $table->integer('elevation_m');
            $table->string('last_frost', 5)->nullable();
            $table->string('first_frost', 5)->nullable();
            $table->string('winter', 8);
            $table->json('practice');
            $table->text('notes')->nullable();
            $table->timestamps();
            $table->integer('revision')->default(1);
            $table->boolean('own_practice')->default(false);
            $table->string('region')->nullable();
            $table->smallInteger('setup_minutes')->default(15);
            $table->json('closed_days')->default('[]');
            $table->json('normals')->nullable();
            $table->string('client_email')->nullable();
            $table->string('client_phone')->nullable();
            $table->text('wishes')->nullable();
            $table->boolean('photos_ok')->nullable();
            $table->string('archived_on')->nullable();
            $table->json('wished_days')->default('[]');
            $table->string('postcode', 12)->nullable();
            $table->index(['archived_on', 'name', 'id']);
            $table->index(['crew_id', 'name']);
            $table->index('latitude');
            $table->index(['name', 'id']);
            $table->index('own_practice');
        });
        Schema::create('plants', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('garden_id')->constrained()->cascadeOnDelete();
            $table->string('kind');
            $table->string('label');
            $table->string('bed')->nullable();
            $table->date('planted_on')->nullable();
            $table->integer('count')->default(1);
            $table->integer('height_mm')->nullable();
            $table->integer('spread_mm')->nullable();
            $table->integer('run_mm')->nullable();
            $table->integer('flowering_height_mm')->nullable();
            $table->integer('stems_old')->nullable();
            $table->integer('stems_young')->nullable();
            $table->string('form')->nullable();
            $table->string('aim')->nullable();
            $table->boolean('grafted')->nullable();
            $table->json('hazards');
            $table->json('practice');
            $table->text('notes')->nullable();
            $table->timestamps();
            $table->softDeletes();
            $table->integer('prunings_g')->nullable();
            $table->smallInteger('bud_mortality_percent')->nullable();
            $table->boolean('own_practice')->default(false);
            $table->date('stems_on')->nullable();
            $table->date('height_on')->nullable();
            $table->json('state')->default('{}');
            $table->date('state_on')->nullable();
            $table->index(['garden_id', 'deleted_at']);
            $table->index(['kind', 'deleted_at']);
            $table->index('kind');
            $table->index('own_practice');
        });
        Schema::create('stem_surveys', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('plant_id')->constrained()->cascadeOnDelete();
            $table->smallInteger('season');
            $table->json('state');
            $table->timestamps();
            $table->date('surveyed_on')->nullable();
            $table->unique(['plant_id', 'season']);
        });
        Schema::create('stem_taps', static function (Blueprint $table): void {
            $table->id();
            $table->string('name', 36);
            $table->foreignId('stem_survey_id')->nullable()->constrained()->cascadeOnDelete();
            $table->date('on');
            $table->foreignId('said_by')->nullable()->constrained('users')->nullOnDelete();
            $table->json('change');
            $table->unsignedBigInteger('takes_back')->nullable();
            $table->unique('name');
            $table->index('stem_survey_id');
            $table->unique('takes_back');
        });
        Schema::create('own_kinds', static function (Blueprint $table): void {
            $table->id();
            $table->string('kind');
            $table->string('like')->nullable();
            $table->json('entry');
            $table->string('note', 500);
            $table->foreignId('written_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamps();
            $table->softDeletes();
            $table->index('kind');
        });
    }

    /** What is worked out and kept (docs/how-it-works.md, "What is due, kept"). */
    private function due(): void
    {
        Schema::create('garden_seasons', static function (Blueprint $table): void {
            $table->foreignId('garden_id')->constrained()->cascadeOnDelete();
            $table->smallInteger('season');
            $table->smallInteger('spring_days');
            $table->json('spring_from');
            $table->integer('spring_more');
            $table->smallInteger('autumn_days');
            $table->json('autumn_from');
            $table->integer('autumn_more');
            $table->json('days');
            $table->primary(['garden_id', 'season']);
        });
        Schema::create('kept_gardens', static function (Blueprint $table): void {
            $table->foreignId('garden_id')->constrained()->cascadeOnDelete();
            $table->integer('revision');
            $table->integer('firm_revision');
            $table->string('book_mark', 64);
            $table->integer('covers_from');
            $table->integer('covers_to');
            $table->integer('plants');
            $table->integer('tasks');
            $table->integer('faults');
            $table->integer('winters')->default(0);
            $table->text('questions')->default(' ');
            $table->string('digest', 32)->default('');
            $table->integer('claimed_until')->default(0);
            $table->primary('garden_id');
        });
        Schema::create('kept_plants', static function (Blueprint $table): void {
            $table->foreignId('plant_id')->constrained()->cascadeOnDelete();
            $table->foreignId('garden_id')->constrained()->cascadeOnDelete();
            $table->string('kind');
            $table->json('bloom');
            $table->json('closed');
            $table->text('fault')->nullable();
            $table->primary('plant_id');
            $table->index(['garden_id', 'plant_id']);
            $table->index(['kind', 'garden_id']);
        });
        Schema::create('kept_weeks', static function (Blueprint $table): void {
            $table->foreignId('garden_id')->constrained()->cascadeOnDelete();
            $table->integer('week');
            $table->integer('open');
            $table->integer('best');
            $table->primary(['garden_id', 'week']);
        });
        Schema::create('kept_months', static function (Blueprint $table): void {
            $table->foreignId('garden_id')->constrained()->cascadeOnDelete();
            $table->integer('month');
            $table->integer('minutes');
            $table->primary(['garden_id', 'month']);
            $table->index(['month', 'minutes']);
        });
        Schema::create('kept_treatments', static function (Blueprint $table): void {
            $table->foreignId('garden_id')->constrained()->cascadeOnDelete();
            $table->string('kind');
            $table->string('recipe');
            $table->integer('times');
            $table->integer('plants');
            $table->integer('minutes');
            $table->integer('timed');
            $table->integer('removed');
            $table->integer('estimated');
            $table->integer('blooms');
            $table->integer('score');
            $table->integer('scored');
            $table->integer('height');
            $table->integer('measured');
            $table->integer('ill');
            $table->integer('rank');
            $table->primary(['kind', 'recipe', 'garden_id']);
            $table->index([
                'kind', 'recipe', 'times', 'plants', 'minutes', 'timed', 'removed', 'estimated', 'blooms', 'score',
                'scored', 'height', 'measured', 'ill', 'rank',
            ], 'kept_treatments_compared');
            $table->index('garden_id');
        });
        Schema::create('season_tasks', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('garden_id')->constrained()->cascadeOnDelete();
            $table->foreignId('plant_id')->constrained()->cascadeOnDelete();
            $table->string('kind');
            $table->smallInteger('season');
            $table->string('task');
            $table->string('name');
            $table->string('method');
            $table->integer('opens');
            $table->integer('best_from');
            $table->integer('best_to');
            $table->integer('closes');
            $table->integer('minutes');
            $table->smallInteger('people');
            $table->json('skills');
            $table->string('outcome')->nullable();
            $table->integer('logged_on')->nullable();
            $table->boolean('done');
            $table->string('hands_off')->nullable();
            $table->index(['done', 'closes', 'opens', 'garden_id', 'plant_id', 'kind'], 'season_tasks_closing');
            $table->index([
                'garden_id', 'done', 'closes', 'opens', 'best_from', 'best_to', 'plant_id', 'kind',
            ], 'season_tasks_of_gardens');
            $table->index([
                'kind', 'done', 'opens', 'closes', 'best_from', 'best_to', 'garden_id', 'plant_id',
            ], 'season_tasks_of_kinds');
            $table->index([
                'done', 'opens', 'closes', 'best_from', 'best_to', 'garden_id', 'plant_id', 'kind',
            ], 'season_tasks_opening');
            $table->unique(['plant_id', 'task', 'season']);
        });
        Schema::create('observations', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('garden_id')->constrained()->cascadeOnDelete();
            $table->string('event');
            $table->date('on');
            $table->smallInteger('season');
            $table->foreignId('seen_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamps();
            $table->smallInteger('late_days')->nullable();
            $table->unique(['garden_id', 'event', 'season']);
            $table->index('season');
        });
        Schema::create('signs_to_weigh', static function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('garden_id');
            $table->double('latitude')->nullable();
            $table->double('longitude')->nullable();
            $table->smallInteger('season')->nullable();
            $table->index('garden_id');
        });
    }

    /** Visits, and what was done on them. */
    private function visits(): void
    {
        Schema::create('visits', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('garden_id')->constrained()->cascadeOnDelete();
            $table->foreignId('crew_id')->nullable()->constrained()->nullOnDelete();
            $table->date('on');
            $table->text('outside_reason')->nullable();
            $table->foreignId('planned_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamps();
            $table->smallInteger('unlogged')->default(0);
            $table->boolean('waiting')->default(false);
            $table->boolean('locked')->default(false);
            $table->boolean('confirmed')->default(false);
            $table->index(['crew_id', 'on']);
            $table->index(['crew_id', 'waiting', 'on']);
            $table->index(['garden_id', 'on']);
            $table->index(['garden_id', 'waiting', 'on']);
            $table->index('on');
            $table->index(['waiting', 'on']);
        });
        Schema::create('visit_tasks', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('visit_id')->constrained()->cascadeOnDelete();
            $table->foreignId('plant_id')->constrained()->cascadeOnDelete();
            $table->string('task');
            $table->smallInteger('season');
            $table->smallInteger('position');
            $table->json('prescribed');
            $table->timestamps();
            $table->json('cut_plan')->nullable();
            $table->integer('minutes')->default(0);
            $table->smallInteger('standing')->nullable();
            $table->index(['plant_id', 'task', 'season']);
            $table->unique(['plant_id', 'task', 'season', 'standing']);
            $table->index('season');
            $table->unique(['visit_id', 'plant_id', 'task', 'season']);
        });
        Schema::create('work_logs', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('visit_task_id')->constrained()->cascadeOnDelete();
            $table->foreignId('plant_id')->constrained()->cascadeOnDelete();
            $table->string('task');
            $table->smallInteger('season');
            $table->date('on');
            $table->string('outcome');
            $table->string('why')->nullable();
            $table->integer('minutes')->nullable();
            $table->json('amounts');
            $table->json('findings');
            $table->text('note')->nullable();
            $table->text('left_for_next_year')->nullable();
            $table->foreignId('logged_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamps();
            $table->smallInteger('removed_percent')->nullable();
            $table->string('over_cap_reason', 300)->nullable();
            $table->string('recipe')->nullable();
            $table->boolean('blades')->nullable();
            $table->string('told')->nullable();
            $table->string('left_stem', 16)->nullable();
            $table->smallInteger('rain_mm')->nullable();
            $table->index(['logged_by', 'recipe', 'outcome']);
            $table->index(['on', 'id']);
            $table->index(['plant_id', 'task', 'season']);
            $table->unique('visit_task_id');
        });
        Schema::create('bloom_notes', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('plant_id')->constrained()->cascadeOnDelete();
            $table->smallInteger('season');
            $table->integer('flowering_height_mm')->nullable();
            $table->smallInteger('score')->nullable();
            $table->foreignId('noted_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamps();
            $table->string('regrowth')->nullable();
            $table->boolean('diseased')->nullable();
            $table->unique(['plant_id', 'season']);
        });
        Schema::create('entries', static function (Blueprint $table): void {
            $table->id();
            $table->string('uuid', 36);
            $table->string('kind', 16);
            $table->foreignId('visit_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('visit_task_id')->nullable()->constrained()->nullOnDelete();
            $table->json('corrects');
            $table->json('body');
            $table->string('digest', 64)->nullable();
            $table->foreignId('said_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamp('said_at');
            $table->integer('clock_off_s')->default(0);
            $table->timestamp('created_at')->nullable();
            $table->json('unplaced')->nullable();
            $table->unique('uuid');
            $table->index('visit_id');
            $table->index('visit_task_id');
        });
        Schema::create('photos', static function (Blueprint $table): void {
            $table->id();
            $table->string('uuid', 36);
            $table->foreignId('visit_task_id')->constrained()->cascadeOnDelete();
            $table->string('moment', 8);
            $table->foreignId('taken_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamp('taken_at');
            $table->integer('width');
            $table->integer('height');
            $table->integer('bytes');
            $table->timestamp('created_at')->nullable();
            $table->index('taken_at');
            $table->unique('uuid');
            $table->index('visit_task_id');
        });
    }

    /** Plans, letters, clients, files and programs. */
    private function office(): void
    {
        Schema::create('plan_drafts', static function (Blueprint $table): void {
            $table->id();
            $table->string('status');
            $table->float('share')->default(0);
            $table->string('says')->nullable();
            $table->date('from');
            $table->date('to');
            $table->integer('revision');
            $table->integer('seconds');
            $table->integer('stay');
            $table->json('result')->nullable();
            $table->json('before')->nullable();
            $table->foreignId('asked_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamps();
            $table->index(['status', 'id']);
        });
        Schema::create('letters', static function (Blueprint $table): void {
            $table->id();
            $table->string('channel');
            $table->string('to');
            $table->string('subject');
            $table->text('body');
            $table->boolean('is_private')->default(false);
            $table->timestamp('created_at')->nullable();
            $table->string('failed_because')->nullable();
            $table->index('created_at');
        });
        Schema::create('client_links', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('garden_id')->constrained()->cascadeOnDelete();
            $table->string('digest');
            $table->foreignId('made_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamp('created_at')->nullable();
            $table->timestamp('seen_at')->nullable();
            $table->unique('digest');
            $table->index('garden_id');
        });
        Schema::create('client_words', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('garden_id')->constrained()->cascadeOnDelete();
            $table->foreignId('visit_id')->nullable()->constrained()->nullOnDelete();
            $table->string('kind');
            $table->text('says')->nullable();
            $table->timestamp('created_at')->nullable();
            $table->timestamp('heard_at')->nullable();
            $table->foreignId('heard_by')->nullable()->constrained('users')->nullOnDelete();
            $table->index('garden_id');
            $table->index(['heard_at', 'id']);
            $table->index('visit_id');
        });
        Schema::create('feeds', static function (Blueprint $table): void {
            $table->id();
            $table->string('digest');
            $table->foreignId('crew_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('garden_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('made_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamp('created_at')->nullable();
            $table->index('crew_id');
            $table->unique('digest');
            $table->index('garden_id');
        });
        Schema::create('imports', static function (Blueprint $table): void {
            $table->id();
            $table->string('of');
            $table->string('name');
            $table->string('status');
            $table->text('says')->nullable();
            $table->integer('new')->default(0);
            $table->integer('changed')->default(0);
            $table->integer('same')->default(0);
            $table->integer('wrong')->default(0);
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->timestamps();
            $table->index('user_id');
        });
        Schema::create('import_rows', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('import_id')->constrained()->cascadeOnDelete();
            $table->integer('line');
            $table->string('does');
            $table->string('label');
            $table->unsignedBigInteger('row_id')->nullable();
            $table->json('facts');
            $table->json('says');
            $table->boolean('kept')->default(false);
            $table->index(['import_id', 'does', 'id']);
            $table->index(['import_id', 'id']);
        });
        Schema::create('season_reports', static function (Blueprint $table): void {
            $table->smallInteger('season');
            $table->timestamp('asked_at')->nullable();
            $table->timestamp('made_at')->nullable();
            $table->json('result')->nullable();
            $table->primary('season');
        });
        Schema::create('bench_answers', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('case_key');
            $table->foreignId('plant_id')->nullable()->constrained()->cascadeOnDelete();
            $table->integer('seed');
            $table->string('kind');
            $table->string('task');
            $table->string('method');
            $table->smallInteger('level');
            $table->text('cuts');
            $table->string('day');
            $table->smallInteger('score');
            $table->json('mark');
            $table->timestamp('created_at')->nullable();
            $table->index(['user_id', 'id']);
            $table->index(['user_id', 'method']);
        });
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
            $table->unsignedBigInteger('undone_by')->nullable();
            $table->unsignedBigInteger('import_id')->nullable();
            $table->index('at');
            $table->index(['did', 'id']);
            $table->index('import_id');
            $table->index(['of', 'row_id', 'id']);
            $table->index(['user_id', 'id']);
        });
        Schema::create('webhooks', static function (Blueprint $table): void {
            $table->id();
            $table->string('url', 500);
            $table->text('secret');
            $table->text('events');
            $table->boolean('active')->default(true);
            $table->foreignId('made_by')->nullable()->constrained('users')->nullOnDelete();
            $table->integer('failures')->default(0);
            $table->timestamp('failing_since')->nullable();
            $table->timestamp('try_after')->nullable();
            $table->string('last_error', 300)->nullable();
            $table->timestamp('delivered_at')->nullable();
            $table->timestamps();
            $table->index('active');
            $table->index('made_by');
        });
        Schema::create('webhook_deliveries', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('webhook_id')->constrained()->cascadeOnDelete();
            $table->string('uuid', 36);
            $table->string('event', 40);
            $table->text('body');
            $table->timestamp('created_at');
            $table->timestamp('sent_at')->nullable();
            $table->index('sent_at');
            $table->unique('uuid');
            $table->index(['webhook_id', 'sent_at', 'id']);
        });
    }
};
