<?php

declare(strict_types=1);

namespace Tests\Core\Calendar;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\DayState;
use PruningHook\Core\Calendar\Hopkins;
use PruningHook\Core\Calendar\MonthDay;
use PruningHook\Core\Calendar\SeasonSeen;
use PruningHook\Core\Calendar\Shift;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\Fault;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\Observation;
use PruningHook\Core\PlantBook\SeasonReader;
use PruningHook\Core\Prescription\CutOn;
use PruningHook\Core\Prescription\Prescriber;
use Tests\Support\Prescribing;
use Tests\Support\Sites;
use Tests\Support\TestBook;

final class SeasonTest extends TestCase
{
    use Prescribing;

    /** Hopkins 1918 and 1938 (from memory): 4 days a degree of latitude, 5 degrees of longitude, 122 m. */
    #[DataProvider('journeys')]
    public function test_dates_are_carried_by_hopkins_law(Site $from, Site $to, int $days): void
    {
        self::assertSame($days, Hopkins::delay($from, $to));
        self::assertSame(-$days, Hopkins::delay($to, $from));
    }

    /** @return array<string, array{Site, Site, int}> */
    public static function journeys(): array
    {
        return [
            'one degree north' => [self::at(40, -90, 0), self::at(41, -90, 0), 4],
            'five degrees east, in North America' => [self::at(40, -90, 0), self::at(40, -85, 0), 4],
            'five degrees east, in Europe' => [self::at(50, 0, 0), self::at(50, 5, 0), 0],
            '122 m up' => [self::at(50, 0, 0), self::at(50, 0, 122), 4],
            'one degree towards the south pole' => [self::at(-40, 170, 0), self::at(-41, 170, 0), 4],
            'all at once' => [self::at(38.6, -90.2, 140), self::at(40.0, -83.0, 275), 16],
        ];
    }

    public function test_frost_dates_are_carried_and_autumn_comes_earlier_where_spring_comes_later(): void
    {
        // One degree towards the pole: spring four days later, the first frost four days earlier.
        $carried = Hopkins::carry(self::at(50, 0, 0), self::at(51, 0, 0));
        self::assertNotNull($carried);
        self::assertSame(['04-24', '10-16'], [(string) $carried['last'], (string) $carried['first']]);
        self::assertNull(Hopkins::carry(Sites::frostless(), self::at(51, 0, 0)));
    }

    public function test_one_observation_moves_no_spring_but_forsythia_is_taken_as_seen(): void
    {
        $spring = $this->read(['forsythia-bloom' => '2027-03-02']);
        self::assertSame(0, $spring->spring->days);
        self::assertSame(
            '2027-03-02',
            (string) SiteYear::of(Sites::southernEngland(), 2027, $spring)->day(Anchor::ForsythiaBloom),
        );
    }

    public function test_two_observations_move_it_by_their_middle(): void
    {
        // Forsythia is usual on 13 March, lilac on 30 April.
        self::assertSame(
            -11,
            $this->read(['forsythia-bloom' => '2027-03-02', 'lilac-bloom' => '2027-04-20'])->spring->days,
        );
    }

    public function test_one_misread_date_among_three_moves_nothing_much(): void
    {
        $spring = $this->read([
            'forsythia-bloom' => '2027-03-08',
            'plum-bloom' => '2027-03-20',
            'lilac-bloom' => '2027-06-10',
        ]);
        self::assertSame(-5, $spring->spring->days);
    }

    public function test_a_neighbours_spring_counts_by_how_late_it_is(): void
    {
        $hill = SiteYear::of(
            new Site(51.6, -1.2, 300, MonthDay::parse('05-06'), MonthDay::parse('10-14'), WinterClass::Cold),
            2027,
        );
        $spring = SeasonReader::with(TestBook::read())->read(
            [new Observation('lilac-bloom', $this->day('2027-04-23'))],
            SiteYear::of(Sites::southernEngland(), 2027),
            [[new Observation('lilac-bloom', $this->day('2027-05-05')), $hill, 'the hill']],
        );
        self::assertSame(-8, $spring->spring->days);
        self::assertSame([], $spring->days);
        self::assertStringContainsString('at the hill', $spring->inWords());
    }

    /** @param  non-empty-string  $message */
    #[DataProvider('doubtful')]
    public function test_what_no_spring_brings_is_questioned(string $event, string $on, string $message): void
    {
        $this->expectException(Fault::class);
        $this->expectExceptionMessage($message);
        SeasonReader::with(TestBook::read())->check(
            new Observation($event, $this->day($on)),
            SiteYear::of(Sites::southernEngland(), 2027),
        );
    }

