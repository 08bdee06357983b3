<?php

declare(strict_types=1);

namespace Tests\Feature\Gardens;

use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\FeatureTestCase;

final class GardenAndPlantTest extends FeatureTestCase
{
    private const GARDEN = [
        'name' => 'Quarry Hill',
        'client' => 'Dr. Vance',
        'latitude' => '52.3',
        'longitude' => '-2.4',
        'elevation_m' => '320',
        'last_frost' => '05-08',
        'first_frost' => '10-12',
        'winter' => 'cold',
    ];

    private const PLANT = [
        'kind' => 'Buddleja davidii',
        'label' => 'At the terrace',
        'count' => '3',
        'height_cm' => '250',
        'planted_on' => '2020-03-01',
    ];

    public function test_a_garden_is_added_with_its_schools(): void
    {
        $this->actingAs($this->planner())
            ->post('/gardens', [...self::GARDEN, 'practice' => ['wisteria-look' => 'relaxed', 'vine-passes' => '']])
            ->assertSessionHas('said');
        $garden = Garden::query()->where('name', 'Quarry Hill')->firstOrFail();
        self::assertSame(['wisteria-look' => 'relaxed'], $garden->practice);
        $this->get("/gardens/$garden->id")->assertOk()->assertSee('No plants yet');
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('badGardens')]
    public function test_a_bad_garden_is_told_beside_the_field_and_nothing_is_lost(array $change, string $field): void
    {
        $this->actingAs($this->planner())->from('/gardens/create')->post('/gardens', [...self::GARDEN, ...$change])
            ->assertRedirect('/gardens/create')->assertSessionHasErrors($field);
        self::assertSame(1, Garden::query()->count());
        $this->get('/gardens/create')->assertSee('Dr. Vance')->assertSee('Nothing is saved yet');
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function badGardens(): array
    {
        return [
            'no name' => [['name' => ''], 'name'],
            'not on earth' => [['latitude' => '152'], 'latitude'],
            'no such day' => [['last_frost' => '02-30'], 'last_frost'],
            'another writing' => [['first_frost' => '12 Oct'], 'first_frost'],
            'frost unknown where it freezes' => [['last_frost' => ''], 'last_frost'],
            'an unknown school' => [['practice' => ['wisteria-look' => 'wild']], 'practice.wisteria-look'],
        ];
    }

    public function test_a_warm_garden_needs_no_frost_dates(): void
    {
        $this->actingAs($this->planner())
            ->post('/gardens', [...self::GARDEN, 'winter' => 'warm', 'last_frost' => '', 'first_frost' => ''])
            ->assertSessionHasNoErrors();
        self::assertNull(Garden::query()->where('name', 'Quarry Hill')->firstOrFail()->last_frost);
    }

    public function test_changing_the_site_moves_every_window(): void
    {
        $bush = Plant::factory()->create([
            'garden_id' => $this->garden->id,
            'kind' => 'butterfly-bush',
            'label' => 'Butterfly bush',
        ]);
        $this->actingAs($this->planner())
            ->get("/plants/$bush->id")
            ->assertSee('Best 18 Mar to 15 Apr');
        $this->put("/gardens/{$this->garden->id}", [
            ...self::GARDEN,
            'crew_id' => $this->crew->id,
        ])->assertSessionHasNoErrors();
        $this->get("/plants/$bush->id")->assertSee('Best 3 Apr to 1 May');
    }

    public function test_a_plant_is_added_by_its_botanical_name_with_lengths_in_centimetres(): void
    {
        $this->actingAs($this->lead())
            ->post("/gardens/{$this->garden->id}/plants", [...self::PLANT, 'hazards' => ['road']])
            ->assertSessionHasNoErrors();
        $plant = Plant::query()->where('label', 'At the terrace')->firstOrFail();
        self::assertSame(
            ['butterfly-bush', 2500, 3, ['road']],
            [$plant->kind, $plant->height_mm, $plant->count, $plant->hazards],
        );
        $this->get("/plants/$plant->id/edit")
            ->assertSee('value="250"', false)
            ->assertSee('Butterfly bush');
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('badPlants')]
    public function test_a_bad_plant_is_told_beside_the_field(array $change, string $field, string $message): void
    {
        $address = "/gardens/{$this->garden->id}/plants";
        $this->actingAs($this->planner())
            ->from("$address/create")
            ->post($address, [...self::PLANT, ...$change])
            ->assertSessionHasErrors($field);
        $this->get("$address/create")
            ->assertSee($message)
            ->assertSee('At the terrace');
        self::assertSame(1, Plant::query()->count());
    }

    /** @return array<string, array{array<string, mixed>, string, string}> */
    public static function badPlants(): array
    {
        return [
            'a misspelt kind' => [['kind' => 'Budleja'], 'kind', 'Did you mean'],
            'planted tomorrow' => [['planted_on' => '2027-02-21'], 'planted_on', 'cannot be planted in the future'],
            'no such day' => [['planted_on' => '2026-02-30'], 'planted_on', 'planting date'],
            'no plants at all' => [['count' => '0'], 'count', 'count'],
            'below the ground' => [['height_cm' => '-3'], 'height_cm', 'Heights are in centimetres'],
            'an unknown hazard' => [['hazards' => ['bear']], 'hazards.0', 'Nothing is saved yet'],
        ];
    }

    public function test_a_plant_taken_out_can_be_put_back_with_its_record(): void
    {
        $task = $this->visitTask();
        $this->actingAs($this->planner())->put("/tasks/$task->id/log", ['outcome' => 'done', 'minutes' => 40]);
        $this->delete("/plants/{$this->wisteria->id}")->assertSessionHas('undo');
        $this->get("/plants/{$this->wisteria->id}")->assertNotFound();
        $this->get("/visits/$task->visit_id")->assertOk()->assertSee('Wisteria on the south wall');
        $this->post("/plants/{$this->wisteria->id}/restore")->assertRedirect();
        $this->get("/plants/{$this->wisteria->id}/record")
            ->assertOk()
            ->assertSee('Season 2027')
            ->assertSee('40 minutes in all');
    }

    public function test_the_plant_page_explains_and_asks_what_if(): void
    {
        $page = $this->actingAs($this->hand())
            ->get("/plants/{$this->wisteria->id}")
            ->assertOk();
        $page->assertSeeInOrder([
            'Winter pass', 'Best', '2 to 3 buds', 'Source: RHS, Wisteria: pruning (from memory).',
            'Other tasks, season 2027', 'If it is cut today: a best day',
        ]);
        $this->get("/plants/{$this->wisteria->id}?cut=2027-09-15")
            ->assertSee('If it is cut on 15 Sep: closed')
            ->assertSee('will not ripen');
        $this->get("/plants/{$this->wisteria->id}?cut=nonsense")
            ->assertOk()
            ->assertSee('If it is cut today');
    }

    public function test_planning_from_a_plant_begins_with_what_it_is_due_for(): void
    {
        $page = (string) $this->actingAs($this->planner())->get("/plants/{$this->wisteria->id}")->getContent();
        self::assertMatchesRegularExpression('/data-key="p" href="[^"]*%3Awinter-pass%3A2027"/', $page);
        config(['hook.today' => '2027-05-01']);
        self::assertMatchesRegularExpression(
            '/data-key="p" href="[^"]*%3Asummer-pass%3A2027"/',
            (string) $this->get("/plants/{$this->wisteria->id}")->getContent(),
        );
    }

    public function test_an_unknown_address_says_so(): void
    {
        $this->actingAs($this->hand())->get('/plants/999')->assertNotFound()->assertSee('Not in the book');
    }

    public function test_facts_that_contradict_each_other_are_told_beside_the_field(): void
    {
        $this->actingAs($this->planner())
            ->post("/gardens/{$this->garden->id}/plants", [
                'kind' => 'hardy-kiwi-male',
                'label' => 'Kiwi',
                'count' => 1,
                'aim' => 'fruit',
            ])
            ->assertSessionHasErrors('aim');
        $this->post("/gardens/{$this->garden->id}/plants", [
            'kind' => 'box-hedge',
            'label' => 'Box',
            'count' => 1,
            'flowering_height_cm' => 90,
        ])->assertSessionHasErrors('flowering_height_cm');
        $this->post("/gardens/{$this->garden->id}/plants", [
            'kind' => 'blackberry',
            'label' => 'Bramble',
            'count' => 1,
            'grafted' => 1,
        ])->assertSessionHasErrors('grafted');
        self::assertSame(1, \App\Ground\Models\Plant::query()->count());
    }

    public function test_frost_dates_are_carried_from_the_nearest_garden(): void
    {
        $this->garden->update([
            'latitude' => 51.0,
            'longitude' => -2,
            'elevation_m' => 100,
            'last_frost' => '04-20',
            'first_frost' => '10-28',
        ]);
        \App\Ground\Models\Garden::factory()->create([
            'latitude' => 55.0,
            'longitude' => -2,
            'last_frost' => '05-20',
            'first_frost' => '10-01',
        ]);
        $this->actingAs($this->planner())
            ->getJson('/frost-dates?latitude=52&longitude=-2&elevation_m=222')
            ->assertJson(['last_frost' => '04-28', 'first_frost' => '10-20', 'winter' => 'cool'])
            ->assertJsonPath(
                'says',
                static fn (string $says): bool => str_contains($says, 'From Millrace House, 111 km away')
                    && str_contains($says, '8 days later'),
            );
        $this->getJson('/frost-dates?latitude=95')->assertJsonValidationErrors([
            'latitude', 'longitude', 'elevation_m',
        ]);
        \App\Ground\Models\Garden::query()->update(['last_frost' => null, 'first_frost' => null, 'winter' => 'warm']);
        // Without any, the nearest station stands in.
        $this->getJson('/frost-dates?latitude=52&longitude=-2&elevation_m=222')->assertJson([
            'last_frost' => '04-28', 'winter' => null,
            'says' => 'From the station of Oxford, 57 km away, by Hopkins\' law. Correct them by what you see.',
        ]);
    }

    public function test_a_garden_says_its_region_by_its_place_and_takes_correction(): void
    {
        $oak = Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => 'oak', 'height_mm' => 4000]);
        $this->actingAs($this->planner())
            ->get("/gardens/{$this->garden->id}")
            ->assertSee('maritime Europe, by its place');
        $this->get("/gardens/{$this->garden->id}/edit")->assertSee('by its place: maritime Europe');
        self::assertSame(
            '[]', DB::table('kept_plants')->where('plant_id', $oak->id)->value('closed'), 'no oak wilt here',
        );
        $facts = $this->garden->only([
            'name', 'client', 'latitude', 'longitude', 'elevation_m', 'winter', 'last_frost', 'first_frost',
        ]);
        $this->put("/gardens/{$this->garden->id}", [...$facts, 'region' => 'the moon'])->assertSessionHasErrors(
            'region',
        );
        $this->put("/gardens/{$this->garden->id}", [
            ...$facts,
            'region' => 'upper-midwest',
        ])->assertSessionHasNoErrors();
        $this->get("/gardens/{$this->garden->id}")
            ->assertSee('the upper Midwest of North America')
            ->assertDontSee('by its place');
        self::assertStringContainsString(
            'Disease closure', (string) DB::table('kept_plants')->where('plant_id', $oak->id)->value('closed'),
            'oak wilt closes it there',
        );
    }

    public function test_an_archived_garden_is_due_nothing_and_keeps_its_record(): void
    {
        $at = "/gardens/{$this->garden->id}";
        $visit = $this->visit('2027-02-25');
        $this->actingAs($this->planner())->get('/')->assertSee('Wisteria on the south wall');
        $this->post("$at/archive")->assertRedirect($at)->assertSessionHasErrors('archive');
        self::assertNull($this->garden->fresh()?->archived_on);
        $task = $visit->tasks()->firstOrFail();
        $this->put("/tasks/$task->id/log", ['outcome' => 'done', 'minutes' => 20])->assertSessionHasNoErrors();
        $this->get("$at/edit")->assertSee('Where we work no more');
        $this->post("$at/archive")->assertRedirect('/gardens')->assertSessionHas('undo');
        $this->app->forgetScopedInstances();
        $this->get('/gardens')->assertDontSee("$at\"", false)->assertSee('is archived');
        $this->get('/gardens?archived=1')->assertSee($at, false);
        $this->get('/?by=garden')->assertDontSee('Wisteria on the south wall');
        self::assertSame(0, DB::table('season_tasks')->count());
        $this->get($at)->assertSee('Archived on 20 Feb')->assertSee('Bring it back')->assertDontSee('visits/plan');
        $this->get("$at/visits/plan")->assertForbidden();
        $this->get('/record')->assertSee('Wisteria on the south wall');
        $this->get("/plants/{$this->wisteria->id}")->assertOk();
        $this->post("$at/back")->assertRedirect($at);
        $this->app->forgetScopedInstances();
        $this->get('/gardens')->assertSee($at, false);
        $this->get('/')->assertOk();
        self::assertGreaterThan(0, DB::table('season_tasks')->count());
        $this->actingAs($this->lead())->post("$at/archive")->assertForbidden();
    }
}
