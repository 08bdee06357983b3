<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Plant\Plant;
use Tests\Support\Prescribing;
use Tests\Support\Sites;
use Tests\Support\TestBook;

/**
 * Each kind's best days against a published calendar or guide, on a site of the region it is written for. Calendars
 * speak in whole months, so our best days may reach two weeks over either end, and must cover at least a third of the
 * months named. All months are from memory.
 */
final class PublishedCalendarTest extends TestCase
{
    use Prescribing;

    private const TOLERANCE = 14;

    #[DataProvider('published')]
    public function test_the_best_days_lie_in_the_months_published(
        string $kind,
        string $task,
        Site $site,
        string $from,
        string $to,
    ): void {
        $window = $this->task(new Plant('p', $kind), $task, $site)->window;
        $first = Day::parse($from);
        $last = Day::parse($to);
        self::assertGreaterThanOrEqual(
            $first->minus(self::TOLERANCE)->number, $window->bestFrom->number, "best from $window->bestFrom",
        );
        self::assertLessThanOrEqual(
            $last->plus(self::TOLERANCE)->number, $window->bestTo->number, "best to $window->bestTo",
        );
        $shared = Day::latest($first, $window->bestFrom)->daysUntil(Day::earliest($last, $window->bestTo)) + 1;
        self::assertGreaterThanOrEqual($first->daysUntil($last) / 3, $shared, "$shared days in common");
    }

    /** @return array<string, array{string, string, Site, string, string}> */
    public static function published(): array
    {
        $england = Sites::southernEngland();

        return [
            'RHS, Wisteria: pruning: January or February' => [
                'wisteria', 'winter-pass', $england, '2027-01-01', '2027-02-28',
            ],
            'RHS, Wisteria: pruning: July or August' => [
                'wisteria', 'summer-pass', $england, '2027-07-01', '2027-08-31',
            ],
            'RHS, Rose pruning: bush roses: February and March' => [
                'bush-rose', 'main-pruning', $england, '2027-02-01', '2027-03-31',
            ],
            'Missouri Botanical Garden, Roses: hybrid teas pruned in March, as forsythia flowers' => [
                'bush-rose', 'main-pruning', Sites::missouri(), '2027-03-01', '2027-04-07',
            ],
            'RHS, Rose pruning: climbing: late winter, to the end of February' => [
                'climbing-rose', 'prune-and-train', $england, '2027-01-15', '2027-02-28',
            ],
            'RHS, Rose pruning: rambling: after flowering, July to September' => [
                'rambling-rose', 'after-flowering', $england, '2027-07-15', '2027-09-15',
            ],
            'NC State Extension, Lagerstroemia indica: late winter, February and March' => [
                'crape-myrtle', 'winter-structure', Sites::northCarolina(), '2027-02-01', '2027-03-31',
            ],
            'RHS, Pruning group 6: Buddleja davidii: March and April' => [
                'butterfly-bush', 'spring-cut', $england, '2027-03-01', '2027-04-30',
            ],
            'RHS, Pruning group 6: Caryopteris: March and April' => [
                'bluebeard', 'spring-cut', $england, '2027-03-15', '2027-04-30',
            ],
            'RHS, Pruning group 6: Hydrangea paniculata: March' => [
                'panicle-hydrangea', 'spring-shortening', $england, '2027-03-01', '2027-03-31',
            ],
            'RHS, Pruning group 2: Forsythia: after flowering, April and May' => [
                'forsythia', 'after-flowering', $england, '2027-04-01', '2027-05-31',
            ],
            'RHS, Box: trimming: from late May into June' => [
                'box-hedge', 'first-trim', $england, '2027-05-20', '2027-06-30',
            ],
            'RHS, Box: trimming: August, done by mid-September' => [
                'box-hedge', 'second-trim', $england, '2027-08-01', '2027-09-10',
            ],
            'RHS, Blackberries: fruited canes out after harvest, to October' => [
                'blackberry', 'fruited-canes', $england, '2027-09-01', '2027-10-31',
            ],
            'RHS, Grapes: main pruning in dormancy, from late November' => [
                'grape-vine', 'rough-pass', $england, '2026-11-25', '2027-01-31',
            ],
            'PNW 507, Growing kiwifruit: dormant pruning December to February' => [
                'hardy-kiwi-female', 'winter-pass', Sites::oregon(), '2026-12-01', '2027-02-28',
            ],
            'PNW 507, Growing kiwifruit: summer pruning of females June to August' => [
                'hardy-kiwi-female', 'summer-pass', Sites::oregon(), '2027-06-01', '2027-08-31',
            ],
            'PNW 507, Growing kiwifruit: males right after bloom, June' => [
                'hardy-kiwi-male', 'after-flowering', Sites::oregon(), '2027-06-01', '2027-06-30',
            ],
            'Missouri Botanical Garden, Clethra alnifolia: late winter' => [
                'sweet-pepperbush', 'height-cut', Sites::missouri(), '2027-02-15', '2027-03-31',
            ],
            'RHS, Cherries: sour cherries after harvest, July and August' => [
                'sour-cherry', 'after-cropping', $england, '2027-07-15', '2027-08-31',
            ],
            'RHS, Prunus: ornamental cherries in midsummer' => [
                'ornamental-cherry', 'summer-tidy', $england, '2027-06-01', '2027-08-15',
            ],
            'RHS, Blackcurrants: dormant, November to February' => [
                'blackcurrant', 'winter-renewal', $england, '2026-11-15', '2027-02-28',
            ],
        ];
    }

