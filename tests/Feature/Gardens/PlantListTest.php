<?php

declare(strict_types=1);

namespace Tests\Feature\Gardens;

use App\Ground\Models\Plant;
use Illuminate\Http\UploadedFile;
use Tests\Feature\FeatureTestCase;

/** Plants are found by what people call them, one while it is typed or many from a list. */
final class PlantListTest extends FeatureTestCase
{
    private const LIST = "3 x Syringa vulgaris 'Charles Joly', Lilacs by the pond, Pond\n\nrose\nxyzzy\nbox hedge";

    public function test_what_was_understood_is_shown_before_anything_is_kept(): void
    {
        $there = Plant::query()->count();
        $shown = $this->actingAs($this->planner())->post("/gardens/{$this->garden->id}/plants/list", [
            'list' => self::LIST,
        ])->assertOk();
        $shown->assertSee('2 of 4 are clear, 1 unknown')
            ->assertSeeInOrder([
                'Syringa vulgaris', 'Lilac', 'rose', 'Which rose', 'Climbing rose', 'xyzzy', 'nothing in',
            ])
            ->assertSee('Lilacs by the pond')->assertSee('value="3"', false);
        self::assertSame($there, Plant::query()->count());
    }

    public function test_what_is_ticked_is_planted_all_or_nothing(): void
    {
        $this->actingAs($this->planner());
        $row = fn (string $said, string $kind, array $more = []): array => [
            'take' => '1', 'said' => $said, 'kind' => $kind, 'label' => $said, 'bed' => '', 'count' => '1', ...$more,
        ];
        $there = Plant::query()->count();
        $this->post("/gardens/{$this->garden->id}/plants/listed", ['rows' => [
            $row('Lilac', 'lilac', ['count' => '3', 'bed' => 'Pond']), $row('rose', ''),
        ]])->assertRedirect("/gardens/{$this->garden->id}/plants/list")
            ->assertSessionHasErrors(['rows.1.kind' => 'Say which it is, or leave it out.']);
        self::assertSame($there, Plant::query()->count(), 'nothing is half planted');
        // What was sent stands there again.
        $this->get("/gardens/{$this->garden->id}/plants/list")->assertSee('Say which it is')->assertSee('Pond')
            ->assertSee('value="3"', false);
        $this->post("/gardens/{$this->garden->id}/plants/listed", ['rows' => [
            $row('Lilac', 'lilac', ['count' => '3', 'bed' => 'Pond']), $row('rose', 'bush-rose'),
            $row('xyzzy', '', ['take' => null]),
        ]])->assertSessionHasNoErrors()->assertSessionHas('said', '2 plants are in the book. Say on their pages how '
            .'large they are.');
        self::assertSame(
            [['lilac', 'Lilac', 'Pond', 3], ['bush-rose', 'rose', null, 1]],
            Plant::query()->orderByDesc('id')->limit(2)->get()->reverse()
                ->map(static fn (Plant $plant): array => [$plant->kind, $plant->label, $plant->bed, $plant->count])
                ->values()->all(),
        );
        foreach ([
            ['kind' => 'not-a-kind'], ['label' => ''], ['count' => '0'], ['count' => 'many'],
        ] as $wrong) {
            $this->post("/gardens/{$this->garden->id}/plants/listed", ['rows' => [$row('Lilac', 'lilac', $wrong)]])
                ->assertSessionHasErrors('rows.0.'.array_key_first($wrong));
        }
    }

    public function test_how_many_were_planted_is_said(): void
    {
        $this->actingAs($this->planner());
        $row = ['take' => '1', 'said' => 'Lilac', 'kind' => 'lilac', 'label' => 'Lilac', 'bed' => '', 'count' => '1'];
        foreach ([
            'Nothing was ticked, so nothing was planted in the book.' => [array_diff_key($row, ['take' => true])],
            'One plant has been added. Enter its size on its page.' => [$row],
            '2 plants are in the book. Say on their pages how large they are.' => [$row, $row],
        ] as $said => $rows) {
            $this->post("/gardens/{$this->garden->id}/plants/listed", ['rows' => $rows])->assertSessionHasNoErrors()
                ->assertSessionHas('said', $said);
        }
    }

    public function test_a_file_in_an_old_encoding_is_read_and_too_many_lines_are_told(): void
    {
        $this->actingAs($this->planner());
        $file = UploadedFile::fake()->createWithContent(
            'plants.csv', "Lilac;Fl\xFCgel;Hof\r\n".str_repeat("box\r\n", 220),
        );
        $this->post("/gardens/{$this->garden->id}/plants/list", ['file' => $file])->assertOk()
            ->assertSee('Flügel')->assertSee('21 more lines were too many at once');
        $this->post("/gardens/{$this->garden->id}/plants/list", [])->assertSessionHasErrors('list');
        $this->post("/gardens/{$this->garden->id}/plants/list", ['list' => " \n"])->assertSessionHasErrors('list');
    }

