<?php

declare(strict_types=1);

namespace Tests\Feature\Office;

use App\Ground\Models\Crew;
use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use App\Ground\Models\SeasonReport;
use App\Ground\Models\Visit;
use App\Office\Reports\MakeReport;
use App\Office\Reports\ReportCalculator;
use Illuminate\Support\Facades\DB;
use Tests\Feature\FeatureTestCase;

/** What a season came to: hours against what was forecast, windows, green waste, renewal, findings. */
final class ReportsTest extends FeatureTestCase
{
    public function test_hours_are_told_by_garden_kind_and_crew_with_what_they_rest_on(): void
    {
        $this->logged('2027-02-20', 2027, 60, 45);
        $this->logged('2027-02-21', 2027, 30, 50);
        $this->logged('2027-02-22', 2027, 30, 99, ['outcome' => 'not-done']);
        $this->logged('2027-02-22', 2027, 30, null);
        $this->logged('2026-02-22', 2026, 500, 500);
        $other = Garden::factory()->create(['name' => 'Quarry Hill']);
        $this->logged('2027-02-23', 2027, 10, 200, [], Plant::factory()->create([
            'garden_id' => $other->id, 'kind' => 'lilac',
        ]), null);
        $hours = array_map(
            static fn (array $rows): array => array_map(array_values(...), $rows), $this->calculated()['hours'],
        );
        self::assertSame([['Quarry Hill', 10, 200, 1], ['Millrace House', 90, 95, 2]], $hours['garden']);
        self::assertSame([['Lilac', 10, 200, 1], ['Wisteria', 90, 95, 2]], $hours['kind']);
        self::assertSame([['No crew', 10, 200, 1], ['Wren crew', 90, 95, 2]], $hours['crew']);
        self::assertSame([['2026', 500, 500, 1], ['2027', 100, 295, 3]], $hours['season']);
    }

