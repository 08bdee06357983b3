<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Field\Record\RecordScreen;
use App\Gardens\GardenScreen;
use App\Gardens\GardensScreen;
use App\Ground\History\ChangesScreen;
use App\Ground\Models\Crew;
use App\Ground\Models\DraftStatus;
use App\Ground\Models\Garden;
use App\Ground\Models\PlanDraft;
use App\Ground\Models\Plant;
use App\Ground\Support\Today;
use App\Knowledge\KindScreen;
use App\Planning\DraftScreen;
use App\Planning\PlanScreen;
use App\Planning\RoundScreen;
use App\Season\Decisions;
use App\Season\Due\DueKeeper;
use App\Season\SeasonFilter;
use App\Season\SeasonScreen;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\PlantBook\PlantBook;

/** How much a page lists before it goes on to the next: no list grows with the firm, and none is cut without a word. */
final class ListsTest extends FeatureTestCase
{
    public function test_gardens_are_listed_by_eighteen(): void
    {
        foreach (range(1, 39) as $number) {
            Garden::factory()->create(['name' => sprintf('Row %02d', $number)]);
        }
        $page = fn (string $address) => $this->app->make(GardensScreen::class)
            ->show(Request::create($address), Today::day());
        self::assertCount(18, $page('/')->gardens);
        self::assertSame(['Millrace House', 'Row 01'], $page('/')->gardens->take(2)->pluck('name')->all());
        self::assertSame('Row 18', $page('/?page=2')->gardens->firstOrFail()->name);
        self::assertCount(4, $page('/?page=3')->gardens);
    }

    public function test_a_garden_lists_twenty_visits_to_come_and_twelve_that_are_over(): void
    {
        $this->visits(22, '2027-02-25');
        $this->visits(14, '2027-01-10', waiting: false);
        // What was never logged waits with those to come, first of all.
        $this->visits(1, '2026-11-02');
        $page = $this->app->make(GardenScreen::class)->show($this->garden, Request::create('/'), Today::day());
        self::assertCount(20, $page->coming);
        self::assertSame('2026-11-02', (string) $page->coming->firstOrFail()->on);
        self::assertCount(12, $page->past);
        $second = $this->app->make(GardenScreen::class)
            ->show($this->garden, Request::create('/?visits=2'), Today::day());
        self::assertCount(2, $second->past);
    }

    public function test_a_kind_lists_a_dozen_of_its_plants_and_counts_them_all(): void
    {
        Plant::factory()->count(14)->create(['garden_id' => $this->garden->id, 'kind' => 'wisteria']);
        $page = $this->app->make(KindScreen::class)
            ->show($this->app->make(PlantBook::class)->kind('wisteria'), '', Today::day());
        self::assertSame([12, 15], [$page->ours->count(), $page->count]);
    }

    public function test_the_season_lists_a_dozen_of_each_and_fifty_of_one(): void
    {
        Plant::factory()->count(60)->create(['garden_id' => $this->garden->id, 'kind' => 'wisteria']);
        $this->app->make(DueKeeper::class)->renewAll();
        $page = function (string $address): array {
            $request = Request::create($address);
            $page = $this->app->make(SeasonScreen::class)->show(
                SeasonFilter::from($request, $this->app->make(PlantBook::class)), $request, Today::day(),
            );

            return array_map(count(...), array_filter($page->lists));
        };
        $lists = $page('/');
        self::assertSame([12], array_values(array_unique($lists)));
        $show = (string) array_key_first($lists);
        self::assertSame([$show => 50], $page("/?show=$show"));
        self::assertSame([$show => 11], $page("/?show=$show&list=2"));
    }

    #[DataProvider('fortyAndOne')]
    public function test_the_record_and_the_changes_list_forty_and_say_where_older_ones_begin(
        int $rows,
        int $listed,
        bool $older,
    ): void {
        $this->visits($rows, '2027-01-10', waiting: false, log: true);
        DB::table('changes')->delete();
        DB::table('changes')->insert(array_map(static fn (int $each): array => [
            'of' => 'plants', 'row_id' => $each, 'did' => 'changed', 'label' => "Plant $each", 'before' => '[]',
            'after' => '[]', 'at' => '2027-02-01 08:00:00',
        ], range(1, $rows)));
        $record = (new RecordScreen)->show(Request::create('/'));
        $changes = (new ChangesScreen)->show(Request::create('/'));
        self::assertSame([$listed, $listed], [$record->logs->count(), $changes->changes->count()]);
        self::assertSame([$older, $older], [$record->older !== null, $changes->older !== null]);
        if ($older) {
            self::assertCount(1, (new RecordScreen)->show(
                Request::create('/?'.http_build_query(['before' => $record->older])),
            )->logs);
            self::assertCount(1, (new ChangesScreen)->show(Request::create("/?before=$changes->older"))->changes);
        }
    }

