<?php

declare(strict_types=1);

namespace Tests\Feature\Season;

use App\Ground\Models\Garden;
use App\Ground\Models\OwnKind;
use App\Ground\Models\Plant;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\FeatureTestCase;

/**
 * One plant, garden, correction or choice that cannot be worked out is said where it stands and takes nothing else with
 * it.
 */
final class FaultsTest extends FeatureTestCase
{
    public function test_a_plant_of_a_kind_nobody_knows_says_so_and_the_others_go_on(): void
    {
        $stray = Plant::factory()->create([
            'garden_id' => $this->garden->id,
            'kind' => 'dragon-tree',
            'label' => 'By the gate',
        ]);
        $visit = $this->visit();
        $this->actingAs($this->planner());
        foreach (['/', "/gardens/{$this->garden->id}"] as $page) {
            $this->get($page)
                ->assertOk()
                ->assertSee('The plant book has no kind &quot;dragon-tree&quot;', false)
                ->assertSee('Wisteria on the south wall')
                ->assertSee('Winter pass');
        }
        $this->get("/plants/$stray->id")
            ->assertOk()
            ->assertSee('What is due to it cannot be worked out.')
            ->assertSee('The plant book has no kind "dragon-tree".');
        foreach (
            [
                "/plants/$stray->id/record",
                "/plants/$stray->id/edit",
                '/gardens',
                "/visits/$visit->id",
                "/gardens/{$this->garden->id}/visits/plan",
                '/search?q=gate',
            ] as $page
        ) {
            $this->get($page)->assertOk();
        }
        $this->get('/gardens')->assertSee('1 plant could not be worked out in full');
        foreach (["/plants/$stray->id/stems", "/plants/$stray->id/courses"] as $page) {
            $this->get($page)->assertStatus(422)->assertSee('The plant book has no kind "dragon-tree".');
        }
        $this->artisan('plant-book:check --database')
            ->expectsOutputToContain('plants of "dragon-tree": the plant book has no such kind (1 of them)')
            ->assertFailed();
    }

    public function test_a_correction_of_a_task_the_book_has_renamed_is_put_aside_and_the_books_word_holds(): void
    {
        OwnKind::query()->create([
            'kind' => 'wisteria',
            'entry' => ['tasks' => [['key' => 'autumn-pass', 'minutes' => ['base' => 5]]]],
            'note' => 'Ours.',
        ]);
        $this->app->forgetScopedInstances();
        $this->actingAs($this->planner())
            ->get('/')
            ->assertOk()
            ->assertSee('own word on wisteria is put aside')
            ->assertSee('Winter pass');
        $this->get("/plants/{$this->wisteria->id}")
            ->assertOk()
            ->assertSee('Winter pass');
        $this->get('/plant-book/wisteria')->assertOk();
        $this->artisan('plant-book:check --database')->expectsOutputToContain('own kind wisteria: ')->assertFailed();
    }

    public function test_a_choice_the_book_no_longer_offers_is_put_aside(): void
    {
        $this->wisteria->update(['practice' => ['wisteria-look' => 'topiary']]);
        $this->garden->update(['practice' => ['espalier-height' => 'tall']]);
        $this->actingAs($this->planner());
        $says = 'The choice "topiary" for "Wisteria look" is put aside: the plant book no longer offers it.';
        $this->get("/plants/{$this->wisteria->id}")
            ->assertOk()
            ->assertSee($says)
            ->assertSee('Winter pass');
        $this->get('/')->assertOk()->assertSee($says)->assertSee('Winter pass');
        $this->get("/gardens/{$this->garden->id}")
            ->assertOk()
            ->assertSee('The choice "tall" for "espalier-height" is put aside');
        $this->get('/house-practice')->assertOk()->assertSee('topiary (put aside)');
        $this->artisan('plant-book:check --database')
            ->expectsOutputToContain("garden {$this->garden->id} (Millrace House): The choice")
            ->assertFailed();
    }

    public function test_a_garden_without_a_year_of_its_own_says_so_and_the_firm_goes_on(): void
    {
        $lost = Garden::factory()->create(['name' => 'Lost Garden']);
        DB::table('gardens')
            ->where('id', $lost->id)
            ->update(['last_frost' => null]);
        $plant = Plant::factory()->create(['garden_id' => $lost->id, 'label' => 'The lost one']);
        $this->actingAs($this->planner())
            ->get('/')
            ->assertOk()
            ->assertSee('Only a warm site may go without frost dates.')
            ->assertSee('Wisteria on the south wall');
        $this->get("/gardens/$lost->id")
            ->assertOk()
            ->assertSee('The lost one')
            ->assertSee('Only a warm site may go without frost dates.');
        $this->get("/plants/$plant->id")
            ->assertOk()
            ->assertSee('Only a warm site may go without frost dates.')
            ->assertSee('Edit the garden');
        $this->get('/gardens')->assertOk();
    }

