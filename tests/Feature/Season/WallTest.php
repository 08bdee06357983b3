<?php

declare(strict_types=1);

namespace Tests\Feature\Season;

use App\Ground\Models\Crew;
use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use App\Season\Due\DueKeeper;
use App\Season\KeptTasks;
use App\Season\SeasonFilter;
use App\Season\Weight;
use Database\Seeders\FirmSeeder;
use Illuminate\Database\Eloquent\Factories\Sequence;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Drawing\Pressure;
use PruningHook\Core\Planning\DueTask;
use PruningHook\Core\Planning\Urgency;
use PruningHook\Core\PlantBook\PlantBook;
use Tests\Feature\FeatureTestCase;

/** What the season counts by SQL is what its tasks say one by one. */
final class WallTest extends FeatureTestCase
{
    private Day $today;

    protected function setUp(): void
    {
        parent::setUp();
        DB::table('gardens')->delete();
        DB::table('crews')->delete();
        DB::table('firms')->delete();
        $this->app->make(FirmSeeder::class)->fill(5, 20, 2);
        $this->today = Day::parse('2027-02-20');
    }

    /** The tally, the lists and the rule of `DueTask` are one and the same. */
    public function test_counts_and_lists_by_urgency_are_what_each_task_says_of_itself(): void
    {
        $ready = $this->app->make(DueKeeper::class)->ready();
        $said = [];
        foreach (DB::table('season_tasks')->get() as $row) {
            $said[KeptTasks::due($row, $this->today)->urgency->value][] = (int) $row->id;
        }
        foreach (KeptTasks::URGENCIES as $urgency) {
            $found = KeptTasks::urgent(KeptTasks::query($ready), $urgency, $this->today)
                ->pluck('id')
                ->map(intval(...))
                ->all();
            self::assertEqualsCanonicalizing($said[$urgency->value] ?? [], $found, $urgency->value);
        }
        self::assertNotEmpty($said[Urgency::Open->value]);
        self::assertNotEmpty($said[Urgency::Done->value]);
    }

    #[DataProvider('views')]
    public function test_the_weight_of_a_group_is_the_number_of_its_tasks_that_stand_in_each_step(string $address): void
    {
        $ready = $this->app->make(DueKeeper::class)->ready();
        $filter = SeasonFilter::from(Request::create($address), $this->app->make(PlantBook::class));
        $tasks = DB::table('season_tasks')->join('gardens', 'gardens.id', '=', 'season_tasks.garden_id')
            ->where('done', false)->get(['season_tasks.*', 'gardens.crew_id']);
        $shown = $filter->narrow(DB::table('season_tasks'), 'season_tasks')->pluck('id')->all();
        $key = static fn (object $row): string => (string) match ($filter->by->value) {
            'garden' => $row->garden_id,
            'kind' => $row->kind,
            'crew' => $row->crew_id,
            default => (new DueTask(KeptTasks::task($row), Day::parse('2027-02-20')))->urgency->value,
        };
        $groups = $tasks->whereIn('id', $shown)->groupBy($key)->except(['later', 'done']);
        self::assertNotEmpty($groups);
        $weights = $this->app
            ->make(Weight::class)
            ->of($filter, array_map(strval(...), $groups->keys()->all()), $this->today, $ready);
        $span = $filter->zoom->span($this->today);
        $step = Pressure::step($span);
        foreach ($groups as $name => $members) {
            for (
                $day = $step === 7 ? $span->from->monday() : $span->from;
                ! $day->isAfter($span->to);
                $day = $day->plus($step)
            ) {
                $last = $day->number + $step - 1;
                $standing = fn (string $from, string $to): int => $members
                    ->filter(static fn (object $row): bool => $row->{$from} <= $last && $row->{$to} >= $day->number)
                    ->count();
                // Days before those that are kept are not looked at: the first week may begin before them.
                if ($day->isBefore($span->from)) {
                    continue;
                }
                self::assertSame(
                    [$standing('opens', 'closes'), $standing('best_from', 'best_to')],
                    $weights[(string) $name][$day->number] ?? [0, 0],
                    "$address: $name on $day",
                );
            }
        }
    }

