<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('firms', static function (Blueprint $table): void {
            $table->decimal('depot_latitude', 8, 5)->nullable();
            $table->decimal('depot_longitude', 8, 5)->nullable();
            // Minutes of a way whose one end nobody has placed.
            $table->unsignedSmallInteger('usual_travel')->default(20);
            // Raised by every change of visits, crews and their days, so that no plan is accepted over another.
            $table->unsignedInteger('plan_revision')->default(1);
        });
        Schema::table('crews', static function (Blueprint $table): void {
            $table->unsignedTinyInteger('people')->default(2);
            $table->json('skills')->default('["ladder","saw","shears"]');
            $table->boolean('overtime')->default(false);
            // By weekday, 1 for Monday: from and to, in minutes after midnight.
            $table->json('week')->default('{"1":[480,960],"2":[480,960],"3":[480,960],"4":[480,960],"5":[480,960]}');
        });
        Schema::table('gardens', static function (Blueprint $table): void {
            $table->unsignedSmallInteger('setup_minutes')->default(15);
            // Weekdays on which nobody may come, 1 for Monday.
            $table->json('closed_days')->default('[]');
        });
        Schema::create('crew_days_off', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('crew_id')->constrained()->cascadeOnDelete();
            $table->date('on');
            $table->string('why');
            // How many come all the same; null where nobody does.
            $table->unsignedTinyInteger('people')->nullable();
            $table->timestamps();
            $table->unique(['crew_id', 'on']);
            $table->index('on');
        });
        Schema::table('visits', static function (Blueprint $table): void {
            // Nobody but a person moves it.
            $table->boolean('locked')->default(false);
            $table->boolean('confirmed')->default(false);
        });
        // A plan that was asked for: what it would change, and what it was made from.
        Schema::create('plan_drafts', static function (Blueprint $table): void {
            $table->id();
            $table->string('status');
            $table->float('share')->default(0);
            $table->string('says')->nullable();
            $table->date('from');
            $table->date('to');
            $table->unsignedInteger('revision');
            $table->unsignedInteger('seconds');
            $table->unsignedInteger('stay');
            $table->json('result')->nullable();
            // What stood before it was accepted, so that it can be taken back.
            $table->json('before')->nullable();
            $table->foreignId('asked_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamps();
            $table->index(['status', 'id']);
        });
        // One row a garden and month: person-minutes of what is open, in the month of the middle of its best days.
        Schema::create('kept_months', static function (Blueprint $table): void {
            $table->foreignId('garden_id')->constrained()->cascadeOnDelete();
            // Years times twelve, and the month less one.
            $table->unsignedInteger('month');
            $table->unsignedInteger('minutes');
            $table->primary(['garden_id', 'month']);
            // Holds all that is summed.
            $table->index(['month', 'minutes']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('kept_months');
        Schema::dropIfExists('plan_drafts');
        Schema::dropIfExists('crew_days_off');
        Schema::table('visits', static fn (Blueprint $table) => $table->dropColumn(['locked', 'confirmed']));
        Schema::table('gardens', static fn (Blueprint $table) => $table->dropColumn(['setup_minutes', 'closed_days']));
        Schema::table(
            'crews', static fn (Blueprint $table) => $table->dropColumn(['people', 'skills', 'overtime', 'week']),
        );
        Schema::table('firms', static fn (Blueprint $table) => $table->dropColumn([
            'depot_latitude', 'depot_longitude', 'usual_travel', 'plan_revision',
        ]));
    }
};
