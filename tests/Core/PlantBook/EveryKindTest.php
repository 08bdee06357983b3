<?php

declare(strict_types=1);

namespace Tests\Core\PlantBook;

use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\MonthDay;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\StemCount;
use Tests\Support\Prescribing;
use Tests\Support\Sites;
use Tests\Support\TestBook;

/** What must hold for every kind everywhere, whatever the plant book comes to say. */
final class EveryKindTest extends TestCase
{
    use Prescribing;
    use TestTrait;

    /** Ten sites from latitude 25 to 60, north and south; frost dates as such places have them, in round figures. */
    private const SITES = [
        [25.0, null, null, 'warm'],
        [30.0, '02-20', '12-05', 'warm'],
        [36.0, '04-05', '11-01', 'cool'],
        [42.0, '05-05', '10-08', 'cold'],
        [52.0, '04-24', '10-26', 'cool'],
        [60.0, '05-25', '09-15', 'cold'],
        [-27.0, null, null, 'warm'],
        [-34.0, '08-25', '05-28', 'cool'],
        [-42.0, '10-10', '04-28', 'cool'],
        [-46.0, '11-01', '04-05', 'cold'],
    ];

    #[DataProvider('sites')]
    public function test_every_kind_has_a_best_day_in_a_year(Site $site): void
    {
        foreach (TestBook::read()->all() as $kind) {
            $prescription = $this->prescribe(new Plant('p', $kind->id), $site);
            $days = 0;
            foreach ($prescription->tasks as $task) {
                self::assertFalse($task->window->closes->isBefore($task->window->opens));
                $midwinter = $site->hemisphere()->midwinterOf(2027);
                self::assertLessThanOrEqual(
                    SiteYears::REACH_BEFORE, $task->window->opens->daysUntil($midwinter),
                    "$kind->id $task->key opens early",
                );
                self::assertLessThanOrEqual(
                    SiteYears::REACH_AFTER, $site->hemisphere()->midwinterOf(2028)->daysUntil($task->window->closes),
                    "$kind->id $task->key closes late",
                );
                for ($day = $task->window->bestFrom; ! $day->isAfter($task->window->bestTo); $day = $day->plus(1)) {
                    foreach ($prescription->closed as $closure) {
                        self::assertFalse($closure->contains($day), "$kind->id $task->key: best and closed on $day");
                    }
                    $days++;
                }
            }
            self::assertGreaterThan(0, $days, $kind->id);
        }
    }

    /** @return iterable<string, array{Site}> */
    public static function sites(): iterable
    {
        foreach (self::SITES as [$latitude, $last, $first, $winter]) {
            yield "latitude $latitude" => [self::site($latitude, $last, $first, $winter)];
        }
    }

    public function test_a_later_last_frost_never_makes_a_window_earlier(): void
    {
        $kinds = array_keys(TestBook::read()->all());
        $this->limitTo(150)
            ->forAll(
                Generators::choose(0, count($kinds) - 1), Generators::choose(0, 40), Generators::choose(1, 25),
                Generators::elements('cold', 'cool'),
            )
            ->then(function (int $index, int $start, int $later, string $winter) use ($kinds): void {
                $kind = $kinds[$index];
                $frost = static fn (int $days): string => gmdate('m-d', (int) gmmktime(0, 0, 0, 4, 1 + $days, 2027));
                $early = $this->prescribe(new Plant('p', $kind), self::site(50, $frost($start), '10-25', $winter));
                $late = $this->prescribe(
                    new Plant('p', $kind),
                    self::site(50, $frost($start + $later), '10-25', $winter),
                );
                foreach ($early->tasks as $task) {
                    $other = $late->task($task->key);
                    self::assertNotNull($other);
                    foreach (
                        array_combine(
                            array_values($task->window->toArray()),
                            array_values($other->window->toArray()),
                        ) as $was => $is
                    ) {
                        self::assertGreaterThanOrEqual($was, $is, "$kind $task->key");
                    }
                }
            });
    }

    public function test_no_amount_takes_more_than_the_plant_has(): void
    {
        $this->limitTo(200)
            ->forAll(
                Generators::elements('forsythia', 'blackcurrant', 'rambling-rose', 'crape-myrtle', 'lilac'),
                Generators::choose(0, 40), Generators::choose(0, 40),
            )
            ->then(function (string $kind, int $old, int $young): void {
                foreach ($this->prescribe(new Plant('p', $kind, stems: StemCount::of($old, $young)))->tasks as $task) {
                    foreach ($task->amounts as $amount) {
                        self::assertTrue(
                            $amount->min <= $amount->target && $amount->target <= $amount->max,
                            "$kind $amount->what",
                        );
                        if ($amount->what === 'old stems to take out') {
                            self::assertLessThanOrEqual(intdiv($old + $young, 3), $amount->max);
                            self::assertLessThanOrEqual($old, $amount->max);
                        }
                    }
                }
            });
    }

