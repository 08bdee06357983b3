<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('visits', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('garden_id')->constrained()->cascadeOnDelete();
            $table->foreignId('crew_id')->nullable()->constrained()->nullOnDelete();
            $table->date('on')->index();
            $table->text('outside_reason')->nullable();
            $table->foreignId('planned_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamps();
        });
        // The task as it was prescribed on the day it was planned, so that the sheet and the record never change behind
        // the crew.
        Schema::create('visit_tasks', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('visit_id')->constrained()->cascadeOnDelete();
            $table->foreignId('plant_id')->constrained()->cascadeOnDelete();
            $table->string('task');
            $table->unsignedSmallInteger('season');
            $table->unsignedSmallInteger('position');
            $table->json('prescribed');
            $table->timestamps();
            $table->unique(['visit_id', 'plant_id', 'task', 'season']);
            $table->index(['plant_id', 'task', 'season']);
        });
        Schema::create('work_logs', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('visit_task_id')->unique()->constrained()->cascadeOnDelete();
            $table->foreignId('plant_id')->constrained()->cascadeOnDelete();
            $table->string('task');
            $table->unsignedSmallInteger('season');
            $table->date('on');
            $table->string('outcome');
            $table->string('why')->nullable();
            $table->unsignedInteger('minutes')->nullable();
            $table->json('amounts');
            $table->json('findings');
            $table->text('note')->nullable();
            $table->text('left_for_next_year')->nullable();
            $table->foreignId('logged_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamps();
            $table->index(['plant_id', 'task', 'season']);
        });
    }

    public function down(): void
    {
        foreach (['work_logs', 'visit_tasks', 'visits'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
