<?php

declare(strict_types=1);

namespace Tests\Feature\Season;

use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use Tests\Feature\FeatureTestCase;

final class SeasonTest extends FeatureTestCase
{
    public function test_the_season_sorts_by_what_closes(): void
    {
        config(['hook.today' => '2027-03-05']);
        Plant::factory()->create([
            'garden_id' => $this->garden->id,
            'kind' => 'forsythia',
            'label' => 'Forsythia at the drive',
        ]);
        $this->actingAs($this->planner())
            ->get('/')
            ->assertOk()
            ->assertSeeInOrder([
                'Fri 5 Mar 2027', 'Closing within two weeks', 'Wisteria on the south wall', 'closes in 11 days',
                'Coming in six weeks', 'Forsythia at the drive', 'opens in 31 days',
            ]);
    }

    public function test_the_wall_tells_in_words_what_it_draws(): void
    {
        $this->actingAs($this->planner())
            ->get('/')
            ->assertSee('Winter pass: open 1 January to 16 March, best 4 January to 28 February', false);
    }

    public function test_filters_stand_in_the_address(): void
    {
        $other = Garden::factory()->create(['name' => 'Quarry Hill']);
        Plant::factory()->create(['garden_id' => $other->id, 'label' => 'The other wisteria']);
        $see = fn (string $query) => $this->actingAs($this->planner())->get("/?$query")->assertOk();
        $see("garden={$other->id}")->assertSee('The other wisteria')->assertDontSee('Wisteria on the south wall');
        $see("crew={$this->crew->id}")->assertSee('Wisteria on the south wall')->assertDontSee('The other wisteria');
        $see('kind=forsythia')->assertSee('No plant matches');
        $see('q=sinensis')->assertSee('The other wisteria')->assertSee('Wisteria on the south wall');
        $see('q=quarry')->assertSee('The other wisteria')->assertDontSee('Wisteria on the south wall');
        $see('show=coming')->assertSee('Nothing is due here under this filter');
        $see('kind=nonsense&show=nonsense&garden=abc')->assertSee('Wisteria on the south wall');
    }

    public function test_the_wall_zooms_and_gathers_its_rows_otherwise(): void
    {
        Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => 'forsythia', 'label' => 'At the drive']);
        $see = fn (string $query) => $this->actingAs($this->planner())
            ->get("/?$query")
            ->assertOk();
        $see('by=kind')->assertSeeInOrder([
            'The year by kind', 'Forsythia', 'At the drive, Millrace House',
            'Wisteria on the south wall, Millrace House',
        ]);
        $see('by=crew&zoom=month')->assertSeeInOrder(['The month by crew', 'Wren crew', '15 Feb', '22 Feb']);
        $see('zoom=quarter')->assertSee('The quarter by garden')->assertSee('10 May');
        $see('zoom=century&by=mood')->assertSee('The year by garden');
    }

    public function test_an_empty_book_says_what_to_do(): void
    {
        $this->garden->delete();
        $this->actingAs($this->planner())->get('/')->assertOk()->assertSee('Nothing is due now');
        $this->actingAs($this->planner())->get('/gardens')->assertOk()->assertSee('No gardens yet');
    }

    public function test_search_knows_common_and_botanical_names_and_offers_the_nearest(): void
    {
        $ask = fn (string $text) => $this->actingAs($this->hand())->get('/search?q='.urlencode($text))->assertOk();
        $ask('Wisteria sinensis')->assertSee('Wisteria on the south wall');
        $ask('millrace')->assertSee('Millrace House');
        $ask('buddlea')->assertSee('Did you mean')->assertSee('Butterfly bush');
        $ask('')->assertSee('Common and botanical names both work');
        $ask('100%_')->assertSee('Nothing is called');
    }
}