    /** Cornell Viticulture, double pruning: the second pass just before bud break (from memory). */
    public function test_the_vines_final_pass_ends_at_bud_break(): void
    {
        $budBreak = $this->budBreak('grape-vine');
        $window = $this->task(new Plant('v', 'grape-vine'), 'final-pass')->window;
        self::assertEqualsWithDelta(0, $window->bestTo->daysUntil($budBreak), 7);
    }

    /** RHS, Prunus: cut only in growth, for silver leaf (from memory): nothing from leaf fall until bud break. */
    public function test_cherries_are_closed_while_out_of_leaf(): void
    {
        foreach (['sour-cherry', 'ornamental-cherry'] as $kind) {
            $closure = $this->prescribe(new Plant('c', $kind))->closed[0];
            self::assertTrue($closure->contains($this->budBreak($kind)));
            self::assertTrue($closure->contains($this->day('2026-11-20')));
            self::assertTrue($closure->contains($this->day('2027-01-15')));
        }
    }

    /** Common practice, no source: cane fruit before the buds swell, since swollen buds rub off. */
    public function test_blackberry_laterals_are_cut_before_the_buds_swell(): void
    {
        $window = $this->task(new Plant('b', 'blackberry'), 'laterals')->window;
        self::assertTrue($window->closes->isBefore($this->budBreak('blackberry')));
    }

    /** Common practice, no source: where there is no winter rest, roses between late December and January. */
    public function test_roses_without_winter_rest_are_pruned_at_the_turn_of_the_year(): void
    {
        foreach (['bush-rose' => 'main-pruning', 'climbing-rose' => 'prune-and-train'] as $kind => $task) {
            $window = $this->task(new Plant('r', $kind), $task, Sites::frostless())->window;
            self::assertGreaterThanOrEqual($this->day('2026-12-20')->number, $window->bestFrom->number);
            self::assertLessThanOrEqual($this->day('2027-01-31')->number, $window->bestTo->number);
        }
    }

    /** Common practice, no source: nothing that stimulates growth from six to eight weeks before the first frost. */
    public function test_the_last_trim_of_box_leaves_seven_weeks_before_frost(): void
    {
        $window = $this->task(new Plant('b', 'box-hedge'), 'second-trim')->window;
        self::assertGreaterThanOrEqual(49, $window->closes->daysUntil($this->day('2027-10-28')));
    }

    private function budBreak(string $kind): Day
    {
        return KindYear::of(
            SiteYear::of(Sites::southernEngland(), 2027),
            TestBook::read()->kind($kind)->phenology,
        )->day(Anchor::BudBreak);
    }
}
