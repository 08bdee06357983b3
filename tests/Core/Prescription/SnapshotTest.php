<?php

declare(strict_types=1);

namespace Tests\Core\Prescription;

use PHPUnit\Framework\TestCase;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\StemCount;
use PruningHook\Core\Prescription\Snapshot;
use Tests\Support\Prescribing;

/**
 * What a crew was asked to do is written and read as one value.
 *
 * @phpstan-import-type Written from Snapshot
 */
final class SnapshotTest extends TestCase
{
    use Prescribing;

    public function test_what_is_written_is_read_back_whole(): void
    {
        foreach ([
            ['forsythia', 'after-flowering'], ['wisteria', 'winter-pass'], ['box-hedge', 'first-trim'],
            ['oak', 'winter-structure'],
        ] as [$kind, $key]) {
            $task = $this->task(new Plant('p', $kind, heightMm: 6000, stems: StemCount::of(9, 3)), $key);
            /** @var Written $written */
            $written = json_decode((string) json_encode($task->toArray()), true);
            $read = Snapshot::read($written);
            self::assertSame($task->toArray(), $read->toArray(), $kind);
            self::assertEquals($task->window, $read->window);
            self::assertEquals($task->amounts, $read->amounts);
            self::assertSame([$task->budget->capPercent, $task->budget->source], $read->cap);
            self::assertSame($task->handsOff, $read->handsOff);
        }
    }

    public function test_one_that_was_written_before_it_said_so_much_is_still_read(): void
    {
        $read = Snapshot::read([
            'key' => 'a', 'name' => 'A', 'method' => 'Thin', 'school' => null,
            'window' => [
                'opens' => '2027-01-01', 'best_from' => '2027-01-10', 'best_to' => '2027-02-10',
                'closes' => '2027-03-31',
            ],
            'amounts' => [], 'steps' => ['Do it.'], 'minutes' => 9, 'cautions' => [], 'reasons' => [],
        ]);
        self::assertSame([null, null, null, null, []], [
            $read->recipe, $read->cap, $read->handsOff, $read->kit, $read->workings,
        ]);
        self::assertSame([9, ['Do it.']], [$read->minutes, $read->steps]);
    }
}
