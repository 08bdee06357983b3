<?php

declare(strict_types=1);

namespace Tests\Feature\Ground;

use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;
use PruningHook\Core\Amount\Effect;
use Tests\Feature\FeatureTestCase;

/** What was kept by its words is kept by what it does, and back. */
final class AmountsByEffectTest extends FeatureTestCase
{
    #[Group('sqlite')]
    public function test_rows_of_old_are_told_what_they_do(): void
    {
        $height = ['what' => 'cut height', 'unit' => 'mm', 'min' => 300, 'target' => 400, 'max' => 500];
        $buds = ['what' => 'buds per lateral', 'unit' => 'buds', 'min' => 2, 'target' => 2, 'max' => 3];
        $task = $this->visitTask();
        $task->update(['prescribed' => $this->prescription(['amounts' => [$height, $buds]])]);
        $task->log()->create([
            'plant_id' => $task->plant_id, 'task' => 'x', 'season' => 2027, 'on' => '2027-02-20', 'outcome' => 'done',
            'amounts' => [['what' => 'old stems to take out', 'unit' => 'stems', 'value' => 2]], 'findings' => [],
        ]);
        $kept = static fn (): array => [
            DB::table('visit_tasks')->value('prescribed'), DB::table('work_logs')->value('amounts'),
        ];
        $ofOld = $kept();
        $migration = require database_path('migrations/2026_11_30_000000_keep_what_an_amount_does.php');
        $migration->up();
        $task->refresh();
        self::assertSame(400, $task->prescribed->amount(Effect::CutHeight)?->target);
        self::assertNull($task->prescribed->amounts[1]->effect, 'what nothing follows from has no effect');
        self::assertSame(
            [['effect' => 'old-stems-out', 'what' => 'old stems to take out', 'unit' => 'stems', 'value' => 2]],
            $task->log()->sole()->amounts,
        );
        $migration->down();
        self::assertSame($ofOld, $kept());
    }
}