    /** @return list<array{string}> */
    public static function views(): array
    {
        return array_map(static fn (string $address): array => [$address], [
            '/',
            '/?by=crew',
            '/?by=kind',
            '/?by=urgency',
            '/?zoom=quarter',
            '/?zoom=month',
            '/?zoom=week&by=crew',
            '/?by=garden&kind=bush-rose',
            '/?q=rose',
            '/?by=kind&zoom=month',
        ]);
    }

    public function test_the_weeks_of_crews_are_added_up_once_and_again_as_soon_as_a_garden_of_theirs_changes(): void
    {
        $keeper = $this->app->make(DueKeeper::class);
        $filter = SeasonFilter::from(Request::create('/?by=crew'), $this->app->make(PlantBook::class));
        $crews = array_map(strval(...), Crew::query()->pluck('id')->all());
        Garden::factory()->create(['crew_id' => null]);
        $weights = function () use ($keeper, $filter, $crews): array {
            return $this->app->make(Weight::class)->of($filter, [...$crews, '0'], $this->today, $keeper->ready());
        };
        $first = $weights();
        $asked = 0;
        DB::listen(static function (QueryExecuted $query) use (&$asked): void {
            $asked += str_contains($query->sql, 'kept_weeks') && str_starts_with($query->sql, 'select') ? 1 : 0;
        });
        self::assertSame($first, $weights());
        self::assertSame(0, $asked);
        $task = DB::table('season_tasks')->where('done', false)->where('opens', '<=', $this->today->number)
            ->where('closes', '>=', $this->today->number)->first();
        Plant::query()->findOrFail($task?->plant_id)->delete();
        $then = $weights();
        self::assertGreaterThan(0, $asked);
        $monday = $this->today->monday()->number;
        self::assertLessThan($first[$crews[0]][$monday][0], $then[$crews[0]][$monday][0]);
    }

    public function test_hits_of_a_word_are_counted_to_a_thousand(): void
    {
        $this->actingAs($this->planner());
        $this->app->make(DueKeeper::class)->renewAll();
        $rows = DB::table('season_tasks')->where('done', false)->where('opens', '>', $this->today->number)
            ->where('opens', '<', $this->today->number + 40)->limit(1)->get();
        self::assertCount(1, $rows);
        $row = (array) $rows[0];
        unset($row['id']);
        $more = static function (int $from, int $to) use ($row): void {
            foreach (range($from, $to) as $hundred) {
                DB::table('season_tasks')->insert(array_map(static fn (int $nth): array => [
                    ...$row, 'task' => "more-$hundred-$nth",
                ], range(1, 100)));
            }
        };
        $more(1, 11);
        $label = DB::table('plants')->where('id', $row['plant_id'])->value('label');
        $page = $this->get('/?q='.urlencode((string) $label))->assertOk()->assertSee('1,000+')
            ->assertSee('The first 1,000, ');
        $page = $this->get('/?show=coming&list=99&q='.urlencode((string) $label))->assertOk();
        $page->assertSee('1,000+')->assertSee('of 1,000+ tasks');
        // All of a firm's are counted further.
        $this->get('/?show=coming')->assertOk()->assertDontSee('1,000+');
        $more(12, 101);
        $this->get('/?show=coming')->assertOk()->assertSee('10,000+')->assertSee('of 10,000+ tasks');
    }

