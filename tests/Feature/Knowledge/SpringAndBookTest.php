<?php

declare(strict_types=1);

namespace Tests\Feature\Knowledge;

use App\Ground\Models\Firm;
use App\Ground\Models\Garden;
use App\Ground\Models\Observation;
use App\Ground\Models\Plant;
use App\Knowledge\PlantBookFiles;
use App\Season\Weather\WeatherStation;
use Illuminate\Support\ServiceProvider;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\FeatureTestCase;
use Tests\Support\KnownWeather;

/** Signs of spring, the plant book and the house practice, as people meet them. */
final class SpringAndBookTest extends FeatureTestCase
{
    public function test_two_signs_move_the_gardens_windows_and_say_so(): void
    {
        config(['hook.today' => '2027-04-24']);
        $lilac = $this->plant('lilac');
        $this->actingAs($this->hand())->get("/plants/$lilac->id")->assertSee('Best 22 May to 3 Jul');
        $this->see('forsythia-bloom', '2027-03-06')->assertSessionHasNoErrors()->assertSessionHas('undo');
        $this->get("/plants/$lilac->id")->assertSee('Best 22 May to 3 Jul');
        $this->see('plum-bloom', '2027-03-18')->assertSessionHasNoErrors();
        $this->get("/gardens/{$this->garden->id}/signs")
            ->assertSee('Spring 2027 is 10 days early')
            ->assertSee('Forsythia bloom on 6 March, 10 days early');
        $this->get("/plants/$lilac->id")
            ->assertSee('Best 12 May to 23 Jun')
            ->assertSee('Moved by this season');
    }

    public function test_a_neighbouring_garden_hears_of_it_and_a_far_one_does_not(): void
    {
        config(['hook.today' => '2027-04-24']);
        $near = Garden::factory()->create(['latitude' => 51.6]);
        $far = Garden::factory()->create(['latitude' => 53.0]);
        $this->actingAs($this->planner());
        $this->see('forsythia-bloom', '2027-03-06');
        $this->see('plum-bloom', '2027-03-18');
        $this->get("/gardens/$near->id/signs")
            ->assertSee('Spring 2027 is 10 days early')
            ->assertSee('at Millrace House');
        $this->get("/gardens/$far->id/signs")->assertSee('taken as an average one');
    }

    public function test_the_same_sign_seen_again_is_corrected_and_can_be_taken_back(): void
    {
        config(['hook.today' => '2027-04-01']);
        $this->actingAs($this->hand());
        $this->see('forsythia-bloom', '2027-03-03');
        $this->see('forsythia-bloom', '2027-03-06');
        self::assertSame('2027-03-06', (string) Observation::query()->sole()->on);
        $this->delete('/signs/'.Observation::query()->sole()->id)->assertSessionHas('said', 'Taken back.');
        self::assertSame(0, Observation::query()->count());
    }

    #[DataProvider('doubtful')]
    public function test_a_doubtful_sign_is_questioned_beside_the_field(
        string $event,
        string $on,
        string $field,
        string $says,
    ): void {
        config(['hook.today' => '2027-07-01']);
        $this->actingAs($this->hand())->from("/gardens/{$this->garden->id}/signs");
        $this->see($event, $on)->assertSessionHasErrors($field);
        $this->get("/gardens/{$this->garden->id}/signs")->assertSee($says);
        self::assertSame(0, Observation::query()->count());
    }

    /** @return array<string, array{string, string, string, string}> */
    public static function doubtful(): array
    {
        return [
            'months off' => ['lilac-bloom', '2027-01-05', 'on', 'days from the usual 2027-05-01'],
            'tomorrow' => ['lilac-bloom', '2027-07-02', 'on', 'cannot have been seen in the future'],
            'no such day' => ['lilac-bloom', '2027-04-31', 'on', 'on'],
            'nothing tapped' => ['', '2027-04-20', 'event', 'Tap what was seen'],
            'something else' => ['easter', '2027-04-20', 'event', 'event'],
        ];
    }

    public function test_the_forecast_stands_on_the_sheet_of_a_visit_that_is_near(): void
    {
        $near = $this->visit('2027-02-22');
        $this->app->instance(WeatherStation::class, new KnownWeather([], [-6.0, 1.0, 0.0]));
        $this->actingAs($this->hand())
            ->get("/visits/$near->id")
            ->assertSee('Forecast: -6 to 1')
            ->assertSee('Hold: hard frost')
            ->assertSee('-6 degrees are forecast for 22 February');
        config(['hook.today' => '2027-01-20']);
        $this->get("/visits/$near->id")->assertDontSee('Forecast');
    }

