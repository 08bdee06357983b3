<?php

declare(strict_types=1);

namespace Tests\Core\Regrowth;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Drawing\Limb;
use PruningHook\Core\Drawing\Portrait;
use PruningHook\Core\Growth\Axis;
use PruningHook\Core\Growth\Cutting;
use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Regrowth\CutTime;
use PruningHook\Core\Regrowth\Future;
use PruningHook\Core\Regrowth\Stage;
use PruningHook\Core\Regrowth\TaskCuts;
use PruningHook\Core\Regrowth\Upbringing;
use PruningHook\Core\Regrowth\YearlyCut;
use Tests\Support\Growing;
use Tests\Support\Prescribing;
use Tests\Support\Sites;
use Tests\Support\TestBook;

/** A prescription made on a living plant, and what comes of it in three years. Common practice, no source. */
final class FutureTest extends TestCase
{
    use Growing;
    use Prescribing;

    public function test_thirds_take_the_oldest_stems_and_no_other(): void
    {
        $plant = $this->grown('forsythia', 8);
        $stems = $plant->stems();
        $task = $this->task(new Plant('p', 'forsythia', stems: null), 'after-flowering');
        $left = TaskCuts::of($plant, $task)->left;
        $gone = array_diff_key($stems, $left->stems());
        self::assertEqualsWithDelta(count($stems) / 3, count($gone), 1);
        self::assertLessThanOrEqual(
            min([9999, ...array_map(static fn (Axis $stem): int => $stem->born(), array_values($left->stems()))]),
            max([0, ...array_map(static fn (Axis $stem): int => $stem->born(), array_values($gone))]),
        );
    }

    public function test_a_cut_to_a_height_leaves_nothing_above_it_and_no_knuckle_crowded(): void
    {
        $task = $this->task(new Plant('p', 'butterfly-bush', heightMm: 1800), 'spring-cut');
        $plant = $this->raised('butterfly-bush', $task, CutTime::Winter);
        $cut = TaskCuts::of($plant, $task);
        self::assertLessThan(600, $cut->left->heightMm());
        $summer = Future::withTask($plant, $task, CutTime::Winter)->stages['bloom'];
        self::assertEqualsWithDelta(1700, $summer->plant->heightMm(), 350);
        self::assertGreaterThan(0, $summer->bloom?->flowers);
    }

    #[DataProvider('kinds')]
    public function test_whatever_is_prescribed_can_be_made_and_adds_nothing(string $kind, string $key): void
    {
        $task = $this->task(new Plant('p', $kind), $key);
        self::assertTrue(TaskCuts::draws($task));
        $plant = $this->grown($kind, 7);
        $cut = TaskCuts::of($plant, $task);
        self::assertEquals($cut->left->axes, Cutting::of($plant, $cut->cuts)->plant->axes);
        self::assertLessThan($plant->nodes(), $cut->left->nodes());
        $future = Future::withTask($plant, $task, CutTime::Winter);
        self::assertSame(array_keys(Stage::NAMES), array_keys($future->stages));
        foreach ($future->stages as $stage) {
            $portrait = Portrait::of($stage, 4000, 4000);
            self::assertNotSame([], $portrait->limbs);
            self::assertStringContainsString('tall', $portrait->says);
        }
        $goes = array_filter(
            Portrait::of($future->stages['now'], 4000, 4000)->limbs, static fn (Limb $limb): bool => $limb->goes,
        );
        self::assertNotSame([], $goes);
    }

    /** @return iterable<string, array{string, string}> */
    public static function kinds(): iterable
    {
        foreach ([
            'forsythia' => 'after-flowering', 'bush-rose' => 'main-pruning', 'wisteria' => 'winter-pass',
            'lavender' => 'after-flowering', 'miscanthus' => 'cut-down', 'apple' => 'winter-structure',
            'box-hedge' => 'first-trim', 'redcurrant' => 'winter-pass', 'late-clematis' => 'late-winter',
            'crape-myrtle' => 'winter-structure', 'raspberry-summer' => 'fruited-canes',
        ] as $kind => $task) {
            yield $kind => [$kind, $task];
        }
    }

    #[DataProvider('times')]
    public function test_a_cut_falls_where_its_window_does(string $kind, string $key, CutTime $time): void
    {
        $site = Sites::southernEngland();
        $window = $this->task(new Plant('p', $kind), $key, $site)->window;
        $book = TestBook::read()->kind($kind);
        $year = KindYear::of(SiteYear::of($site, 2027), $book->phenology);
        self::assertSame($time, CutTime::of($window->bestFrom, $book->wood, $year));
    }

    /** @return iterable<string, array{string, string, CutTime}> */
    public static function times(): iterable
    {
        yield 'before growth' => ['butterfly-bush', 'spring-cut', CutTime::Winter];
        yield 'old wood, at rest' => ['wisteria', 'winter-pass', CutTime::Winter];
        yield 'straight after bloom' => ['forsythia', 'after-flowering', CutTime::AfterBloom];
        yield 'in leaf' => ['japanese-maple', 'summer-structure', CutTime::Summer];
        yield 'a hedge in late summer' => ['beech-hedge', 'summer-trim', CutTime::Summer];
    }

    public function test_a_wisteria_in_good_hands_flowers_more_than_one_left_alone(): void
    {
        $task = $this->task(new Plant('p', 'wisteria', form: 'wall'), 'winter-pass');
        $plant = $this->raised('wisteria', $task, CutTime::Winter, 'wall');
        $left = Future::left($plant, CutTime::Winter);
        $cut = Future::withTask($plant, $task, CutTime::Winter);
        self::assertGreaterThan($left->stages['three']->bloom->flowers ?? 0.0, $cut->stages['three']->bloom?->flowers);
        self::assertLessThan($left->stages['three']->plant->nodes(), $cut->stages['three']->plant->nodes());
    }

    private function raised(string $kind, Task $task, CutTime $time, ?string $form = null): LivingPlant
    {
        return Upbringing::of($this->kind($kind, $form), 8, 2026, 'p1', new YearlyCut($task, $time));
    }
}