    public function test_gardens_are_found_with_as_many_plants_as_stand_so(): void
    {
        $this->actingAs($this->planner());
        foreach (['bush-rose' => 70, 'wisteria' => 90] as $kind => $count) {
            Plant::factory()->count($count)->create([
                'garden_id' => Garden::factory()->create(['name' => "All of $kind"])->id, 'kind' => $kind,
                'label' => "One $kind",
            ]);
        }
        $this->app->make(DueKeeper::class)->renewAll();
        $folded = 0;
        foreach (['show=coming', 'show=open', 'kind=wisteria', 'q=wisteria', 'show=open&kind=wisteria'] as $asked) {
            $filter = SeasonFilter::from(Request::create("/?$asked"), $this->app->make(PlantBook::class));
            $rows = $filter->narrow(
                DB::table($filter->show === null ? 'kept_plants' : 'season_tasks'),
                $filter->show === null ? 'kept_plants' : 'season_tasks',
            );
            if ($filter->show !== null) {
                KeptTasks::urgent($rows, $filter->show, $this->today);
            }
            $plants = $rows->get(['plant_id', 'garden_id'])->groupBy('garden_id')
                ->map(static fn (Collection $its): int => $its->pluck('plant_id')->unique()->count());
            self::assertNotEmpty($plants->all(), $asked);
            $page = (string) $this->get("/?$asked")->assertOk()->getContent();
            if (! str_contains($page, 'class="fold"')) {
                continue;
            }
            $folded++;
            foreach ($plants as $garden => $count) {
                self::assertMatchesRegularExpression(
                    '~<b>'.preg_quote(e(DB::table('gardens')->where('id', $garden)->value('name')), '~')
                        ."</b>\\s*<span class=\"soft\">$count</span>~",
                    $page, $asked,
                );
            }
        }
        self::assertGreaterThan(3, $folded);
    }

    public function test_a_page_of_the_wall_shows_twenty_groups_and_says_how_many_there_are(): void
    {
        $this->actingAs($this->planner());
        foreach (range(1, 25) as $number) {
            $garden = Garden::factory()->create(['name' => sprintf('Zed %02d', $number)]);
            Plant::factory()->create(['garden_id' => $garden->id]);
        }
        $this->app->make(DueKeeper::class)->renewAll();
        $first = (string) $this->get('/')->assertOk()->assertSee('1 to 20 of 30 gardens')->getContent();
        self::assertSame(20, substr_count($first, '<details class="fold"'));
        $second = (string) $this->get('/?groups=2')->assertOk()->assertSee('21 to 30 of 30 gardens')->getContent();
        self::assertSame(10, substr_count($second, '<details class="fold"'));
        $this->get('/?groups=99')->assertOk()->assertSee('21 to 30 of 30 gardens');
        $this->get('/?q=zed')->assertOk()->assertDontSee('of 30 gardens')->assertSee('Zed 25');
    }

    public function test_a_garden_of_hundreds_of_plants_stands_in_pages_and_says_where_the_rest_is(): void
    {
        $garden = Garden::factory()->create(['name' => 'The park']);
        Plant::factory()->count(160)->sequence(static fn (Sequence $nth): array => [
            'label' => sprintf('Vine %03d', $nth->index), 'bed' => $nth->index % 2 === 0 ? 'East' : null,
        ])->create(['garden_id' => $garden->id]);
        $this->actingAs($this->planner());
        $page = $this->get("/gardens/$garden->id")->assertOk()->assertSee('1 to 150 of 160 plants')
            ->assertSee('More is due here: all of it, in the season');
        self::assertSame(150, substr_count((string) $page->getContent(), 'class="drawing"'));
        self::assertSame(60, count($page->viewData('rows')));
        $last = $this->get("/gardens/$garden->id?plants=2")->assertOk()->assertSee('151 to 160 of 160 plants');
        self::assertSame(10, substr_count((string) $last->getContent(), 'class="drawing"'));
        $plan = $this->get("/gardens/$garden->id/visits/plan")->assertOk()
            ->assertSee('The first to open stand here. The others are planned from');
        self::assertCount(300, $plan->viewData('rows'));
        // What was chosen elsewhere is among them, however far down it stands.
        $late = DB::table('season_tasks')->where('garden_id', $garden->id)->where('done', false)
            ->orderByDesc('opens')->orderByDesc('id')->first();
        $this->get("/gardens/$garden->id/visits/plan?tasks[]=$late->plant_id:$late->task:$late->season")->assertOk()
            ->assertSee("value=\"$late->plant_id:$late->task:$late->season\"", false);
        $this->get("/gardens/{$this->small()->id}/visits/plan")->assertDontSee('The first to open stand here');
    }

