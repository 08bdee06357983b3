<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Planning\PlantYear;
use PruningHook\Core\Planning\Urgency;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Plant\Plant;
use Tests\Support\Prescribing;
use Tests\Support\Sites;
use Tests\Support\TestBook;

/** A plant's time gathered once, and looked at in parts. */
final class PlantYearTest extends TestCase
{
    use Prescribing;

    #[DataProvider('days')]
    public function test_the_most_pressing_of_what_a_plant_is_due_for(string $today, bool $done, Urgency $urgency): void
    {
        self::assertSame($urgency, $this->year($today, $done)->mostPressing());
    }

    /**
     * The winter pass of a wisteria is open from 1 January to 16 March, the summer pass from 28 June to 1 September.
     */
    /** @return array<string, array{string, bool, Urgency}> */
    public static function days(): array
    {
        return [
            'open' => ['2027-02-01', false, Urgency::Open],
            'closing' => ['2027-03-10', false, Urgency::Closing],
            'just missed' => ['2027-03-25', false, Urgency::Missed],
            'long past' => ['2027-05-01', false, Urgency::Later],
            'coming' => ['2027-05-25', false, Urgency::Coming],
            'done' => ['2027-02-01', true, Urgency::Done],
        ];
    }

    public function test_what_bears_on_today_reaches_a_month_back_and_six_weeks_ahead(): void
    {
        self::assertSame(
            ['winter-pass'],
            array_map(static fn ($due): string => $due->task->key, $this->year('2027-02-01', false)->around()),
        );
        self::assertSame([], $this->year('2027-05-01', false)->around());
        self::assertSame(
            ['summer-pass'],
            array_map(static fn ($due): string => $due->task->key, $this->year('2027-05-25', false)->around()),
        );
    }

    public function test_a_stretch_keeps_its_bloom_and_closures_and_visits(): void
    {
        $cherry = PlantYear::gather(
            TestBook::read(), new Plant('p', 'sour-cherry'), SiteYears::of(Sites::southernEngland()),
            $this->practice(), $this->day('2027-02-01'), Span::of($this->day('2027-01-01'), $this->day('2027-12-31')),
        )->visitedOn([$this->day('2027-01-20'), $this->day('2027-08-02')]);
        $january = $cherry->within(Span::of($this->day('2027-01-01'), $this->day('2027-01-31')));
        self::assertCount(1, $january->closed);
        self::assertSame('Disease closure', $january->closed[0]->name);
        self::assertCount(1, $january->visits);
        self::assertSame([], $january->bloom);
        self::assertSame([], $january->tasks);
    }

    private function year(string $today, bool $done): PlantYear
    {
        $history = $done ? [new LoggedWork('winter-pass', 2027, $this->day('2027-01-20'), Outcome::Done, 50)] : [];

        return PlantYear::gather(
            TestBook::read(), new Plant('p', 'wisteria', history: $history), SiteYears::of(Sites::southernEngland()),
            $this->practice(), $this->day($today), Span::of($this->day('2027-01-01'), $this->day('2027-12-31')),
        );
    }
}