    public function test_windows_waste_renewal_and_findings_are_counted(): void
    {
        // Its window opens on 1 January and closes on 16 March.
        $this->logged('2027-02-20', 2027, 60, 45, ['findings' => '["disease","suckers"]']);
        $this->logged('2027-03-17', 2027, 60, 45, ['findings' => '["disease"]']);
        $this->logged('2026-12-31', 2027, 60, 45, ['findings' => '["all-well"]']);
        $missed = ['garden_id' => $this->garden->id, 'plant_id' => $this->wisteria->id, 'kind' => 'wisteria',
            'season' => 2027, 'task' => 'x', 'name' => 'X', 'method' => 'x', 'opens' => 1, 'best_from' => 1,
            'best_to' => 1, 'closes' => 100, 'minutes' => 10, 'people' => 1, 'skills' => '[]', 'done' => false];
        DB::table('season_tasks')->insert([$missed, [...$missed, 'task' => 'y', 'done' => true],
            [...$missed, 'task' => 'z', 'closes' => 9_999_999]]);
        foreach ([2025, 2026, 2027] as $season) {
            $this->logged("$season-05-01", $season, 10, 10, ['recipe' => 'renew-by-thirds']);
        }
        $once = Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => 'lilac']);
        $this->logged('2027-05-01', 2027, 10, 10, ['recipe' => 'renew-by-thirds'], $once);
        $result = $this->calculated();
        self::assertSame(['kept' => 1, 'early' => 1, 'late' => 3, 'missed' => 1], $result['windows']);
        self::assertSame([1 => 1, 2 => 0, 3 => 1], $result['renewal']);
        self::assertSame(
            [['disease', 2], ['suckers', 1]],
            array_map(static fn (array $row): array => [$row['finding'], $row['count']], $result['findings']),
        );
        self::assertSame(['2026-12', '2027-02', '2027-03', '2027-05'], array_keys($result['waste']));
        self::assertGreaterThan(0, $result['waste']['2027-02']);
    }

    public function test_a_season_in_which_nothing_was_done_yet_says_so(): void
    {
        (new MakeReport(2027))->handle($this->app->make(ReportCalculator::class));
        $this->actingAs($this->planner())->get('/reports?season=2027')->assertOk()
            ->assertSee('Nobody has logged minutes in this season yet.')->assertSee('Nothing of that yet.')
            ->assertSee('No problems found.');
    }

    public function test_diseases_are_told_by_name_and_shown_alone_on_the_map(): void
    {
        $ill = fn (string $disease, string $on, ?Garden $garden = null): Plant => Plant::factory()->create([
            'garden_id' => ($garden ?? $this->garden)->id, 'kind' => 'apple', 'state' => ['disease' => $disease],
            'state_on' => $on,
        ]);
        $south = Garden::factory()->create(['name' => 'Down south', 'latitude' => -37.8, 'longitude' => 145]);
        $ill('fire-blight', '2027-05-01');
        $ill('fire-blight', '2027-06-01');
        $ill('canker', '2026-12-31');
        // Of the seasons before and after, here and there.
        $ill('canker', '2026-10-01');
        $ill('canker', '2028-01-05');
        $ill('canker', '2027-05-01', $south);
        $ill('canker', '2028-03-01', $south);
        $ill('canker', '2027-05-01')->delete();
        $this->logged('2027-02-20', 2027, 60, 90, ['findings' => '["suckers"]']);
        self::assertSame(
            [['Millrace House', 'suckers', 1], ['Millrace House', 'fire-blight', 2], ['Millrace House', 'canker', 1],
                ['Down south', 'canker', 1]],
            array_map(
                static fn (array $row): array => [$row['garden'], $row['finding'], $row['count']],
                $this->calculated()['findings'],
            ),
        );
        (new MakeReport(2027))->handle($this->app->make(ReportCalculator::class));
        $dots = fn (string $more): int => substr_count((string) $this->actingAs($this->planner())
            ->get("/reports?season=2027$more")->assertOk()->getContent(), 'class="r-dot"');
        self::assertSame([4, 1, 2, 4], [
            $dots(''), $dots('&finding=fire-blight'), $dots('&finding=canker'), $dots('&finding=nothing'),
        ]);
        $this->get('/reports?season=2027&finding=fire-blight')->assertSee('Findings: fire blight')
            ->assertSee('All on the map')->assertSee('Canker');
    }

    public function test_it_is_calculated_in_the_background_and_drawn_with_its_tables(): void
    {
        $this->logged('2027-02-20', 2027, 60, 90, ['findings' => '["disease"]']);
        $this->actingAs($this->planner())->get('/reports')->assertOk()->assertSee('Calculating');
        // Before it is calculated there is no table.
        $this->get('/reports/2027/garden')->assertNotFound();
        (new MakeReport(2027))->handle($this->app->make(ReportCalculator::class));
        $this->get('/record')->assertSee('Season report');
        $page = $this->get('/reports?season=2027')->assertOk()->assertDontSee('Calculating')
            ->assertSeeInOrder(['Hours, forecast and fact', 'By garden', 'Millrace House', 'Windows', 'kept',
                'Findings', 'Disease']);
        self::assertSame(1, substr_count((string) $page->getContent(), 'class="r-dot"'));
        self::assertSame(4, substr_count((string) $page->getContent(), 'class="r-over"'), 'it took longer');
        $this->get('/reports/2027/garden')->assertOk()
            ->assertContent("name,planned_minutes,took_minutes,lines\r\nMillrace House,60,90,1\r\n");
        self::assertStringContainsString('Millrace House', (string) $this->get('/reports/2027/findings')->getContent());
        foreach (['windows', 'waste', 'renewal', 'kind', 'crew', 'season'] as $of) {
            $this->get("/reports/2027/$of")->assertOk();
        }
        $this->get('/reports/2027/everything')->assertNotFound();
        $this->get('/reports/2019/garden')->assertNotFound();
        $this->travel(1)->minutes();
        $this->post('/reports?season=2027')->assertRedirect('/reports?season=2027');
        self::assertTrue(SeasonReport::query()->findOrFail(2027)->isUnderWay());
        $this->post('/reports?season=1066')->assertNotFound();
        $this->get('/reports?season[]=x')->assertOk();
    }

    /** @return array<string, mixed> */
    private function calculated(): array
    {
        return $this->app->make(ReportCalculator::class)->of(2027, \App\Ground\Support\Today::day());
    }

    /** @param  array<string, mixed>  $said */
    private function logged(
        string $on,
        int $season,
        int $planned,
        ?int $took,
        array $said = [],
        ?Plant $plant = null,
        ?Crew $crew = new Crew,
    ): void {
        $plant ??= $this->wisteria;
        $prescribed = DB::table('visit_tasks')->value('prescribed')
            ?? json_encode($this->visitTask()->prescribed->toArray(), JSON_THROW_ON_ERROR);
        $visit = Visit::query()->create([
            'garden_id' => $plant->garden_id, 'on' => $on, 'crew_id' => $crew === null ? null : $this->crew->id,
        ]);
        $task = DB::table('visit_tasks')->insertGetId([
            'visit_id' => $visit->id, 'plant_id' => $plant->id, 'task' => 'winter-pass', 'season' => $season,
            'position' => 0, 'minutes' => $planned, 'prescribed' => $prescribed,
        ]);
        DB::table('work_logs')->insert([
            'visit_task_id' => $task, 'plant_id' => $plant->id, 'task' => 'winter-pass', 'season' => $season,
            'on' => $on, 'outcome' => 'done', 'minutes' => $took, 'findings' => '[]', 'amounts' => '[]', ...$said,
        ]);
    }
}