    private function small(): Garden
    {
        $garden = Garden::factory()->create();
        Plant::factory()->create(['garden_id' => $garden->id]);

        return $garden;
    }

    public function test_a_long_group_comes_a_page_at_a_time(): void
    {
        $garden = Garden::factory()->create();
        Plant::factory()->count(130)->create(['garden_id' => $garden->id]);
        $this->actingAs($this->planner());
        $this->get("/season/groups/$garden->id")
            ->assertOk()
            ->assertSee('70 of 130');
        $last = (string) $this->get("/season/groups/$garden->id?rows=3")
            ->assertOk()
            ->assertDontSee('of 130')
            ->getContent();
        self::assertSame(10, substr_count($last, 'class="drawing"'));
        self::assertSame(
            $last, (string) $this->get("/season/groups/$garden->id?rows=77")->getContent(),
            'the nearest page that is there',
        );
    }

    public function test_a_long_list_comes_a_page_at_a_time(): void
    {
        $garden = Garden::factory()->create(['name' => 'Long Garden']);
        Plant::factory()
            ->count(70)
            ->create(['garden_id' => $garden->id]);
        $page = fn (string $more): string => (string) $this->actingAs($this->planner())
            ->get("/?garden=$garden->id&show=open$more")
            ->assertOk()
            ->getContent();
        self::assertStringContainsString('1 to 50 of 70', $page(''));
        self::assertStringContainsString('51 to 70 of 70', $page('&list=2'));
        self::assertStringContainsString('51 to 70 of 70', $page('&list=9'));
    }

    public function test_the_round_pages_what_waits_and_counts_what_is_logged(): void
    {
        DB::table('visits')->delete();
        $crew = Crew::query()->firstOrFail();
        $garden = Garden::factory()->create(['crew_id' => $crew->id, 'name' => 'Waiting Garden']);
        $plant = Plant::factory()->create(['garden_id' => $garden->id, 'label' => 'The waiting one']);
        foreach (range(1, 8) as $number) {
            $visit = $garden->visits()->create(['crew_id' => $crew->id, 'on' => sprintf('2027-02-%02d', $number)]);
            $visit
                ->tasks()
                ->create([
                    'plant_id' => $plant->id,
                    'task' => "task-$number",
                    'season' => 2027,
                    'position' => 0,
                    'minutes' => 20,
                    'prescribed' => $this->prescription(),
                ]);
            \App\Ground\Models\Visit::recount($visit->id);
        }
        $this->actingAs($this->planner())
            ->get('/round')
            ->assertOk()
            ->assertSee('1 to 6 of 8 visits')
            ->assertSee('0 of 1 logged, 20 min')
            ->assertSee('The waiting one');
        $this->get('/round?waiting=2')->assertOk()->assertSee('7 to 8 of 8 visits');
        $this->get('/round?waiting=40')->assertOk()->assertSee('7 to 8 of 8 visits');
    }

    public function test_the_house_practice_lists_who_does_otherwise_a_page_at_a_time(): void
    {
        Plant::factory()
            ->count(23)
            ->create(['garden_id' => Garden::factory()->create()->id, 'practice' => ['wisteria-look' => 'relaxed']]);
        $own = Plant::query()->where('own_practice', true)->count();
        $this->actingAs($this->planner())->get('/house-practice')->assertOk()->assertSee("1 to 20 of $own plants");
        $this->get('/house-practice?plants=2')->assertOk()->assertSee("21 to $own of $own plants");
    }
}
