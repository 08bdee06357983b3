<?php

declare(strict_types=1);

namespace Tests\Feature\Field;

use App\Field\Record\LogWork;
use App\Ground\Models\BloomNote;
use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use App\Ground\Models\VisitTask;
use App\Ground\Support\SearchTables;
use Illuminate\Support\Facades\DB;
use Tests\Feature\FeatureTestCase;

/** The record of the firm: searched, narrowed, read from its end; and what it says on the sheets of the next year. */
final class FirmRecordTest extends FeatureTestCase
{
    public function test_it_is_searched_and_narrowed_and_kept_as_a_link(): void
    {
        $this->log($this->visitTask(), ['findings' => ['disease'], 'left_for_next_year' => 'the oldest arm']);
        $garden = Garden::factory()->create(['name' => 'Weir House', 'crew_id' => $this->crew->id]);
        $rose = Plant::factory()->create(['garden_id' => $garden->id, 'kind' => 'bush-rose', 'label' => 'Red bed']);
        $visit = $garden->visits()->create(['crew_id' => $this->crew->id, 'on' => '2027-02-10']);
        $task = $visit->tasks()->create([
            'plant_id' => $rose->id, 'task' => 'main-pruning', 'season' => 2027, 'position' => 0, 'minutes' => 20,
            'prescribed' => $this->prescription(['name' => 'Main pruning']),
        ]);
        $this->log($task, ['outcome' => 'not-done', 'why' => 'nest', 'told' => 'the office']);
        $see = fn (string $query) => $this->actingAs($this->hand())->get("/record?$query")->assertOk();
        $see('')->assertSeeInOrder(['20 Feb', 'Wisteria', '10 Feb', 'Red bed']);
        $see('q=red')->assertSee('Red bed')->assertDontSee('the oldest arm')->assertSee('told to the office');
        $see('q=weir')->assertSee('Red bed')->assertDontSee('the oldest arm');
        $see('outcome=not-done')->assertSee('Red bed')->assertDontSee('the oldest arm');
        $see('found=disease')->assertSee('the oldest arm')->assertDontSee('Red bed');
        $see('left=1')->assertSee('the oldest arm')->assertDontSee('Red bed');
        $see('garden=Weir+House')->assertSee('Red bed')->assertDontSee('the oldest arm');
        $see('season=2020')->assertSee('No line of the record is like that.');
        $see('before=2027-02-20+1')->assertSee('Red bed')->assertDontSee('the oldest arm');
        $see('before=nonsense')->assertSee('Red bed');
    }

    public function test_a_word_that_stands_everywhere_finds_the_same_lines_as_a_rare_one(): void
    {
        $this->garden->update(['client' => 'Finch', 'address' => 'Mill Street']);
        $this->log($this->visitTask(), ['left_for_next_year' => 'the oldest arm']);
        $garden = Garden::factory()->create(['name' => 'Weir House', 'client' => 'Rosa', 'address' => 'Long Lane']);
        $rose = Plant::factory()->create(['garden_id' => $garden->id, 'kind' => 'bush-rose', 'label' => 'Rose bed']);
        $visit = $garden->visits()->create(['crew_id' => $this->crew->id, 'on' => '2027-02-10']);
        $this->log($visit->tasks()->create([
            'plant_id' => $rose->id, 'task' => 'main-pruning', 'season' => 2027, 'position' => 0, 'minutes' => 20,
            'prescribed' => $this->prescription(),
        ]), ['left_for_next_year' => 'a thin shoot']);
        $look = function (): void {
            foreach (['rose', 'ro', 'LANE', 'la'] as $word) {
                $this->actingAs($this->hand())->get("/record?q=$word")->assertOk()
                    ->assertSee('a thin shoot')->assertDontSee('the oldest arm');
            }
        };
        self::assertFalse(SearchTables::isCommon('plants', 'rose') || SearchTables::isCommon('gardens', 'lane'));
        $look();
        $row = array_diff_key((array) DB::table('plants')->find($rose->id), ['id' => 0]);
        DB::table('plants')->insert(array_map(
            static fn (int $each): array => [...$row, 'label' => "Rose $each"], range(1, 1000),
        ));
        Garden::factory()->count(25)->create(['address' => 'Mill Lane']);
        self::assertTrue(SearchTables::isCommon('plants', 'rose') && SearchTables::isCommon('plants', 'ro'));
        self::assertTrue(SearchTables::isCommon('gardens', 'lane') && SearchTables::isCommon('gardens', 'la'));
        $look();
    }

