<?php

declare(strict_types=1);

namespace Tests\Feature\Ground;

use App\Ground\Models\Finding;
use App\Ground\Models\Hindrance;
use App\Ground\Models\WorkLog;
use Illuminate\Support\Facades\DB;
use Tests\Feature\FeatureTestCase;

/** What was found and what stopped the work: kept by key, shown in words. */
final class FindingsTest extends FeatureTestCase
{
    public function test_what_was_found_is_kept_by_key_and_said_in_words(): void
    {
        $task = $this->visitTask();
        DB::table('work_logs')->insert([
            'visit_task_id' => $task->id, 'plant_id' => $task->plant_id, 'task' => $task->task, 'season' => 2027,
            'on' => '2027-02-20', 'outcome' => 'not-done', 'why' => 'nest',
            'findings' => '["dead-wood","nest"]', 'amounts' => '[]',
        ]);
        $log = WorkLog::query()->sole();
        self::assertSame(['dead-wood', 'nest'], $log->findings);
        self::assertSame([Hindrance::Nest, 'Nest found'], [$log->why, $log->why?->inWords()]);
        self::assertSame([true, false], [$log->found(Finding::Nest), $log->found(Finding::Disease)]);
        self::assertSame('Dead wood, Nest', $log->findingsInWords());
    }

    public function test_words_in_place_of_a_key_are_refused(): void
    {
        $task = $this->visitTask();
        $this->actingAs($this->hand())
            ->put("/tasks/$task->id/log", ['outcome' => 'not-done', 'why' => 'Nest found', 'findings' => ['Nest']])
            ->assertSessionHasErrorsIn('task'.$task->id, ['why', 'findings.0']);
        self::assertSame(0, WorkLog::query()->count());
    }
}
