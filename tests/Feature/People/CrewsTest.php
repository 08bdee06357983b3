<?php

declare(strict_types=1);

namespace Tests\Feature\People;

use App\Ground\Models\Crew;
use App\Ground\Models\CrewDayOff;
use App\Ground\Models\Firm;
use Illuminate\Support\Facades\DB;
use Tests\Feature\FeatureTestCase;

/** Crews, what they can do, their weeks and days off, and the depot. */
final class CrewsTest extends FeatureTestCase
{
    private const FACTS = [
        'name' => 'Rook crew', 'people' => 3, 'skills' => ['ladder'], 'overtime' => 1,
        'week' => [1 => ['from' => '07:30', 'to' => '15:00'], 6 => ['from' => '', 'to' => '']],
    ];

    public function test_crews_stand_in_pages(): void
    {
        foreach (range(1, 21) as $number) {
            Crew::query()->create(['name' => "Crew $number"]);
        }
        $this->actingAs($this->planner())->get('/crews')->assertOk()->assertSee('1 to 20 of 22 crews');
        $this->get('/crews?page=2')->assertOk()->assertSee('21 to 22 of 22 crews');
    }

    public function test_a_crew_is_added_and_changed(): void
    {
        $this->actingAs($this->planner())->post('/crews', self::FACTS)->assertRedirect('/crews');
        $rook = Crew::query()->where('name', 'Rook crew')->firstOrFail();
        self::assertSame([3, ['ladder'], true, [1 => [450, 900]]], [
            $rook->people, $rook->skills, $rook->overtime, $rook->week,
        ]);
        $this->get("/crews/$rook->id/edit")->assertOk()->assertSee('07:30')->assertSee('None ahead')->assertSeeInOrder([
            'Their week', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday',
        ]);
        $this->put("/crews/$rook->id", [...self::FACTS, 'people' => 2, 'skills' => []])->assertSessionHasNoErrors();
        self::assertSame([2, []], [$rook->fresh()?->people, $rook->fresh()?->skills]);
        $this->get('/crews')->assertOk()->assertSee('Rook crew')->assertSee('no ladder, saw or shears');
    }

    public function test_bad_answers_are_told_by_their_field_and_nothing_is_lost(): void
    {
        $this->actingAs($this->planner())->from('/crews/create')->post('/crews', [
            'name' => 'Wren crew', 'people' => 0, 'skills' => ['juggling'],
            'week' => [1 => ['from' => '16:00', 'to' => '08:00'], 2 => ['from' => '08:00', 'to' => '']],
        ])->assertRedirect('/crews/create')->assertSessionHasErrors(['name', 'people', 'skills.0', 'week.2.to']);
        $this->get('/crews/create')->assertSee('There is a crew of that name')->assertSee('Wren crew');
        $this->post('/crews', [...self::FACTS, 'week' => [1 => ['from' => '16:00', 'to' => '08:00']]])
            ->assertSessionHasErrors(['week.1.to' => 'A day ends after it begins.']);
        self::assertSame(1, Crew::query()->count());
    }

    public function test_a_day_is_taken_off_once_and_given_back(): void
    {
        $this->actingAs($this->planner());
        $off = "/crews/{$this->crew->id}/off";
        $this->post($off, ['on' => '2027-02-24', 'why' => 'ill'])->assertSessionHas('undo');
        $this->post($off, ['on' => '2027-02-24', 'why' => 'frost'])->assertSessionHasErrorsIn('off', 'on');
        $this->get('/plan')->assertSee('is off on that day already');
        $this->post($off, ['on' => '2027-02-19', 'why' => 'frost'])->assertSessionHasErrorsIn('off', 'on');
        $this->post($off, ['on' => '2027-02-25', 'why' => ''])->assertSessionHasErrorsIn('off', 'why');
        $this->post($off, ['on' => '2027-02-25', 'why' => 'ill', 'people' => 3])
            ->assertSessionHasErrorsIn('off', 'people');
        // What was refused there stands beside that field, and the crew's own is as it was.
        $page = (string) $this->get("/crews/{$this->crew->id}/edit")->assertSee('Remove day off')
            ->assertSee('Nothing is saved yet: one answer needs another look.')->getContent();
        self::assertMatchesRegularExpression('/id="f-people-off"\s+name="people" value="3"/', $page);
        self::assertStringContainsString('id="f-people-off-wrong"', $page);
        self::assertMatchesRegularExpression('/id="f-people"\s+name="people" value="2"/', $page);
        self::assertStringNotContainsString('id="f-people-wrong"', $page);
        $day = CrewDayOff::query()->sole();
        $this->delete("/days-off/$day->id")->assertRedirect();
        self::assertSame(0, CrewDayOff::query()->count());
        $this->post($off, ['on' => '2027-02-25', 'why' => 'one ill', 'people' => 1])->assertSessionHasNoErrors();
        $this->get('/plan?week=2027-02-25')->assertSee('1 there: one ill')->assertDontSee('off: one ill');
    }

