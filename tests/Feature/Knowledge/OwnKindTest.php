<?php

declare(strict_types=1);

namespace Tests\Feature\Knowledge;

use App\Ground\Models\OwnKind;
use App\Ground\Models\Plant;
use App\Knowledge\KindForm;
use App\Knowledge\OwnKinds;
use App\Knowledge\PlantBookFiles;
use Illuminate\Support\Arr;
use PHPUnit\Framework\Attributes\DataProvider;
use PruningHook\Core\Calendar\Closure;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Prescriber;
use Tests\Feature\FeatureTestCase;
use Tests\Support\Sites;

/** The planner corrects a kind of the plant book, or adds one of the firm's own. */
final class OwnKindTest extends FeatureTestCase
{
    public function test_a_correction_moves_the_window_and_shows_as_the_firms_own(): void
    {
        $this->actingAs($this->planner());
        $this->correct([
            'tasks.0.windows.0.best_from' => 'midwinter+30',
            'note' => 'Our walls are shaded until February.',
        ])
            ->assertSessionHasNoErrors()
            ->assertSessionHas('undo');
        $own = OwnKind::query()->sole();
        self::assertSame(['tasks'], array_keys($own->entry), 'only what differs is kept');
        $this->forgetBook();
        $this->get('/plant-book/wisteria')
            ->assertSee('Corrected by the firm')
            ->assertSee('Our walls are shaded until February.')
            ->assertSee('cold-over-11')
            ->assertSee('midwinter+30')
            ->assertSee('Source: the firm&#039;s own', false);
        $this->get("/plants/{$this->wisteria->id}")->assertSee('Best 20 Jan to 28 Feb');
        $this->get('/plant-book?q=wisteria')->assertSee("the firm's own", false);
    }

    public function test_what_the_firm_does_not_say_goes_on_following_the_book(): void
    {
        $this->actingAs($this->planner());
        $this->correct(['about' => 'Ours.', 'note' => 'Words only.']);
        $kind = $this->book()->kind('wisteria');
        self::assertSame('Ours.', $kind->about);
        self::assertEquals(
            (new PlantBookFiles(base_path('plant-book'), sys_get_temp_dir()))->read()->kind('wisteria')->tasks,
            $kind->tasks,
        );
    }

    public function test_a_form_opened_before_somebody_elses_correction_does_not_save_over_it_unseen(): void
    {
        $other = $this->planner();
        $this->actingAs($this->planner())->get('/plant-book/wisteria/own')
            ->assertSee('name="_version" value="0"', false);
        $this->actingAs($other);
        $this->correct(['vigour' => 'medium', 'note' => 'It stands in gravel.', '_version' => '0']);
        $this->actingAs($this->planner());
        $mine = ['vigour' => 'weak', 'about' => 'Ours.', 'note' => 'It sulks.', '_version' => '0'];
        $this->correct($mine)->assertSessionHasErrors(['stale', 'vigour' => $other->name
            .' made this "medium" on 20 Feb, 10:00 while you were writing.'])->assertSessionDoesntHaveErrors('about');
        self::assertSame('medium', $this->book()->kind('wisteria')->vigour->value);
        $seen = OwnKind::query()->sole()->id;
        $this->followingRedirects();
        $this->from('/plant-book/wisteria/own')->correct($mine)->assertSee("name=\"_version\" value=\"$seen\"", false)
            ->assertSee('Saving again keeps yours.')->assertSee('Ours.');
        $this->correct([...$mine, '_version' => (string) $seen])->assertSessionHasNoErrors();
        self::assertSame('weak', $this->book()->kind('wisteria')->vigour->value);
        // Taken back meanwhile, the book's own word is what the others made of it.
        OwnKind::query()->latest('id')->firstOrFail()->delete();
        OwnKind::query()->firstOrFail()->delete();
        $this->correct([...$mine, '_version' => (string) $seen])->assertSessionHasErrors(['stale', 'vigour']);
    }

    public function test_undo_brings_the_version_before_back(): void
    {
        $this->actingAs($this->planner());
        $this->correct(['vigour' => 'medium', 'note' => 'First.']);
        $this->correct(['vigour' => 'weak', 'note' => 'Second.']);
        self::assertSame('weak', $this->book()->kind('wisteria')->vigour->value);
        $this->delete('/own-versions/'.OwnKind::query()->latest('id')->value('id'))->assertSessionHas(
            'said',
            'Taken back.',
        );
        self::assertSame('medium', $this->book()->kind('wisteria')->vigour->value);
        $this->travel(1)->minutes();
        $this->delete('/plant-book/wisteria/own')->assertSessionHas('undo');
        self::assertSame('strong', $this->book()->kind('wisteria')->vigour->value);
        $this->post('/plant-book/wisteria/own/restore');
        self::assertSame('medium', $this->book()->kind('wisteria')->vigour->value);
        self::assertSame(1, OwnKind::query()->count(), 'the version undone before stays undone');
    }