    public function test_a_kind_is_found_while_it_is_typed_and_what_the_firm_plants_goes_first(): void
    {
        $this->actingAs($this->hand());
        $first = fn (string $text): mixed => $this->getJson('/plant-book/find?q='.urlencode($text))->assertOk()
            ->json('matches.0.id');
        self::assertSame('large-clematis', $first('clematis'));
        Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => 'alpine-clematis']);
        self::assertSame('alpine-clematis', $first('clematis'));
        self::assertSame('rosemary', $first('Rosmarinus offic'));
        self::assertNull($first('xyzzy'));
        self::assertNull($first(''));
    }

    public function test_a_plant_is_entered_under_any_of_its_names(): void
    {
        $this->actingAs($this->planner())->post("/gardens/{$this->garden->id}/plants", [
            'kind' => "Buddleia davidii 'Royal Red'", 'label' => 'By the bins', 'count' => 1,
        ])->assertSessionHasNoErrors();
        self::assertSame('butterfly-bush', Plant::query()->latest('id')->firstOrFail()->kind);
        $this->post("/gardens/{$this->garden->id}/plants", ['kind' => 'clematis', 'label' => 'x', 'count' => 1])
            ->assertSessionHasErrors('kind');
    }

    public function test_what_nobody_can_name_is_kept_with_its_dead_wood_to_take_off_and_nothing_else(): void
    {
        $this->actingAs($this->planner());
        $store = "/gardens/{$this->garden->id}/plants";
        $facts = ['kind' => 'Xanthostemon', 'label' => '', 'count' => '1'];
        $this->from("$store/create")->post($store, $facts)->assertSessionHasErrors(['kind', 'label']);
        // Enter presses the first button of a form: it must be none that keeps the plant as something.
        $form = (string) $this->get("$store/create")->getContent();
        preg_match('/<form [^>]*class="to-56".*?(<button.*?>)/s', $form, $first);
        self::assertStringNotContainsString('keep_as', $first[1] ?? 'keep_as');
        $this->from("$store/create")->post($store, $facts);
        $this->get("$store/create")->assertSee('Nobody can name it yet?')->assertSee('value="unnamed-shrub"', false)
            ->assertSee('value="unnamed-climber"', false);
        $this->post($store, [...$facts, 'keep_as' => 'wisteria'])->assertSessionHasErrors('kind');
        $this->post($store, [...$facts, 'keep_as' => 'unnamed-shrub'])->assertSessionHasNoErrors();
        $kept = Plant::query()->latest('id')->firstOrFail();
        self::assertSame(['unnamed-shrub', 'Xanthostemon'], [$kept->kind, $kept->label]);
        $this->get("/plants/$kept->id")->assertOk()->assertSee('Shrub not yet named')->assertSee('Dead wood only')
            ->assertSee('Leave all that lives')->assertSee('take nothing that lives');
        // What the crew calls it stands; what it was said to be is not lost.
        $this->post($store, [
            ...$facts, 'label' => 'By the gate', 'notes' => 'Blue fruit.', 'keep_as' => 'unnamed-tree',
        ])->assertSessionHasNoErrors();
        $tree = Plant::query()->latest('id')->firstOrFail();
        self::assertSame(
            ['unnamed-tree', 'By the gate', "Blue fruit.\nSaid to be: Xanthostemon"],
            [$tree->kind, $tree->label, $tree->notes],
        );
        $page = $this->post("$store/list", ['list' => "Xanthostemon\nlilac"]);
        $page->assertSee('a perennial not yet named: dead wood only');
        // What is unknown has no tick.
        self::assertSame(1, substr_count((string) $page->getContent(), 'type="checkbox"'));
        $row = ['said' => 'Xanthostemon', 'label' => 'Xanthostemon', 'bed' => '', 'count' => '2'];
        $this->post("$store/listed", ['rows' => [[...$row, 'kind' => ''], [...$row, 'kind' => 'unnamed-climber']]])
            ->assertSessionHasNoErrors();
        $kept = Plant::query()->latest('id')->firstOrFail();
        self::assertSame(['unnamed-climber', 2], [$kept->kind, $kept->count]);
        self::assertSame($tree->id + 1, $kept->id, 'one of them is left out');
        $this->post("$store/listed", ['rows' => [[...$row, 'kind' => 'unnamed-climber', 'label' => '']]])
            ->assertSessionHasErrors('rows.0.label');
    }
}
