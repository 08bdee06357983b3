<?php

declare(strict_types=1);

namespace Tests\Core\Regrowth;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Regrowth\CutTime;
use PruningHook\Core\Regrowth\Future;
use PruningHook\Core\Regrowth\Likeness;
use PruningHook\Core\Regrowth\YearlyCut;
use Tests\Support\Growing;
use Tests\Support\Prescribing;
use Tests\Support\Sites;
use Tests\Support\TestBook;

/** Plants of the record as living plants: as tall and wide as they were measured, and flowering where they should. */
final class LikenessTest extends TestCase
{
    use Growing;
    use Prescribing;

    /** The model's own growth against the height the plant book works out for a cut and a season's growth. */
    #[DataProvider('cutEachSpring')]
    public function test_it_flowers_about_where_it_is_prescribed_to(string $kind, string $key): void
    {
        $plant = new Plant('p', $kind, planted: $this->day('2019-03-01'));
        $task = $this->task($plant, $key);
        $prescribed = $task->amount(Effect::FloweringHeight)->target ?? 0;
        $future = Future::withTask($this->likeness($plant, $task)->living, $task, $this->time($kind, $task));
        foreach (['bloom', 'three'] as $at) {
            $top = $future->stages[$at]->bloom->topMm ?? 0;
            self::assertGreaterThan(0.8, $top / $prescribed, "$kind, $at: $top of $prescribed mm");
            self::assertLessThan(1.1, $top / $prescribed, "$kind, $at: $top of $prescribed mm");
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function cutEachSpring(): iterable
    {
        foreach (TestBook::read()->names as $id => $names) {
            $kind = TestBook::read()->kind($id);
            foreach ($kind->growthMm === null ? [] : ['spring-cut', 'height-cut'] as $key) {
                $cuts = array_filter($kind->tasks, static fn ($task): bool => $task->key === $key);
                if ($cuts !== []) {
                    yield $id => [$id, $key];
                }
            }
        }
    }

    #[DataProvider('spreads')]
    public function test_it_is_as_wide_and_as_tall_as_it_was_measured(string $kind, int $height, int $spread): void
    {
        $plant = new Plant('p', $kind, heightMm: $height, spreadMm: $spread);
        $likeness = $this->likeness($plant, null);
        self::assertEqualsWithDelta($height, $likeness->living->heightMm(), 0.02 * $height);
        self::assertEqualsWithDelta($spread, $likeness->living->spreadMm(), 0.15 * $spread);
        self::assertStringContainsString('its height, its spread', $likeness->restsOn);
    }

    /** @return iterable<string, array{string, int, int}> */
    public static function spreads(): iterable
    {
        yield 'a narrow shrub' => ['forsythia', 2000, 1100];
        yield 'a wide shrub' => ['forsythia', 2000, 2600];
        yield 'a flat dome' => ['lavender', 500, 900];
        yield 'a small tree' => ['apple', 4000, 3500];
    }

    public function test_what_hangs_on_wires_is_as_wide_as_its_wires(): void
    {
        $narrow = $this->likeness(new Plant('p', 'grape-vine', spreadMm: 900), null)->living;
        $plain = $this->likeness(new Plant('p', 'grape-vine'), null)->living;
        self::assertSame(self::leans($plain), self::leans($narrow));
    }

    /** @return list<float> */
    private static function leans(LivingPlant $plant): array
    {
        return array_values(array_map(static fn ($axis): float => $axis->leanDeg, $plant->axes));
    }

    private function likeness(Plant $plant, ?Task $task): Likeness
    {
        return Likeness::of(
            $plant, TestBook::read()->kind($plant->kind), $this->kind($plant->kind), 2027,
            new YearlyCut($task, $task === null ? CutTime::Winter : $this->time($plant->kind, $task)),
        );
    }

    private function time(string $kind, Task $task): CutTime
    {
        $of = TestBook::read()->kind($kind);

        return CutTime::of(
            $task->window->bestFrom, $of->wood,
            KindYear::of(SiteYear::of(Sites::southernEngland(), 2027), $of->phenology),
        );
    }
}