    public function test_a_kind_of_our_own_is_planted_and_then_stays(): void
    {
        $this->actingAs($this->planner())
            ->get('/plant-book/new?like=lilac')
            ->assertSee('It takes its tasks and windows from lilac');
        $this->add([
            'name' => 'Grey lilac',
            'botanical' => 'Syringa cinerea',
            'phenology.bloom-start' => '05-04 at Oxford',
            'note' => 'Grown from the old nursery.',
        ])->assertSessionHasNoErrors();
        $this->forgetBook();
        $this->get('/plant-book/grey-lilac')->assertSee('A kind of our own, like lilac')->assertSee('Syringa cinerea');
        $this->forgetBook();
        $this->post("/gardens/{$this->garden->id}/plants", [
            'kind' => 'Syringa cinerea',
            'label' => 'By the pond',
            'count' => 1,
        ])->assertSessionHasNoErrors();
        self::assertSame('grey-lilac', Plant::query()->latest('id')->value('kind'));
        $this->from('/plant-book/grey-lilac')
            ->delete('/plant-book/grey-lilac/own')
            ->assertSessionHasErrors([
                'own' => '1 plant is of this kind in the gardens, so it stays. Give them another kind first.',
            ]);
        self::assertSame(1, OwnKind::query()->count());
    }

    public function test_the_firm_corrects_a_closure_takes_one_away_and_adds_one(): void
    {
        $this->actingAs($this->planner())
            ->get('/plant-book/apple/own')
            ->assertOk()
            ->assertSee('Days on which it is not cut at all')
            ->assertSee('value="Disease closure"', false);
        $base = $this->app->make(KindForm::class)->base('apple', null);
        $put = fn (array $changes) => $this->put(
            '/plant-book/apple/own',
            $this->said($base, ['note' => 'Our valley is wet.', ...$changes]),
        );
        $closed = function (): array {
            $this->forgetBook();

            return array_map(
                static fn (Closure $closure): array => [$closure->name, (string) $closure->to, $closure->source],
                Prescriber::closed($this->book()->kind('apple'), SiteYear::of(Sites::southernEngland(), 2027)),
            );
        };
        $before = $closed();
        $put(['closures.0.to' => 'bloom-end+14'])->assertSessionHasNoErrors();
        self::assertSame([$before[0][0], "the firm's own"], [$closed()[0][0], $closed()[0][2]]);
        self::assertGreaterThan($before[0][1], $closed()[0][1]);
        $put([
            'closures.1.name' => 'Wet weeks',
            'closures.1.from' => 'midsummer',
            'closures.1.to' => 'midsummer+10',
            'closures.1.because' => 'canker spreads',
        ])->assertSessionHasNoErrors();
        self::assertSame(['Disease closure', 'Wet weeks'], array_column($closed(), 0));
        $put(['closures.0.from' => '', 'closures.0.to' => ''])->assertSessionHasNoErrors();
        self::assertSame([], $closed());
        // The row of the one taken away stays in the form: what is wrong with the next is told beside it.
        $put([
            'closures.0.from' => '',
            'closures.0.to' => '',
            'closures.1.name' => 'Wet weeks',
            'closures.1.from' => 'easter',
            'closures.1.to' => 'midsummer',
            'closures.1.because' => 'so',
        ])->assertSessionHasErrors('closures.1.from');
    }

    /** @param  array<string, string>  $said */
    #[DataProvider('faults')]
    public function test_a_fault_is_told_beside_its_field_and_nothing_is_saved(
        array $said,
        string $field,
        string $says,
    ): void {
        $this->actingAs($this->planner());
        $response = $this->correct($said + ['note' => 'Why.']);
        $response->assertSessionHasErrors($field);
        $errors = session('errors');
        self::assertInstanceOf(\Illuminate\Support\ViewErrorBag::class, $errors);
        self::assertStringContainsString($says, $errors->first($field));
        self::assertSame(0, OwnKind::query()->count());
    }