    /** @return array<string, array{string, string, string}> */
    public static function doubtful(): array
    {
        return [
            'a year off' => ['forsythia-bloom', '2026-03-10', 'did you mean 2027-03-10?'],
            'months off' => ['lilac-bloom', '2027-08-10', 'is the date right?'],
            'unknown' => ['easter', '2027-04-10', 'not a sign of spring or autumn'],
            'an autumn event' => ['japanese-anemone-bloom', '2027-07-30', 'tells nothing of spring'],
        ];
    }

    public function test_a_moved_window_says_by_how_much_and_from_what(): void
    {
        $years = SiteYears::of(Sites::southernEngland(), [
            2027 => SeasonSeen::of(
                Shift::of(-10, ['forsythia bloom on 3 March, 10 days early', 'lilac bloom on 19 April, 10 days early']),
            ),
        ]);
        $task = Prescriber::with(TestBook::read())
            ->prescribe(new Plant('l', 'lilac'), $years->season(2027), $this->practice())
            ->task('after-flowering');
        self::assertNotNull($task);
        self::assertSame('2027-05-11', (string) $task->window->bestFrom);
        self::assertStringContainsString(
            'best from 11 May to 22 June instead of 21 May to 2 July',
            $this->saysBecause($task, 'Moved by this season'),
        );
        $unmoved = Prescriber::with(TestBook::read())
            ->prescribe(new Plant('l', 'lilac'), $years->season(2028), $this->practice())
            ->task('after-flowering');
        self::assertNotNull($unmoved);
        self::assertNotContains(
            'Moved by this season',
            array_map(static fn ($reason): string => $reason->rule, $unmoved->reasons),
        );
    }

    public function test_autumn_signs_move_the_autumn_and_no_spring(): void
    {
        // First frost is usual on 28 October, leaves of the apple fall two weeks later.
        $seen = $this->read(['first-frost' => '2027-10-18', 'apple-leaf-fall' => '2027-11-03']);
        self::assertSame(0, $seen->spring->days);
        self::assertSame(-9, $seen->autumn->days);
        $year = SiteYear::of(Sites::southernEngland(), 2027, $seen);
        self::assertSame(
            '2027-10-18', (string) $year->day(Anchor::FirstFrost), 'a frost that was seen is taken as seen',
        );
        self::assertSame(
            '2027-10-18', (string) $year->after()->day(Anchor::PreviousFirstFrost), 'and the next season hangs on it',
        );
    }

    public function test_an_early_autumn_brings_the_late_season_stop_forward(): void
    {
        $seen = SeasonSeen::of(
            Shift::none(),
            Shift::of(-14, [
                'apple leaf fall on 29 October, 14 days early',
                'lilac leaf fall on 29 October, 14 days early',
            ]),
        );
        $state = fn (SiteYears $years): DayState => CutOn::with(TestBook::read())->judge(
            new Plant('f', 'forsythia'), $years, $this->day('2027-09-01'), $this->practice(),
        )->state;
        self::assertSame(DayState::AtACost, $state(SiteYears::of(Sites::southernEngland())));
        self::assertSame(DayState::Closed, $state(SiteYears::of(Sites::southernEngland(), [2027 => $seen])));
    }

    public function test_what_hangs_on_midwinter_does_not_move(): void
    {
        $early = SiteYear::of(Sites::southernEngland(), 2027, SeasonSeen::of(Shift::of(-12, ['a', 'b'])));
        $task = Prescriber::with(TestBook::read())
            ->prescribe(new Plant('r', 'bush-rose'), $early, $this->practice())
            ->task('main-pruning');
        self::assertSame('2027-02-15', (string) $task?->window->bestFrom);
    }

    public function test_the_way_between_two_gardens(): void
    {
        // A degree along a meridian is 111.2 km on a ball of 6371 km.
        self::assertEqualsWithDelta(111.2, self::at(50, 0, 0)->kilometresTo(self::at(51, 0, 0)), .1);
        self::assertEqualsWithDelta(0, self::at(50, 0, 0)->kilometresTo(self::at(50, 0, 300)), .001);
    }

    /** @param  array<string, string>  $seen event to day */
    private function read(array $seen): SeasonSeen
    {
        $observations = [];
        foreach ($seen as $event => $on) {
            $observations[] = new Observation($event, Day::parse($on));
        }

        return SeasonReader::with(TestBook::read())->read($observations, SiteYear::of(Sites::southernEngland(), 2027));
    }

    private static function at(float $latitude, float $longitude, int $elevation): Site
    {
        return new Site(
            $latitude, $longitude, $elevation, MonthDay::parse('04-20'), MonthDay::parse('10-20'), WinterClass::Cool,
        );
    }
}