    /** @return iterable<string, array{int, int, bool}> */
    public static function fortyAndOne(): iterable
    {
        yield 'forty' => [40, 40, false];
        yield 'forty-one' => [41, 40, true];
    }

    public function test_a_round_lists_a_day_and_a_little_on_either_side(): void
    {
        $this->visits(14, '2027-02-20');
        $this->visits(8, '2027-02-12');
        $this->visits(14, '2027-02-21');
        $page = $this->app->make(RoundScreen::class)->show($this->hand(), Request::create('/'), Today::day());
        self::assertSame([12, 6, 6, 4], [
            $page->now->count(), $page->unlogged->count(), $page->coming->count(), $page->past->count(),
        ]);
        // The round itself, and what a crew works through in two days.
        self::assertCount(25, $page->pocket);
        $second = $this->app->make(RoundScreen::class)
            ->show($this->hand(), Request::create('/?today=2&waiting=2'), Today::day());
        self::assertSame([2, 2], [$second->now->count(), $second->unlogged->count()]);
        $all = $this->app->make(RoundScreen::class)
            ->show($this->planner(), Request::create('/'), Today::day());
        self::assertSame([null, []], [$all->crew, $all->pocket]);
    }

    public function test_from_thirty_visits_on_nobody_counts_them(): void
    {
        $says = fn (): array => array_column(
            $this->app->make(Decisions::class)->of($this->planner(), Today::day()), 'says',
        );
        $this->visits(1, '2027-02-10');
        self::assertContains('One visit not logged yet', $says());
        $this->visits(28, '2027-02-10');
        self::assertContains('29 visits not logged yet', $says());
        $this->visits(1, '2027-02-10');
        self::assertContains('Thirty visits or more not logged yet', $says());
    }

    public function test_house_practice_lists_twenty_gardens_and_plants_that_have_their_own(): void
    {
        Garden::factory()->count(22)->create();
        Plant::factory()->count(22)->create(['garden_id' => $this->garden->id]);
        DB::table('gardens')->update(['own_practice' => true]);
        DB::table('plants')->update(['own_practice' => true]);
        $view = $this->actingAs($this->planner())->get(route('practice.edit'))->assertOk();
        self::assertSame([20, 20], [$view->viewData('gardens')->count(), $view->viewData('plants')->count()]);
        $second = $this->get(route('practice.edit', ['gardens' => 2, 'plants' => 2]));
        self::assertSame([3, 3], [$second->viewData('gardens')->count(), $second->viewData('plants')->count()]);
    }

    public function test_a_search_lists_two_dozen_and_says_that_there_are_more(): void
    {
        $found = fn (string $text) => $this->actingAs($this->planner())->get('/search?q='.urlencode($text));
        foreach (range(1, 24) as $number) {
            Garden::factory()->create(['name' => "Orchard Row $number"]);
        }
        $page = $found('orchard')->assertOk();
        self::assertSame([24, false], [$page->viewData('gardens')->count(), $page->viewData('more')]);
        Garden::factory()->create(['name' => 'Orchard Row again']);
        $page = $found('orchard');
        self::assertSame([24, true], [$page->viewData('gardens')->count(), $page->viewData('more')]);
        self::assertSame([$this->wisteria->id], $found("plant {$this->wisteria->id}")->viewData('plants')->modelKeys());
    }

