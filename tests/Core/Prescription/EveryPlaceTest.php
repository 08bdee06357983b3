<?php

declare(strict_types=1);

namespace Tests\Core\Prescription;

use App\Knowledge\PlantBookFiles;
use App\Knowledge\ReferenceSites;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Drawing\Ring;
use PruningHook\Core\Drawing\Strip;
use PruningHook\Core\Planning\PlantYear;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Prescription\CutOn;
use PruningHook\Core\Prescription\Prescriber;
use Tests\Support\Prescribing;
use Tests\Support\TestBook;

/**
 * Everything that wall, garden, plant and kind show, worked out for every kind at twenty places on four days: wherever
 * something cannot be, it is said, and the rest stands. The pages themselves: tests/Feature/Season/EveryPlaceTest.
 */
final class EveryPlaceTest extends TestCase
{
    use Prescribing;

    public const DAYS = ['2027-01-15', '2027-04-15', '2027-07-15', '2027-10-15'];

    #[DataProvider('places')]
    public function test_every_kind_is_worked_out_there_on_four_days(Site $site): void
    {
        $book = TestBook::read();
        $years = SiteYears::of($site);
        $prescriber = Prescriber::with($book);
        foreach ($book->all() as $kind) {
            $plant = new Plant('p', $kind->id);
            foreach (self::DAYS as $on) {
                $today = $this->day($on);
                $span = Span::of($today->minus(45), $today->plus(319));
                $year = PlantYear::gather($book, $plant, $years, $this->practice(), $today, $span);
                $runs = CutOn::with($book)->through($plant, $years, $span, $this->practice());
                self::assertSame(
                    365,
                    array_sum(array_map(static fn ($run): int => $run->from->daysUntil($run->to) + 1, $runs)),
                    $kind->id,
                );
                self::assertSame(365.0, Strip::of($year)->width);
                self::assertNotEmpty(Ring::of($year, $runs)->sectors, $kind->id);
                foreach ($year->bloom as $bloom) {
                    self::assertFalse($bloom->to->isBefore($bloom->from));
                }
                if (
                    $year->bloom === []
                    && $kind->phenology->has(Anchor::BloomStart)
                    && $kind->phenology->has(Anchor::BloomEnd)
                ) {
                    self::assertNotSame([], $year->faults, "$kind->id has no bloom and does not say why");
                }
                $season = $years->holding($today);
                self::assertEquals(
                    array_map(
                        static fn ($task) => $task->timed(),
                        $prescriber->prescribe($plant, $season, $this->practice())->tasks,
                    ),
                    $prescriber->windows($plant, $season, $this->practice()),
                    "$kind->id: the cheap way in says something else than the full one",
                );
            }
        }
    }

    /** @return array<string, array{Site}> */
    public static function places(): array
    {
        $files = new PlantBookFiles(dirname(__DIR__, 3).'/plant-book', sys_get_temp_dir());

        return array_map(static fn (Site $site): array => [$site], (new ReferenceSites($files))->all());
    }

    public function test_there_are_twenty_places(): void
    {
        self::assertCount(20, self::places());
    }
}
