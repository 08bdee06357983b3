<?php

declare(strict_types=1);

namespace Tests\Feature\Season;

use App\Field\Record\LogWork;
use App\Ground\Bridge\ReadsRain;
use App\Ground\Models\Plant;
use App\Season\Weather\Outlook;
use App\Season\Weather\WeatherStation;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SiteYear;
use Tests\Feature\FeatureTestCase;
use Tests\Support\KnownWeather;
use Tests\Support\Sites;

/** What the forecast does to lists, plants and sheets, with a station whose weather is known. */
final class WeatherTest extends FeatureTestCase
{
    public function test_a_hard_frost_ahead_holds_what_is_open_and_says_until_when(): void
    {
        $this->station(['2027-02-21' => [-6.0, 2.0, 0.0]]);
        $this->actingAs($this->planner())
            ->get('/')
            ->assertOk()
            ->assertSee('Hold: hard frost')
            ->assertSee('can go on from 22 Feb');
        $this->get("/plants/{$this->wisteria->id}")
            ->assertSee('If it is cut today: possible at a cost')
            ->assertSee('-6 degrees are forecast for 21 February');
    }

    public function test_mild_and_dry_weather_holds_nothing(): void
    {
        $this->station([]);
        $this->actingAs($this->planner())->get('/')->assertDontSee('Hold:');
        $this->get("/plants/{$this->wisteria->id}")->assertSee('If it is cut today: a best day');
    }

    public function test_frost_all_week_says_so(): void
    {
        $this->station(
            array_fill_keys(
                array_map(static fn (int $day): string => sprintf('2027-02-%02d', $day), range(20, 28)) + [
                    9 => '2027-03-01',
                    10 => '2027-03-02',
                    11 => '2027-03-03',
                ],
                [-8.0, -1.0, 0.0],
            ),
        );
        $this->actingAs($this->planner())->get('/')->assertSee('all week');
    }