    /** @return array<string, array{array<string, string>, string, string}> */
    public static function faults(): array
    {
        return [
            'an unknown anchor' => [['tasks.0.windows.0.opens' => 'easter+3'], 'tasks.0.windows.0.opens', 'easter'],
            'a month for an anchor' => [['phenology.bloom-start' => 'May'], 'phenology.bloom-start', ''],
            'an event leaning on a later one' => [
                ['phenology.bloom-start' => 'leaf-fall-3'],
                'phenology',
                'cannot lean on',
            ],
            'no reason' => [['note' => ''], 'note', 'Say why'],
            'no name' => [['name' => ''], 'name', 'required'],
            'a name another kind has' => [['name' => 'Lilac'], 'name', 'both called'],
            'more least than most' => [
                ['growth_mm.min' => '40', 'growth_mm.max' => '20'],
                'growth_mm.max',
                'cannot be less',
            ],
            'a share over a hundred' => [['removal_cap.percent' => '140'], 'removal_cap.percent', 'between 0 and 100'],
            'no such use' => [['habit' => 'cactus'], 'habit', ''],
        ];
    }

    public function test_a_kind_is_worked_out_at_every_garden_and_the_reference_sites_before_it_is_kept(): void
    {
        $this->actingAs($this->planner());
        $this->correct(['phenology.bloom-end' => 'bloom-start-3', 'note' => 'A slip.'])->assertSessionHasErrors(
            'phenology.bloom-end',
        );
        $errors = session('errors');
        self::assertInstanceOf(\Illuminate\Support\ViewErrorBag::class, $errors);
        self::assertStringContainsString(
            'At Millrace House: on this site\'s year its bloom would end on',
            $errors->first('phenology.bloom-end'),
        );
        self::assertStringContainsString('And so at 18 more places.', $errors->first('phenology.bloom-end'));
        self::assertSame(0, OwnKind::query()->count());
        // Where the book's own kind goes wrong already, a correction of something else is not held up by it.
        $this->correct(['about' => 'Sweet in May.', 'note' => 'So it is.'])->assertSessionHasNoErrors();
    }

    public function test_a_name_the_book_knows_makes_no_new_kind(): void
    {
        $this->actingAs($this->planner());
        $this->add(['name' => 'Wisteria', 'botanical' => 'Syringa cinerea', 'note' => 'x'])->assertSessionHasErrors(
            'name',
        );
        self::assertSame(0, OwnKind::query()->count());
    }

    public function test_every_kind_comes_back_from_its_form_unchanged(): void
    {
        $form = $this->app->make(KindForm::class);
        foreach ($this->app->make(PlantBookFiles::class)->kinds() as [, $entry]) {
            self::assertIsString($entry['id']);
            $base = $form->base($entry['id'], null);
            self::assertSame(
                [], KindForm::difference($base, $form->complete($base, $this->fields($base))), $entry['id'],
            );
        }
    }

    public function test_a_kind_nobody_knows_is_not_found(): void
    {
        $this->actingAs($this->planner())->get('/plant-book/triffid/own')->assertNotFound();
        $this->put('/plant-book/triffid/own', [
            'name' => 'x',
            'botanical' => 'y',
            'note' => 'z',
            'typical_height_mm' => 3,
        ])->assertNotFound();
    }

    /** @param  array<string, string>  $changes by path */
    private function correct(array $changes): \Illuminate\Testing\TestResponse
    {
        $this->forgetBook();
        $entry = $this->app->make(OwnKinds::class)->entry('wisteria');
        $this->forgetBook();

        return $this->put('/plant-book/wisteria/own', $this->said($entry, $changes));
    }

    /** @param  array<string, string>  $changes by path */
    private function add(array $changes): \Illuminate\Testing\TestResponse
    {
        return $this->post('/plant-book', [
            'like' => 'lilac',
            ...$this->said($this->app->make(KindForm::class)->base('new', 'lilac'), $changes),
        ]);
    }

    /**
     * @param  array<array-key, mixed>  $entry
     * @param  array<string, string>  $changes
     * @return array<string, mixed>
     */
    private function said(array $entry, array $changes): array
    {
        $said = $this->fields($entry);
        foreach ($changes as $path => $value) {
            Arr::set($said, $path, $value);
        }

        return $said;
    }

    /**
     * An entry as its form shows it: lengths in centimetres, names in one line.
     *
     * @param  array<array-key, mixed>  $entry
     * @return array<string, mixed>
     */
    private function fields(array $entry): array
    {
        $said = $entry;
        foreach (array_keys(KindForm::LENGTHS) as $path) {
            if (is_int(Arr::get($entry, $path))) {
                Arr::set($said, $path, Arr::get($entry, $path) / 10);
            }
        }

        return [...$said, 'also' => implode(', ', (array) ($entry['also'] ?? []))];
    }

    private function book(): PlantBook
    {
        $this->forgetBook();

        return $this->app->make(PlantBook::class);
    }

    /** A request reads the book anew; a test runs many in one application. */
    private function forgetBook(): void
    {
        $this->app->forgetInstance(PlantBook::class);
        $this->app->forgetInstance(\App\Ground\Bridge\CorePlants::class);
    }
}