    public function test_the_plant_book_is_searched_by_any_name_and_browsed(): void
    {
        $see = fn (string $query) => $this->actingAs($this->hand())->get("/plant-book?$query")->assertOk();
        $see('')->assertSee('kinds')->assertSee('Butterfly bush')->assertDontSee('Wisteria sinensis')
            ->assertSee('1 to 100 of');
        $see('page=5')->assertSee('Wisteria sinensis')->assertDontSee('Butterfly bush');
        $see('q=buddleia')->assertSee('Butterfly bush')->assertDontSee('Forsythia x intermedia');
        $see('q=Oleaceae')->assertSee('Lilac')->assertDontSee('Butterfly bush');
        $see('wood=none&habit=hedge')->assertSee('Yew')->assertDontSee('Lilac');
        $see('month=7')->assertSee('Wisteria')->assertDontSee('Blackcurrant');
        $see('month=7')->assertSee('Wisteria')->assertDontSee('Blackcurrant');
        // What was put aside is of that garden's season; another's year is another.
        $this->garden->update(['latitude' => -35, 'last_frost' => '09-20', 'first_frost' => '05-20']);
        $see('month=7')->assertDontSee('Wisteria floribunda')->assertSee('Blackcurrant');
        $see('month=99&wood=x&page=5')->assertSee('Wisteria');
        $see('q=wistria')->assertSee('No kind matches')->assertSee('Did you mean');
    }

    /** The files are read once, as an update ends, and by nobody who opens a page. */
    public function test_an_update_keeps_the_book_as_the_pages_read_it(): void
    {
        $folder = sys_get_temp_dir().'/hook-book-'.getmypid();
        mkdir($folder);
        $this->app->instance(PlantBookFiles::class, new PlantBookFiles(base_path('plant-book'), $folder));
        self::assertContains('plant-book:compile', ServiceProvider::$optimizeCommands);
        $this->artisan('plant-book:compile')->expectsOutputToContain(' kinds')->assertSuccessful()->run();
        $kept = (array) glob("$folder/plant-kinds-*.php");
        self::assertCount(1, $kept);
        $was = filemtime((string) $kept[0]);
        (new PlantBookFiles(base_path('plant-book'), $folder))->read();
        self::assertSame([$kept, $was], [(array) glob("$folder/plant-kinds-*.php"), filemtime((string) $kept[0])]);
        array_map(unlink(...), (array) glob("$folder/*"));
        rmdir($folder);
    }

    public function test_a_kinds_page_shows_its_year_tasks_schools_sources_and_our_plants(): void
    {
        $this->actingAs($this->hand())
            ->get('/plant-book/wisteria')
            ->assertOk()
            ->assertSeeInOrder([
                'Wisteria sinensis', 'Fabaceae', 'Schools', 'Wisteria look', 'In our gardens',
                'Wisteria on the south wall', 'Winter pass', 'Source: RHS, Wisteria', 'Too early:',
            ]);
        $this->get('/plant-book/crape-myrtle')->assertOk()->assertSee('None yet');
        $this->get('/plant-book/triffid')->assertNotFound();
        $this->garden->delete();
        $this->get('/plant-book/lilac')->assertOk()->assertSee('Tasks, season 2027');
    }

    public function test_the_house_practice_changes_every_prescription_that_does_not_choose_otherwise(): void
    {
        $house = $this->plant('crape-myrtle');
        $own = $this->plant('crape-myrtle', ['practice' => ['crape-myrtle-height' => 'natural']]);
        $this->actingAs($this->planner())
            ->put('/house-practice', ['practice' => ['crape-myrtle-height' => 'heading']])
            ->assertSessionHasNoErrors();
        self::assertSame(['crape-myrtle-height' => 'heading'], Firm::ours()->practice);
        $this->get("/plants/$house->id")
            ->assertSee("the firm's house practice")
            ->assertSee('Head back');
        $this->get("/plants/$own->id")
            ->assertSee('chosen for this plant')
            ->assertDontSee('Head back');
        $this->get('/house-practice')
            ->assertOk()
            ->assertSeeInOrder(['Where it is done otherwise', $own->label, 'Crape myrtle']);
        $this->put('/house-practice', ['practice' => ['crape-myrtle-height' => 'topping']])->assertSessionHasErrors(
            'practice.crape-myrtle-height',
        );
    }

    public function test_hands_read_the_house_practice_and_do_not_change_it(): void
    {
        $this->actingAs($this->hand())->get('/house-practice')->assertOk()->assertSee('Only the planner changes it');
    }

    private function see(string $event, string $on): \Illuminate\Testing\TestResponse
    {
        return $this->post("/gardens/{$this->garden->id}/signs", ['event' => $event, 'on' => $on]);
    }

    /** @param  array<string, mixed>  $more */
    private function plant(string $kind, array $more = []): Plant
    {
        return Plant::factory()->create([
            'garden_id' => $this->garden->id,
            'kind' => $kind,
            'label' => ucfirst($kind).' '.Plant::query()->count(),
            ...$more,
        ]);
    }
}