    public function test_the_plan_shows_four_crews_twelve_weeks_and_twelve_months(): void
    {
        foreach (range(1, 5) as $number) {
            Crew::query()->create(['name' => "Crew $number"]);
        }
        Plant::factory()->count(12)->create(['garden_id' => $this->garden->id, 'kind' => 'wisteria']);
        DB::table('visits')->insert(array_fill(0, 11, [
            'garden_id' => $this->garden->id, 'on' => '2027-02-22', 'unlogged' => 0, 'waiting' => 1, 'locked' => 0,
            'confirmed' => 0,
        ]));
        $this->app->make(DueKeeper::class)->renewAll();
        $page = fn (string $address) => $this->app->make(PlanScreen::class)
            ->show(Request::create($address), Today::day());
        $first = $page('/');
        self::assertSame(['Crew 1', 'Crew 2', 'Crew 3', 'Crew 4'], array_values($first->crews));
        self::assertSame(['Crew 5', 'Wren crew'], array_values($page('/?crews=2')->crews));
        self::assertSame([4, 12, 12], [
            count($first->weeks), count(current($first->weeks) ?: []), count($first->months),
        ]);
        self::assertCount(10, $first->waiting);
        self::assertSame(11, $first->counts['unplanned'], 'eleven stands for more than ten');
        self::assertCount(10, $first->crewless);
        self::assertSame(['2027-02-15', '2027-02-21'], [(string) $first->days[0], (string) $first->days[6]]);
    }

    public function test_only_the_crews_whose_week_fits_are_shown_card_by_card(): void
    {
        $rook = Crew::query()->create(['name' => 'Zander crew']);
        $full = fn (string $address = '/'): array => $this->app->make(PlanScreen::class)
            ->show(Request::create($address), Today::day())->full;
        $this->visits(12, '2027-02-17');
        $this->visits(8, '2027-02-18', crew: $rook->id);
        self::assertSame([$this->crew->id, $rook->id], $full());
        $this->visits(1, '2027-02-18', crew: $rook->id);
        self::assertSame([$this->crew->id], $full());
        self::assertSame([$rook->id], $full("/?crew=$rook->id"));
    }

    public function test_a_draft_lists_sixty_changes_and_forty_left_out(): void
    {
        $cost = ['travel' => 0, 'setup' => 0, 'outside_best' => 0, 'overtime' => 0, 'unplaced' => 0, 'total' => 0];
        $draft = PlanDraft::query()->create([
            'status' => DraftStatus::Ready, 'share' => 1, 'from' => Day::parse('2027-02-20'),
            'to' => Day::parse('2027-05-20'), 'revision' => 0, 'seconds' => 2, 'stay' => 0, 'result' => [
                'changes' => array_fill(0, 62, [
                    'kind' => 'added', 'visit' => null, 'garden' => $this->garden->id, 'from' => null,
                    'to' => ['on' => '2027-02-22', 'crew' => $this->crew->id], 'tasks' => [], 'was' => [], 'why' => '',
                ]),
                'left' => array_fill(0, 42, ['task' => '1:x:2027', 'because' => 'no room', 'cure' => '']),
                'cost' => $cost, 'present' => $cost, 'bound' => 0.0, 'same' => 0,
            ],
        ]);
        $page = (new DraftScreen)->show($draft, Request::create('/'));
        self::assertSame(
            [60, 40, '62 visits added, none unchanged.'],
            [count($page->changes), count($page->left), $page->summary],
        );
        $second = (new DraftScreen)->show($draft, Request::create('/?changes=2'));
        self::assertSame([60, 61], array_keys($second->changes));
    }

    private function visits(
        int $number,
        string $on,
        bool $waiting = true,
        bool $log = false,
        ?int $crew = null,
    ): void {
        foreach (range(1, $number) as $each) {
            $visit = DB::table('visits')->insertGetId([
                'garden_id' => $this->garden->id, 'crew_id' => $crew ?? $this->crew->id, 'on' => $on, 'unlogged' => 0,
                'waiting' => $waiting, 'locked' => 0, 'confirmed' => 0,
            ]);
            if ($log) {
                $task = DB::table('visit_tasks')->insertGetId([
                    'visit_id' => $visit, 'plant_id' => $this->wisteria->id, 'task' => "task-$each", 'season' => 2027,
                    'position' => 1, 'prescribed' => json_encode($this->prescription()), 'minutes' => 5,
                ]);
                DB::table('work_logs')->insert([
                    'visit_task_id' => $task, 'plant_id' => $this->wisteria->id, 'task' => "task-$each",
                    'season' => 2027, 'on' => $on, 'outcome' => 'done', 'amounts' => '[]', 'findings' => '[]',
                ]);
            }
        }
    }
}