    public function test_work_that_is_planned_or_coming_is_not_held_in_the_lists(): void
    {
        $this->station(['2027-02-20' => [-9.0, 0.0, 0.0]]);
        $this->wisteria->delete();
        Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => 'bluebeard', 'label' => 'Bluebeard']);
        $this->actingAs($this->planner())->get('/')->assertSee('Bluebeard')->assertDontSee('Hold:');
    }

    public function test_whoever_waters_in_is_told_what_rain_has_come_since_the_cut(): void
    {
        $this->station(['2027-02-18' => [3.0, 9.0, 4.5], '2027-02-14' => [3.0, 9.0, 20.0]]);
        $cut = $this->garden->visits()->create(['on' => '2027-02-17'])->tasks()->create([
            'plant_id' => $this->wisteria->id, 'task' => 'summer-pass', 'season' => 2027, 'position' => 0,
            'minutes' => 20, 'prescribed' => $this->prescription(['recipe' => 'spur-back']),
        ]);
        $this->app->make(LogWork::class)->log($cut, ['outcome' => 'done', 'minutes' => 20, 'on' => '2027-02-17'], null);
        $task = $this->visitTask();
        $sheet = fn () => $this->actingAs($this->hand())->get("/visits/$task->visit_id");
        $sheet()->assertDontSee('since the cut');
        $task->update(['task' => 'follow-water-in', 'prescribed' => $this->prescription([
            'name' => 'Water in', 'recipe' => 'follow-up', 'window' => [
                'opens' => '2027-02-20', 'best_from' => '2027-02-20', 'best_to' => '2027-02-22',
                'closes' => '2027-02-24',
            ],
        ])]);
        $sheet()->assertSee('4.5 mm of rain since the cut');
        $this->station([]);
        $this->app->forgetInstance(Outlook::class);
        $sheet()->assertSee('No rain since the cut');
    }

    public function test_what_the_rain_has_watered_is_not_watered_in(): void
    {
        $bluebeard = Plant::factory()->create([
            'garden_id' => $this->garden->id, 'kind' => 'bluebeard', 'label' => 'Bluebeard by the gate',
        ]);
        $cut = $this->garden->visits()->create(['on' => '2027-02-20'])->tasks()->create([
            'plant_id' => $bluebeard->id, 'task' => 'spring-cut', 'season' => 2027, 'position' => 0,
            'minutes' => 20, 'prescribed' => $this->prescription(['recipe' => 'cut-to-flowering-height']),
        ]);
        $log = $this->app->make(LogWork::class)->log($cut, ['outcome' => 'done', 'minutes' => 20], null);
        $asked = function (string $today) use ($bluebeard): bool {
            config(['hook.today' => $today]);
            $this->app->forgetInstance(Outlook::class);
            $due = $this->actingAs($this->planner())->get('/?kind=bluebeard')->assertOk()->getContent();
            $plant = $this->get("/plants/$bluebeard->id")->assertOk()->getContent();
            self::assertSame(
                str_contains((string) $due, 'Water in'), preg_match('~>Water in</(h2|b)>~', (string) $plant) === 1,
                'the list and the plant say the same',
            );

            return str_contains((string) $due, 'Water in');
        };
        // What is forecast may fail to come: it is asked for until three days are over.
        $this->station(['2027-02-21' => [3.0, 9.0, 10.4]]);
        self::assertTrue($asked('2027-02-22'));
        self::assertNull($log->refresh()->rain_mm);
        self::assertFalse($asked('2027-02-23'));
        self::assertSame(10, $log->refresh()->rain_mm, 'just enough');
        // Done on another day, other rain has come after it.
        $log->update(['on' => '2027-02-18']);
        self::assertTrue($asked('2027-02-23'));
        self::assertSame(0, $log->refresh()->rain_mm);
        // Six weeks and more after a cut nothing is due any more that rain could spare.
        $log->forceFill(['rain_mm' => null])->save();
        $rain = $this->app->make(ReadsRain::class);
        $rain->readIfDue(Day::parse('2027-04-05'));
        self::assertNull($log->refresh()->rain_mm);
        $rain->readIfDue(Day::parse('2027-04-04'));
        self::assertSame(0, $log->refresh()->rain_mm);
    }

    public function test_a_crew_too_small_for_the_daylight_is_told(): void
    {
        $task = $this->visitTask();
        // Nine and a half hours of light on 20 February in southern England: 640 minutes are too many for one.
        $task->update(['minutes' => 640]);
        $this->hand();
        $sheet = fn () => $this->actingAs($this->planner())->get("/visits/$task->visit_id");
        $sheet()->assertSee('One person cannot do it all by daylight.');
        $this->lead();
        $sheet()->assertDontSee('by daylight.');
        $task->update(['minutes' => 1300]);
        $sheet()->assertSee('2 people cannot do it all by daylight.');
    }

    public function test_the_sheet_tells_the_daylight_of_its_day(): void
    {
        $visit = $this->visit();
        // At 52 degrees north on 20 February the sun is up from about seven until half past five.
        $this->actingAs($this->hand())->get("/visits/$visit->id")->assertSeeInOrder(['Daylight 07:', 'to 17:', 'h ']);
    }

    public function test_signs_are_foretold_by_warmth(): void
    {
        // Nothing is gathered until 7 February, then 3.6 degree days a day: 86 are there on 3 March, 234 on 13 April.
        $cold = [];
        for ($day = Day::parse('2027-01-01'); $day->isBefore(Day::parse('2027-02-08')); $day = $day->plus(1)) {
            $cold[(string) $day] = [0.0, 5.0, 0.0];
        }
        $this->station($cold, [10.0, 14.0, 0.0]);
        $warmth = $this->app
            ->make(Outlook::class)
            ->warmth(SiteYear::of(Sites::missouri(), 2027), Day::parse('2027-03-10'));
        $days = [];
        foreach ($warmth as $each) {
            $days[$each->kind->id] = [(string) $each->reached, (string) $each->foretold];
        }
        self::assertSame(['2027-03-03', ''], $days['forsythia']);
        self::assertSame(['', '2027-04-13'], $days['lilac']);
        self::assertSame(112, $warmth[0]->sum);
        config(['hook.today' => '2027-03-10']);
        $this->garden->update(['winter' => 'cold', 'last_frost' => '04-15']);
        $this->actingAs($this->hand())
            ->get("/gardens/{$this->garden->id}/signs")
            ->assertSeeInOrder([
                'degree days', 'Forsythia in flower', 'reached 3 Mar', 'Lilac in flower', 'about 13 Apr',
            ]);
    }

    public function test_a_published_sum_that_does_not_fit_the_climate_is_not_shown(): void
    {
        // Half a degree day a day: forsythia would flower in June.
        $this->station([], [10.0, 10.6, 0.0]);
        self::assertSame(
            [],
            $this->app->make(Outlook::class)->warmth(SiteYear::of(Sites::missouri(), 2027), Day::parse('2027-03-10')),
        );
    }

    /**
     * @param  array<string, array{float, float, float}>  $days  least, greatest and rain of single days
     * @param  array{float, float, float}  $else  of all others
     */
    private function station(array $days, array $else = [3.0, 9.0, 0.0]): void
    {
        $this->app->instance(WeatherStation::class, new KnownWeather($days, $else));
    }
}
