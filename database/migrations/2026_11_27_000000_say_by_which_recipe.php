<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The record says by which recipe a task was done: which year of a renovation it is hangs on it. */
return new class extends Migration
{
    /** A renovation, by the name under which it stands in prescriptions from before recipes had keys. */
    private const RENOVATION = ['Renew over three years' => 'renovate'];

    public function up(): void
    {
        Schema::table('work_logs', static function (Blueprint $table): void {
            $table->string('recipe')->nullable();
        });
        $planned = DB::table('visit_tasks')->orderBy('id')->select('id', 'prescribed');
        $planned->chunkById(500, static function ($tasks): void {
            foreach ($tasks as $task) {
                $prescribed = json_decode($task->prescribed, true);
                $recipe = $prescribed['recipe'] ?? self::RENOVATION[$prescribed['method'] ?? ''] ?? null;
                if ($recipe !== null) {
                    DB::table('work_logs')->where('visit_task_id', $task->id)->update(['recipe' => $recipe]);
                }
            }
        });
    }

    public function down(): void
    {
        Schema::table('work_logs', static fn (Blueprint $table) => $table->dropColumn('recipe'));
    }
};