    public function test_a_season_is_drawn_as_it_stood_and_as_it_was_left(): void
    {
        $bluebeard = Plant::factory()->create([
            'garden_id' => $this->garden->id, 'kind' => 'bluebeard', 'label' => 'Blue by the gate', 'spread_mm' => 800,
        ]);
        foreach ([2025, 2026] as $season) {
            $visit = $this->garden->visits()->create(['crew_id' => $this->crew->id, 'on' => "$season-03-20"]);
            $this->log($visit->tasks()->create([
                'plant_id' => $bluebeard->id, 'task' => 'spring-cut', 'season' => $season, 'position' => 0,
                'minutes' => 20, 'prescribed' => $this->prescription($season === 2025 ? ['amounts' => [[
                    'what' => 'height at which it will flower', 'unit' => 'mm', 'min' => 1000, 'target' => 1100,
                    'max' => 1200, 'effect' => 'flowering-height',
                ]]] : []),
            ]), ['amounts' => $season === 2025 ? [
                ['effect' => 'height-before', 'what' => 'height before', 'unit' => 'mm', 'value' => 950],
                ['effect' => 'height-after', 'what' => 'height after', 'unit' => 'mm', 'value' => 350],
                ['effect' => 'old-stems-out', 'what' => 'old stems out', 'unit' => '', 'value' => 2],
            ] : [['effect' => 'height-after', 'what' => 'height after', 'unit' => 'mm', 'value' => 400]]]);
            BloomNote::query()->create([
                'plant_id' => $bluebeard->id, 'season' => $season,
                'flowering_height_mm' => $season === 2025 ? 1100 : 900,
            ]);
        }
        $this->actingAs($this->hand())->get("/plants/$bluebeard->id/record")->assertOk()->assertSeeInOrder([
            'Budget of the years',
            // Nobody measured it in 2026: it stood where it had flowered the year before.
            'Season 2026', '1.1 m tall as it stood; cut at 40 cm; flowers at about 90 cm',
            'Season 2025',
            '95 cm tall as it stood; cut at 35 cm; 2 stems out at the base; flowers at about 1.1 m',
            'Flowers were foretold at 1 m to 1.2 m. It flowered at 1.1 m.',
        ]);
    }

    public function test_it_is_read_in_pages_from_its_end(): void
    {
        $task = $this->visitTask();
        for ($day = 1; $day <= 41; $day++) {
            $visit = $this->garden->visits()->create(['on' => sprintf('2026-%02d-%02d', 1 + $day % 12, 1 + $day % 28)]);
            $this->log($visit->tasks()->create([
                ...$task->only(['plant_id', 'task', 'position', 'minutes', 'prescribed']), 'season' => 1900 + $day,
            ]), []);
        }
        $page = $this->actingAs($this->planner())->get('/record')->assertOk()->assertSee('Earlier');
        $page->assertDontSee(' 2 Jan ');
        preg_match('/before=([^"]+)"/', (string) $page->getContent(), $before);
        $rest = $this->get('/record?before='.html_entity_decode($before[1]))->assertOk()->assertDontSee('Earlier');
        self::assertSame(41, substr_count((string) $page->getContent(), '#task-')
            + substr_count((string) $rest->getContent(), '#task-'));
    }