    /** @param  array<string, string>  $said */
    #[DataProvider('doubts')]
    public function test_frosts_that_do_not_fit_the_place_are_questioned_once(
        array $said,
        string $field,
        string $says,
    ): void {
        $facts = [
            'name' => 'New',
            'client' => 'Somebody',
            'latitude' => '51.3',
            'longitude' => '-1',
            'elevation_m' => '50',
            'winter' => 'cool',
            'last_frost' => '04-22',
            'first_frost' => '10-28',
            ...$said,
        ];
        $this->actingAs($this->planner())
            ->from('/gardens/create')
            ->post('/gardens', $facts)
            ->assertRedirect('/gardens/create')
            ->assertSessionHasErrors($field);
        $errors = session('errors');
        self::assertInstanceOf(\Illuminate\Support\ViewErrorBag::class, $errors);
        self::assertStringContainsString($says, $errors->first($field));
        self::assertSame(1, Garden::query()->count());
        $this->get('/gardens/create')->assertSee('I am sure: the place and its frosts are right as they stand.');
        $this->post('/gardens', $facts + ['sure' => '1'])->assertSessionHasNoErrors();
        self::assertSame(2, Garden::query()->count());
    }

    /** @return array<string, array{array<string, string>, string, string}> */
    public static function doubts(): array
    {
        return [
            'a slipped sign' => [
                ['latitude' => '-51.3'],
                'latitude',
                'did you mean 51.3, or are the two frosts the wrong way round?',
            ],
            'dates of the south' => [
                ['last_frost' => '10-22', 'first_frost' => '04-28'],
                'latitude',
                'did you mean -51.3',
            ],
            'the wrong way round' => [
                ['last_frost' => '11-20', 'first_frost' => '01-15'],
                'last_frost',
                'Are the two the wrong way round?',
            ],
            'one slipped' => [['first_frost' => '05-28'], 'last_frost', 'Is one of the two dates slipped?'],
        ];
    }

    public function test_a_garden_with_a_slipped_sign_takes_no_page_down(): void
    {
        $this->garden->update(['latitude' => -51.3]);
        foreach (['lilac', 'forsythia', 'sour-cherry', 'apple', 'climbing-rose'] as $kind) {
            Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => $kind, 'label' => "The $kind"]);
        }
        $this->actingAs($this->planner())->get('/')->assertOk()->assertSee('its bloom would end on');
        $this->get("/gardens/{$this->garden->id}")
            ->assertOk()
            ->assertSee('its bloom would end on');
        foreach (Plant::query()->get() as $plant) {
            $this->get("/plants/$plant->id")->assertOk();
            $this->get("/plant-book/$plant->kind?garden={$this->garden->id}")->assertOk();
        }
    }

    #[DataProvider('addresses')]
    public function test_a_page_group_or_filter_that_is_not_there_is_the_nearest_that_is(string $address): void
    {
        $this->actingAs($this->planner())->get($address)->assertOk();
    }

    /** @return list<array{string}> */
    public static function addresses(): array
    {
        return array_map(static fn (string $address): array => [$address], [
            '/?groups=999',
            '/?groups=-1',
            '/?groups=abc',
            '/?groups[]=2',
            '/?groups=99999999999999999999',
            '/?show=closing&list=77',
            '/?show=open&list=0',
            '/?by=mood&zoom=era&show=soon&kind=x&crew=-4&garden=nowhere',
            '/?q=%22%27%25_%5C%00',
            '/?q=*',
            '/?q=a',
            '/?q=%F0%9F%8C%B9',
            '/season/groups/zzz',
            '/season/groups/-1?by=crew',
            '/season/groups/x?by=urgency&rows=9',
            '/season/groups/1?rows=abc',
            '/gardens?page=12',
            '/gardens?page=-3&q=mill',
            '/gardens?page[]=1',
            '/gardens?q=%22',
            '/round?crew=999&today=9&waiting=x',
            '/house-practice?plants=99&gardens=-9',
            '/search?q=%22or%201',
            '/search/gardens?q=(',
            '/plant-book?month=13',
        ]);
    }

    public function test_nothing_is_listed_for_a_group_that_is_not_there(): void
    {
        $this->actingAs($this->planner())->get('/season/groups/zzz')->assertSee('Nothing stands here any more');
        $this->get('/gardens/999')->assertNotFound();
    }
}