    public function test_the_book_covers_what_a_crew_meets(): void
    {
        $book = TestBook::read();
        self::assertGreaterThanOrEqual(150, count($book->names));
        foreach (
            [
                'Hydrangea macrophylla', 'Hydrangea paniculata', 'Hydrangea arborescens', 'Hydrangea quercifolia',
                'Hydrangea petiolaris', 'clematis group 1', 'clematis group 2', 'clematis group 3', 'red currant',
                'white currant', 'gooseberry', 'summer raspberry', 'autumn raspberry', 'blueberry', 'lavender',
                'sage', 'perovskia', 'miscanthus', 'leylandii', 'yew', 'holly', 'apple', 'espalier apple', 'plum',
                'peach', 'oak', 'elm', 'birch', 'walnut', 'acer', 'rhododendron', 'camellia', 'pyracantha', 'ivy',
            ] as $name
        ) {
            self::assertNotNull($book->find($name), $name);
        }
    }

    public function test_kinds_that_do_not_break_from_bare_wood_warn_of_it(): void
    {
        foreach (['leyland-cypress', 'lawson-cypress', 'lavender', 'broom', 'california-lilac'] as $kind) {
            $said = implode(' ', $this->prescribe(new Plant('p', $kind))->tasks[0]->cautions);
            self::assertStringContainsString('does not break again from bare brown wood', $said, $kind);
        }
    }

    /**
     * University of Minnesota and USDA Forest Service (from memory): no oak is cut from April to July where oak wilt
     * occurs.
     */
    public function test_oak_and_elm_are_closed_while_their_beetles_fly_and_only_where_they_do(): void
    {
        $minnesota = new Site(45, -93.3, 250, MonthDay::parse('05-05'), MonthDay::parse('10-05'), WinterClass::Cold);
        foreach (['oak' => '2027-07-20', 'elm' => '2027-08-20'] as $kind => $last) {
            foreach ([$minnesota, Sites::missouri()] as $site) {
                $closed = $this->prescribe(new Plant('t', $kind), $site)->closed[0];
                foreach (['2027-04-03', '2027-05-20', $last] as $day) {
                    self::assertTrue($closed->contains($this->day($day)), "$kind on $day");
                }
                self::assertFalse($closed->contains($this->day('2027-02-01')), $kind);
            }
            self::assertSame(
                [], $this->prescribe(new Plant('t', $kind))->closed, "no beetle closes an $kind in England",
            );
        }
    }

    /**
     * RHS, Prunus (from memory), and common practice inland: silver leaf closes stone fruit only where springs are
     * maritime.
     */
    public function test_stone_fruit_is_pruned_at_the_end_of_winter_where_silver_leaf_is_no_matter(): void
    {
        foreach (['plum', 'damson', 'sour-cherry'] as $kind) {
            $here = $this->prescribe(new Plant('p', $kind));
            self::assertNull($here->task('late-dormant'), $kind);
            self::assertTrue($here->closed[0]->contains($this->day('2027-02-15')), $kind);
            $inland = $this->prescribe(new Plant('p', $kind), Sites::missouri());
            self::assertNotNull($inland->task('late-dormant'), $kind);
            self::assertSame([], $inland->closed, $kind);
        }
        // University of California (from memory): Eutypa enters apricots through cuts in the wet season.
        $california = new Site(38.5, -121.7, 20, MonthDay::parse('02-20'), MonthDay::parse('12-01'), WinterClass::Cool);
        self::assertTrue(
            $this->prescribe(new Plant('a', 'apricot'), $california)->closed[0]->contains($this->day('2027-01-15')),
        );
    }

    /** RHS, Fireblight (from memory): the hosts are not cut in bloom. */
    public function test_hosts_of_fire_blight_are_not_cut_in_bloom(): void
    {
        foreach (['apple', 'pear', 'quince', 'hawthorn-tree', 'rowan', 'whitebeam', 'crab-apple'] as $kind) {
            self::assertStringContainsString(
                'fire blight', $this->prescribe(new Plant('p', $kind))->closed[0]->because, $kind,
            );
        }
    }

    /** RHS, Cytisus (from memory): into green wood after flowering, never into old wood. */
    public function test_broom_is_shortened_into_the_green_and_never_cut_to_the_base(): void
    {
        $steps = implode(
            ' ',
            $this->task(new Plant('b', 'broom', stems: StemCount::of(6, 4)), 'after-flowering')->steps,
        );
        self::assertStringContainsString('33 to 66 %, into wood that is still green', $steps);
        self::assertStringContainsString('Never to the base', $steps);
        self::assertStringNotContainsString('at the base, the oldest first', $steps);
    }

    private static function site(float $latitude, ?string $last, ?string $first, string $winter): Site
    {
        return new Site(
            $latitude, 0, 100, $last === null ? null : MonthDay::parse($last),
            $first === null ? null : MonthDay::parse($first), WinterClass::from($winter),
        );
    }
}