    public function test_the_depot_is_placed(): void
    {
        $this->actingAs($this->planner())->put('/depot', [
            'depot_latitude' => 95, 'depot_longitude' => '', 'usual_travel' => 300,
        ])->assertSessionHasErrors(['depot_latitude', 'depot_longitude', 'usual_travel']);
        $this->put('/depot', ['depot_latitude' => 52.18, 'depot_longitude' => -2.4, 'usual_travel' => 25])
            ->assertSessionHasNoErrors();
        $firm = Firm::ours();
        self::assertSame([52.18, -2.4, 25], [$firm->depot_latitude, $firm->depot_longitude, $firm->usual_travel]);
    }

    public function test_a_garden_has_its_set_up_and_closed_days(): void
    {
        $facts = [
            'name' => 'Millrace House',
            'client' => 'Arden',
            'latitude' => 52.2,
            'longitude' => -2.4,
            'elevation_m' => 80,
            'winter' => 'cool',
            'last_frost' => '04-22',
            'first_frost' => '10-28',
        ];
        $this->actingAs($this->planner());
        $this->put("/gardens/{$this->garden->id}", [...$facts, 'setup_minutes' => 500])
            ->assertSessionHasErrors('setup_minutes');
        $this->put("/gardens/{$this->garden->id}", [...$facts, 'setup_minutes' => 20, 'closed_days' => ['0', '3', '7']])
            ->assertSessionHasNoErrors();
        self::assertSame([20, [3, 7]], [$this->garden->fresh()?->setup_minutes, $this->garden->fresh()?->closed_days]);
        $this->put("/gardens/{$this->garden->id}", [...$facts, 'setup_minutes' => 20, 'closed_days' => ['0']]);
        self::assertSame([], $this->garden->fresh()?->closed_days);
    }

    public function test_weekdays_a_client_asks_for_are_kept_shown_and_offered_first(): void
    {
        $facts = [
            'name' => 'Millrace House', 'client' => 'Arden', 'latitude' => 52.2, 'longitude' => -2.4,
            'elevation_m' => 80, 'winter' => 'cool', 'last_frost' => '04-22', 'first_frost' => '10-28',
            'setup_minutes' => 20,
        ];
        $edit = "/gardens/{$this->garden->id}";
        $this->actingAs($this->planner())->put($edit, [...$facts, 'closed_days' => ['0', '2'],
            'wished_days' => ['0', '2', '5']])
            ->assertSessionHasErrors(['wished_days' => 'A weekday cannot be asked for and closed at once.']);
        $this->get("$edit/edit")->assertSee('A weekday cannot be asked for and closed at once.');
        $this->put($edit, [...$facts, 'closed_days' => ['0', '1'], 'wished_days' => ['0', '2', '5']])
            ->assertSessionHasNoErrors();
        self::assertSame([2, 5], $this->garden->fresh()?->wished_days);
        // Odd input is a word beside the field.
        foreach ([['wished_days' => [['1']]], ['wished_days' => ['1'], 'closed_days' => [['1']]],
            ['wished_days' => '1', 'closed_days' => '1'], ['wished_days' => ['8']]] as $odd) {
            $this->put($edit, [...$facts, ...$odd])->assertRedirect()->assertSessionHasErrors();
        }
        self::assertSame([2, 5], $this->garden->fresh()?->wished_days);
        $this->get($edit)->assertSee('Asked for:')->assertSee('Tue, Fri');
        // Today is a Saturday: the first that suits is Tuesday; without a wish Sunday, but not Monday, which is closed.
        $plan = "/gardens/{$this->garden->id}/visits/plan?tasks[]={$this->wisteria->id}:winter-pass:2027";
        $this->get($plan)->assertOk()->assertSee('value="2027-02-23"', false);
        $this->put($edit, [...$facts, 'closed_days' => ['0', '6', '7', '1'], 'wished_days' => ['0']]);
        $this->get($plan)->assertSee('value="2027-02-23"', false);
        $this->put($edit, [...$facts, 'closed_days' => ['0', '6'], 'wished_days' => ['0']]);
        $this->get($plan)->assertSee('value="2027-02-21"', false);
    }

    public function test_only_the_planner_changes_crews_and_depot(): void
    {
        foreach ([$this->lead(), $this->hand()] as $user) {
            $this->actingAs($user)->get('/crews')->assertOk()->assertDontSee('Add a crew');
            $this->get('/crews/create')->assertForbidden();
            $this->post('/crews', self::FACTS)->assertForbidden();
            $this->get("/crews/{$this->crew->id}/edit")->assertForbidden();
            $this->put("/crews/{$this->crew->id}", self::FACTS)->assertForbidden();
            $this->put('/depot', ['usual_travel' => 20])->assertForbidden();
        }
        $day = $this->crew->daysOff()->create(['on' => '2027-02-24', 'why' => 'ill']);
        $this->delete("/days-off/$day->id")->assertForbidden();
        self::assertSame(1, DB::table('crew_days_off')->count());
    }
}