    public function test_what_was_left_stands_on_next_years_sheet_and_a_season_tells_of_its_bloom(): void
    {
        config(['hook.today' => '2026-02-10']);
        $visit = $this->garden->visits()->create(['crew_id' => $this->crew->id, 'on' => '2026-02-10']);
        $this->log($visit->tasks()->create([
            'plant_id' => $this->wisteria->id, 'task' => 'winter-pass', 'season' => 2026, 'position' => 0,
            'minutes' => 20, 'prescribed' => $this->prescription(),
        ]), ['left_for_next_year' => 'at the back', 'left_stem' => 'C', 'removed_percent' => 20]);
        $this->log($visit->tasks()->create([
            'plant_id' => $this->wisteria->id, 'task' => 'summer-pass', 'season' => 2026, 'position' => 1,
            'minutes' => 20, 'prescribed' => $this->prescription(),
        ]), ['removed_percent' => 25]);
        BloomNote::query()->create([
            'plant_id' => $this->wisteria->id, 'season' => 2026, 'flowering_height_mm' => 2400, 'score' => 4,
        ]);
        config(['hook.today' => '2027-02-20']);
        $next = $this->visit();
        $this->actingAs($this->hand())->get("/visits/$next->id")
            ->assertSee('<b>Left for this year:</b> stem C, at the back', false);
        $this->get("/plants/{$this->wisteria->id}/record")
            ->assertSee('60 minutes in all; 40 % of its live growth taken')->assertSee('It flowered at 2.4 m, many.')
            ->assertDontSee('were foretold');
    }

    public function test_what_comes_after_a_cut_is_due_planned_put_on_a_sheet_and_logged(): void
    {
        $this->log($this->visitTask(), []);
        config(['hook.today' => '2027-07-25']);
        $plant = $this->actingAs($this->planner())->get("/plants/{$this->wisteria->id}")->assertOk();
        $plant->assertSee('Check the ties')->assertSee('winter pass was done on 20 February 2027');
        $this->get('/')->assertSee('Check the ties');
        $visit = $this->visit('2027-07-26', 'follow-ties');
        $this->get("/visits/$visit->id")->assertSee('Check the ties: none may bite.')
            ->assertDontSee('Live growth taken off');
        $this->log($visit->tasks()->firstOrFail(), ['minutes' => 8]);
        $this->get("/plants/{$this->wisteria->id}")->assertSee('Done on 26 Jul');
    }

    public function test_a_plant_is_found_by_the_number_on_its_label(): void
    {
        $number = $this->wisteria->id;
        $this->actingAs($this->hand())->get("/search?q=$number")->assertSee('Wisteria on the south wall');
        $this->get("/search?q=plant+$number")->assertSee('Wisteria on the south wall');
        $this->get('/search?q=99999')->assertSee('Nothing is called');
    }

    public function test_ways_of_cutting_one_kind_stand_side_by_side(): void
    {
        $lay = function (string $recipe, int $season, int $minutes, ?int $score): void {
            $visit = $this->garden->visits()->create(['on' => "$season-02-10"]);
            $this->log($visit->tasks()->create([
                'plant_id' => $this->wisteria->id, 'task' => 'winter-pass', 'season' => $season, 'position' => 0,
                'minutes' => 20, 'prescribed' => $this->prescription(['recipe' => $recipe]),
            ]), ['minutes' => $minutes]);
            if ($score !== null) {
                BloomNote::query()->create([
                    'plant_id' => $this->wisteria->id, 'season' => $season, 'flowering_height_mm' => 600 * $score,
                    'score' => $score,
                ]);
            }
        };
        $lay('spur-back', 2024, 30, 4);
        $lay('spur-back', 2025, 50, 5);
        $lay('light-tidy', 2026, 10, null);
        $lay('follow-up', 2023, 5, null);
        $this->actingAs($this->hand())->get('/record/compare?kind=wisteria')->assertOk()
            ->assertSeeInOrder(['Spur', '40', '4.5 of 5, at 2.7 m, 2 seasons', '10', 'not noted yet'])
            ->assertDontSee('follow-up');
        $this->get('/record/compare?kind=lilac')->assertSee('Nothing is logged as done for Lilac yet.');
        $this->get('/record/compare?kind=nonsense')->assertSee('Choose a kind');
    }

    /** @param  array<string, mixed>  $said */
    private function log(VisitTask $task, array $said): void
    {
        // @phpstan-ignore argument.type (what a test is about, and the rest as it usually is)
        $this->app->make(LogWork::class)->log($task, [
            'outcome' => 'done', 'minutes' => 30, 'on' => (string) $task->visit->on, ...$said,
        ], $this->hand());
    }
}
