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
        Schema::table('visit_tasks', static function (Blueprint $table): void {
            // 1 where it waits on a visit to come; null where it is logged, or its day went by without it.
            $table->unsignedTinyInteger('standing')->nullable();
        });
        $first = DB::table('visit_tasks')->join('visits', 'visits.id', '=', 'visit_tasks.visit_id')
            ->leftJoin('work_logs', 'work_logs.visit_task_id', '=', 'visit_tasks.id')->whereNull('work_logs.id')
            ->groupBy('visit_tasks.plant_id', 'visit_tasks.task', 'visit_tasks.season')
            // Of what was planned twice the later stands.
            ->selectRaw('max(visit_tasks.id) as id')->pluck('id');
        foreach ($first->chunk(500) as $ids) {
            DB::table('visit_tasks')->whereIn('id', $ids)->update(['standing' => 1]);
        }
        Schema::table('visit_tasks', static function (Blueprint $table): void {
            $table->unique(['plant_id', 'task', 'season', 'standing']);
        });
        // What a form that was sent once came to, so that sent again it comes to the same.
        Schema::create('sent_forms', static function (Blueprint $table): void {
            $table->string('once', 36)->primary();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('led_to', 500);
            $table->timestamp('sent_at')->index();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('sent_forms');
        Schema::table('visit_tasks', static function (Blueprint $table): void {
            $table->dropUnique(['plant_id', 'task', 'season', 'standing']);
            $table->dropColumn('standing');
        });
    }
};
