<?php

declare(strict_types=1);

namespace Tests\Feature\Season;

use App\Season\TimeSteps;
use PHPUnit\Framework\TestCase;

/** Stretches counted by their edges are as many in each step as touch it. */
final class TimeStepsTest extends TestCase
{
    public function test_each_step_holds_the_stretches_that_touch_it(): void
    {
        mt_srand(7);
        foreach ([1, 7] as $days) {
            $steps = new TimeSteps(100, 160, $days);
            $changes = null;
            $stretches = [];
            for ($each = 0; $each < 200; $each++) {
                $from = mt_rand(60, 200);
                $stretches[] = [$from, $to = $from + mt_rand(0, 80), $many = mt_rand(1, 3)];
                $steps->add($changes, $from, $to, $many);
            }
            foreach ($steps->standing($changes ?? []) as $first => $count) {
                $touching = array_filter(
                    $stretches,
                    static fn (array $one): bool => $one[0] <= $first + $days - 1 && $one[1] >= $first,
                );
                self::assertSame(array_sum(array_column($touching, 2)), $count, "steps of $days days, from $first");
            }
        }
    }

    public function test_the_last_step_reaches_past_the_last_day_asked_for(): void
    {
        self::assertSame(113, (new TimeSteps(100, 108, 7))->to);
        self::assertSame([100 => 0, 107 => 0], (new TimeSteps(100, 108, 7))->standing([]));
    }
}
