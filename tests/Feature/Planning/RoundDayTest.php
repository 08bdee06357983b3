<?php

declare(strict_types=1);

namespace Tests\Feature\Planning;

use App\Ground\Models\CrewDayOff;
use App\Ground\Models\Firm;
use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use App\Ground\Models\Visit;
use Tests\Feature\FeatureTestCase;

/** What a crew sees before it drives off, and what the planner is asked to decide first. */
final class RoundDayTest extends FeatureTestCase
{
    public function test_the_crews_day_stands_in_driving_order_with_times_and_what_to_load(): void
    {
        Firm::query()->create([
            'name' => 'Hollowbrook', 'depot_latitude' => $this->garden->latitude + 0.1,
            'depot_longitude' => $this->garden->longitude,
        ]);
        $this->crew->update(['week' => array_fill_keys(range(1, 7), [480, 960])]);
        $this->wisteria->update(['hazards' => ['road']]);
        $this->garden->update(['notes' => 'Ring before eight.']);
        $this->visit('2027-02-20');
        // Between the depot and the first garden.
        $near = Garden::factory()->create([
            'name' => 'Weir House', 'latitude' => $this->garden->latitude + 0.05,
            'longitude' => $this->garden->longitude, 'crew_id' => $this->crew->id,
        ]);
        $this->garden = $near;
        $this->wisteria = Plant::factory()->create(['garden_id' => $near->id]);
        $this->visit('2027-02-20');
        $page = $this->actingAs($this->hand())->get('/round')->assertOk();
        $page->assertSeeInOrder([
            'Today', 'Weir House', '08:12 to', 'Millrace House', 'On the road 48 min',
        ]);
        $page
            ->assertSee('disinfectant')
            ->assertSee('Ring before eight.')
            ->assertSee('Traffic beside the plant')
            ->assertSee('To load')
            ->assertSee('Needs 2: one foots the ladder');
        self::assertSame(1, substr_count((string) $page->getContent(), 'bypass secateurs'), 'each tool once');
        $page->assertSee('16 soft ties')->assertDontSee('8 soft ties');
    }

    public function test_two_visits_to_a_garden_on_a_day_are_both_there(): void
    {
        $this->crew->update(['week' => array_fill_keys(range(1, 7), [480, 960])]);
        $first = $this->visit('2027-02-20');
        $this->wisteria = Plant::factory()->create(['garden_id' => $this->garden->id]);
        $second = $this->visit('2027-02-20');
        $this->actingAs($this->hand())->get('/round')->assertSee("/visits/$first->id\"", false)
            ->assertSee("/visits/$second->id\"", false);
        $this->actingAs($this->planner())->get('/plan?week=2027-02-20')->assertSee("data-visit=\"$second->id\"", false);
    }

    public function test_a_day_of_more_visits_than_a_list_holds_shows_every_stop(): void
    {
        foreach (range(1, 14) as $number) {
            $this->garden = Garden::factory()->create(['name' => "Garden $number", 'crew_id' => $this->crew->id]);
            $this->wisteria = Plant::factory()->create(['garden_id' => $this->garden->id]);
            $this->visit('2027-02-20');
        }
        $page = $this->actingAs($this->hand())->get('/round')->assertOk()->assertSee('That is', false);
        foreach (Visit::query()->pluck('id') as $visit) {
            $page->assertSee("/visits/$visit\"", false);
        }
    }

    public function test_a_crew_without_a_visit_today_is_told_so(): void
    {
        $this->actingAs($this->hand())->get('/round')->assertOk()->assertSee('No visit today');
    }

    public function test_the_season_opens_on_what_needs_a_decision(): void
    {
        $planner = $this->planner();
        config(['hook.today' => '2027-03-10']);
        $this->actingAs($planner)->get('/')->assertOk()->assertSee('To decide today')
            ->assertSee('closing within two weeks and on no visit');
        $this->visit('2027-03-11');
        CrewDayOff::query()->create(['crew_id' => $this->crew->id, 'on' => '2027-03-11', 'why' => 'ill']);
        $this->get('/')->assertSee('One visit on a day that is lost');
        $this->get('/?q=wisteria')->assertDontSee('To decide today');
        $this->actingAs($this->hand())->get('/')->assertDontSee('To decide today');
        Visit::query()->update(['on' => '2027-02-18', 'waiting' => true]);
        $this->actingAs($planner)->get('/')->assertSee('One visit not logged yet');
    }
}
