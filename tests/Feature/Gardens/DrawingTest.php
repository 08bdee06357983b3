<?php

declare(strict_types=1);

namespace Tests\Feature\Gardens;

use App\Field\Record\LogWork;
use App\Gardens\Plants\PlantDrawing;
use App\Ground\Bridge\CorePlants;
use App\Ground\Models\BloomNote;
use App\Ground\Models\Plant;
use App\Ground\Models\VisitTask;
use App\Ground\Models\WorkLog;
use App\Ground\Support\KeptPictures;
use App\Ground\Support\ShapesApart;
use App\Ground\Support\Today;
use App\Season\TaskChoice;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\File;
use Illuminate\Support\HtmlString;
use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Prescriber;
use Tests\Feature\FeatureTestCase;
use Tests\Support\TestBook;

/** The plant drawn, its measures changed, what it did at bloom, and the budget of the season. */
final class DrawingTest extends FeatureTestCase
{
    private Plant $bluebeard;

    protected function setUp(): void
    {
        parent::setUp();
        $this->bluebeard = Plant::factory()->create([
            'garden_id' => $this->garden->id,
            'kind' => 'bluebeard',
            'label' => 'Bluebeard',
            'height_mm' => 950,
            'flowering_height_mm' => 1100,
        ]);
    }

    public function test_the_plants_page_draws_it_with_workings_and_budget(): void
    {
        $this->actingAs($this->hand())
            ->get("/plants/{$this->bluebeard->id}")
            ->assertOk()
            ->assertSee('cut at 35 cm')
            ->assertSee('flowers at about 1.1 m')
            ->assertSee('Workings')
            ->assertSee('1100 - 750 mm; framework 300 mm')
            ->assertSee('Budget of the years');
    }

    public function test_other_measures_redraw_it_and_keep_nothing(): void
    {
        $this->actingAs($this->hand())
            ->get("/plants/{$this->bluebeard->id}/drawing?task=spring-cut&flowering_height_cm=130")
            ->assertOk()
            ->assertSee('cut at 55 cm')
            ->assertDontSee('<html', false);
        self::assertSame(1100, $this->bluebeard->fresh()?->flowering_height_mm);
    }

    public function test_buds_are_counted_on_an_arm_seen_near_and_what_is_not_cut_is_seen_whole(): void
    {
        $vine = Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => 'grape-vine']);
        $this->actingAs($this->hand())
            ->get("/plants/$vine->id/drawing?task=final-pass")
            ->assertOk()
            ->assertSee('is-near', false);
        $this->logged([], $vine, 'final-pass');
        $this->get("/plants/$vine->id/drawing?task=final-pass")->assertOk()->assertDontSee('is-near', false);
    }

    public function test_an_impossible_wish_gets_the_nearest_possible_and_why(): void
    {
        $this->actingAs($this->hand())
            ->get("/plants/{$this->bluebeard->id}/drawing?task=spring-cut&flowering_height_cm=70")
            ->assertOk()
            ->assertSee('The wish cannot be met')
            ->assertSee('the nearest possible');
    }

    public function test_measures_are_kept_and_taken_back(): void
    {
        $this->actingAs($this->lead())
            ->put("/plants/{$this->bluebeard->id}/measures", ['height_cm' => 90, 'flowering_height_cm' => 120])
            ->assertSessionHasNoErrors();
        self::assertSame(
            [900, 1200],
            [$this->bluebeard->fresh()?->height_mm, $this->bluebeard->fresh()?->flowering_height_mm],
        );
        [$undo, $method] = session('undo');
        $this->call($method, $undo);
        self::assertSame(
            [950, 1100],
            [$this->bluebeard->fresh()?->height_mm, $this->bluebeard->fresh()?->flowering_height_mm],
        );
    }

    public function test_a_height_in_the_wrong_unit_is_questioned_and_taken_from_whoever_is_sure(): void
    {
        $this->actingAs($this->lead())
            ->put("/plants/{$this->bluebeard->id}/measures", ['height_cm' => 950])
            ->assertSessionHasErrors('height_cm');
        $errors = session('errors');
        self::assertInstanceOf(\Illuminate\Support\ViewErrorBag::class, $errors);
        self::assertStringContainsString('did you mean 950 mm?', $errors->first('height_cm'));
        self::assertSame(950, $this->bluebeard->fresh()?->height_mm);
        $this->put("/plants/{$this->bluebeard->id}/measures", [
            'height_cm' => 950,
            'sure' => 1,
        ])->assertSessionHasNoErrors();
        self::assertSame(9500, $this->bluebeard->fresh()?->height_mm);
    }

    public function test_what_it_does_at_bloom_corrects_the_next_cut(): void
    {
        $task = $this->logged([
            'amounts' => [
                ['effect' => 'cut-height', 'what' => 'cut height', 'unit' => 'mm', 'value' => 350],
            ],
        ]);
        self::assertSame(2027, $task->season);
        $this->actingAs($this->hand())
            ->put("/plants/{$this->bluebeard->id}/bloom", ['flowering_height_cm' => 140, 'score' => 4])
            ->assertSessionHasNoErrors()
            ->assertSessionHas('undo');
        self::assertSame(
            [1050],
            $this->app
                ->make(CorePlants::class)
                ->plant(
                    $this->bluebeard->fresh(['workLogs', 'bloomNotes']) ?? $this->bluebeard, Today::day(),
                )->growthSeenMm,
        );
        // (2 x 750 + 1050) / 3 = 850, so 1100 - 850 = 250, which is under the framework: 300.
        $this->get("/plants/{$this->bluebeard->id}")
            ->assertSee('flowered at 1.4 m, many')
            ->assertSee('this plant grew 1.05 m')
            ->assertSee('cut at 30 cm');
        $this->delete('/bloom/'.BloomNote::query()->sole()->id)->assertSessionHas('said', 'The note is taken back.');
        self::assertSame(0, BloomNote::query()->count());
        $this->put("/plants/{$this->bluebeard->id}/bloom", [])
            ->assertSessionHasErrors('flowering_height_cm', null, 'bloom');
        self::assertSame(0, BloomNote::query()->count());
    }

    public function test_what_came_of_a_cut_can_be_told_without_a_measure(): void
    {
        $this->logged(['recipe' => array_key_first(TestBook::read()->recipes->all())]);
        $at = "/plants/{$this->bluebeard->id}";
        $this->actingAs($this->hand());
        foreach (
            [
                ['regrowth' => 'wild'], ['diseased' => '2'], ['score' => '6', 'regrowth' => 'rank'],
                ['flowering_height_cm' => '3.5', 'score' => '3'], ['flowering_height_cm' => '9000', 'score' => '3'],
            ] as $given
        ) {
            $this->from($at)->put("$at/bloom", $given)->assertSessionHasErrors(
                [array_key_first($given)], null, 'bloom',
            );
        }
        self::assertSame(0, BloomNote::query()->count());
        // A doubtful height is asked about beside its field; nothing that was chosen is lost.
        $this->from($at)->followingRedirects()
            ->put("$at/bloom", ['flowering_height_cm' => '900', 'regrowth' => 'rank', 'diseased' => '1'])
            ->assertSee('name="sure"', false)->assertSee('value="900"', false)
            ->assertSee('<option value="rank" selected', false);
        $this->put("$at/bloom", ['regrowth' => 'rank', 'diseased' => '1'])->assertSessionHasNoErrors();
        $this->get($at)->assertSee('2027:')->assertSee('grew rank, with watershoots; disease on it.');
        $this->get("$at/record")->assertSee('It grew rank, with watershoots; disease on it.');
        $plant = $this->bluebeard->fresh(['workLogs', 'bloomNotes']) ?? $this->bluebeard;
        self::assertSame([], $this->app->make(CorePlants::class)->plant($plant, Today::day())->growthSeenMm);
        $this->get('/record/compare?kind=bluebeard')->assertSee('rank growth in 1, disease in 1 of one season');
        $this->put("$at/bloom", ['score' => '5', 'diseased' => '0'])->assertSessionHasNoErrors();
        $this->get($at)->assertSee('flowered full; no disease on it.');
    }

    public function test_more_than_the_cap_is_logged_only_with_a_reason(): void
    {
        $task = $this->visitTask();
        $this->actingAs($this->lead())
            ->put("/tasks/$task->id/log", ['outcome' => 'done', 'minutes' => 60, 'removed_percent' => 60])
            ->assertSessionHasErrorsIn("task$task->id", ['removed_percent', 'over_cap_reason']);
        self::assertSame(0, WorkLog::query()->count());
        $this->put("/tasks/$task->id/log", [
            'outcome' => 'done',
            'minutes' => 60,
            'removed_percent' => 60,
            'over_cap_reason' => 'The wall is to be rebuilt.',
        ])->assertSessionHasNoErrors();
        self::assertSame('The wall is to be rebuilt.', WorkLog::query()->sole()->over_cap_reason);
        $this->get("/plants/{$this->wisteria->id}")->assertSee('60 %')->assertSee('Already over budget');
    }

    public function test_the_sheet_says_what_to_bring(): void
    {
        $visit = $this->visit();
        $this->actingAs($this->hand())
            ->get("/visits/$visit->id")
            ->assertSee('What to bring, and after')
            ->assertSee('bypass secateurs')
            ->assertSee('Daylight');
    }

    public function test_a_plant_that_is_lower_than_its_cut_is_not_cut(): void
    {
        $page = "/plants/{$this->bluebeard->id}/drawing?task=spring-cut";
        $this->actingAs($this->hand());
        foreach (['950' => true, '340' => false] as $height => $isCut) {
            $this->bluebeard->forceFill(['height_on' => '2027-02-19', 'height_mm' => (int) $height])->save();
            $this->app->forgetScopedInstances();
            $drawn = (string) $this->get($page)->assertOk()->getContent();
            self::assertSame($isCut, str_contains($drawn, '; cut at '), "$height mm");
        }
    }

    public function test_a_plant_that_was_cut_is_drawn_as_its_log_left_it(): void
    {
        $this->bluebeard->forceFill(['height_on' => '2026-12-01'])->save();
        $page = "/plants/{$this->bluebeard->id}/drawing?task=spring-cut";
        $this->actingAs($this->hand())->get($page)->assertSee('95 cm tall as it stands; cut at 35 cm');
        $this->logged(['amounts' => [['effect' => 'cut-height', 'what' => 'cut height', 'unit' => 'mm',
            'value' => 350]]]);
        $this->app->forgetScopedInstances();
        $this->get($page)->assertSee('35 cm tall as it stands')->assertDontSee('class="p-goes"', false)
            ->assertDontSee('cut at 35 cm');
        // Measured after the cut, it is as tall as it was measured; how tall it was before, nobody knows.
        $this->bluebeard->forceFill(['height_on' => '2027-02-21', 'height_mm' => 400])->save();
        $this->app->forgetScopedInstances();
        $this->get($page)->assertSee('40 cm tall as it stands');
        // The sheet shows what was to be done.
        $sheet = $this->app->make(PlantDrawing::class)
            ->ofTask($this->bluebeard->fresh() ?? $this->bluebeard, 'spring-cut', 'For its cut', Today::day());
        self::assertStringContainsString('class="p-goes"', (string) $sheet);
    }

    public function test_a_picture_on_a_sheet_points_at_its_shapes_which_lie_at_the_end_of_the_page(): void
    {
        $task = $this->visitTask();
        $page = (string) $this->actingAs($this->planner())->get("/visits/$task->visit_id")->assertOk()->getContent();
        self::assertSame(1, substr_count($page, "<use href=\"#shapes-$task->id\"/>"));
        self::assertSame(1, preg_match("/<g id=\"shapes-$task->id\">.*?<path class=\"p-/s", $page));
        $none = ShapesApart::of(new HtmlString('<p>No picture</p>'), 'x');
        self::assertSame(['<p>No picture</p>', ''], [(string) $none->picture, (string) $none->shapes]);
    }

    public function test_a_picture_is_kept_until_what_it_is_drawn_from_changes(): void
    {
        $folder = sys_get_temp_dir().'/hook-pictures-'.getmypid();
        $kept = fn (): KeptPictures => new KeptPictures(
            $this->app->make(Filesystem::class), $folder,
        );
        $drawing = $this->app->make(PlantDrawing::class);
        $drawn = 0;
        $one = $drawing->show($this->bluebeard, 'spring-cut', Today::day())->drawn;
        self::assertNotNull($one);
        $show = function (array $facts) use ($kept, $one, &$drawn): string {
            return (string) $kept()->show('plant 1, spring-cut', $facts, function () use ($one, &$drawn): string {
                $drawn++;

                return "cut at $one->cutMm mm";
            });
        };
        $first = $show(['height' => 950]);
        self::assertSame('cut at 350 mm', $first);
        self::assertSame($first, $show(['height' => 950]));
        self::assertSame(1, $drawn);
        $show(['height' => 960]);
        self::assertSame(2, $drawn, 'another height is another picture');
        self::assertCount(1, (array) glob("$folder/*"), 'and takes the place of the first');
        self::assertSame('40700', sprintf('%o', (int) fileperms($folder)), 'for its owner alone');
        [$file] = (array) glob("$folder/*");
        self::assertSame('0600', substr(sprintf('%o', (int) fileperms((string) $file)), -4));
        file_put_contents((string) $file, 'half a');
        self::assertSame($first, $show(['height' => 960]), 'what is broken is drawn again');
        self::assertSame(3, $drawn);
        touch((string) $file, now()->subDays(13)->getTimestamp());
        $kept()->tidy();
        self::assertFileExists((string) $file);
        touch((string) $file, now()->subDays(15)->getTimestamp());
        $kept()->tidy();
        self::assertFileDoesNotExist((string) $file);
        File::deleteDirectory($folder);
        // Where nothing can be written the picture is there all the same.
        file_put_contents($folder, 'no folder');
        self::assertSame($first, $show(['height' => 960]));
        unlink($folder);
    }

    /** @param  array<string, mixed>  $said */
    private function logged(array $said, ?Plant $plant = null, string $of = 'spring-cut'): VisitTask
    {
        $visit = $this->visit();
        $task = $visit
            ->tasks()
            ->create([
                'plant_id' => ($plant ?? $this->bluebeard)->id,
                'task' => $of,
                'season' => 2027,
                'position' => 1,
                'prescribed' => $visit->tasks()->firstOrFail()->prescribed,
            ]);
        WorkLog::query()->create([
            'visit_task_id' => $task->id,
            'plant_id' => ($plant ?? $this->bluebeard)->id,
            'task' => $of,
            'season' => 2027,
            'on' => '2027-02-20',
            'outcome' => 'done',
            ...$said,
        ]);

        return $task;
    }

    public function test_the_log_holds_the_cap_of_the_school_that_was_in_force_when_it_was_planned(): void
    {
        $rose = Plant::factory()->create([
            'garden_id' => $this->garden->id,
            'kind' => 'bush-rose',
            'practice' => ['bush-rose-severity' => 'light-arc'],
        ]);
        $task = $this->planned(
            $this->garden, Day::parse('2027-03-20'), new TaskChoice($rose->id, 'main-pruning', 2027), 'early',
        )->tasks()->firstOrFail();
        self::assertSame(
            ['light-arc', 33],
            [$task->prescribed->recipe, $task->prescribed->cap[0] ?? null],
        );
        // Another school since then changes nothing of what the crew was asked to do.
        $rose->update(['practice' => ['bush-rose-severity' => 'open-bowl']]);
        $this->actingAs($this->lead())
            ->put("/tasks/$task->id/log", ['outcome' => 'done', 'minutes' => 30, 'removed_percent' => 70])
            ->assertSessionHasErrorsIn("task$task->id", ['removed_percent', 'over_cap_reason']);
        $this->put("/tasks/$task->id/log", [
            'outcome' => 'done',
            'minutes' => 30,
            'removed_percent' => 33,
        ])->assertSessionHasNoErrors();
        self::assertSame('light-arc', WorkLog::query()->firstOrFail()->recipe);
    }

    public function test_a_logged_thinning_by_thirds_never_becomes_a_year_of_a_renovation(): void
    {
        $lilac = Plant::factory()->create([
            'garden_id' => $this->garden->id,
            'kind' => 'lilac',
            'stems_old' => 9,
            'stems_young' => 0,
        ]);
        foreach ([2025 => '2025-06-10', 2026 => '2026-06-10'] as $season => $on) {
            $visit = $this->garden->visits()->create(['on' => $on]);
            $task = $visit->tasks()->create([
                'plant_id' => $lilac->id,
                'task' => 'after-flowering',
                'season' => $season,
                'position' => 0,
                'minutes' => 30,
                'prescribed' => $this->prescription([
                    'recipe' => 'renew-by-thirds',
                    'amounts' => [
                        [
                            'effect' => 'old-stems-out',
                            'what' => 'old stems to take out',
                            'unit' => 'stems',
                            'min' => 3,
                            'target' => 3,
                            'max' => 3,
                        ],
                    ],
                ]),
            ]);
            $this->app
                ->make(LogWork::class)
                ->log($task, [
                    'outcome' => 'done', 'minutes' => 30, 'amounts' => [$task->prescribed->amounts[0]->logged(3)],
                    'on' => (string) $task->visit->on,
                ], null);
        }
        $lilac->update(['aim' => 'renewal']);
        $this->app->forgetInstance(CorePlants::class);
        $garden = $this->garden->fresh() ?? $this->garden;
        $bridge = $this->app->make(CorePlants::class);
        $task = Prescriber::with($this->app->make(PlantBook::class))
            ->prescribe(
                $bridge->plant($lilac->fresh() ?? $lilac, Today::day()), $bridge->years($garden)->season(2027),
                $bridge->practice($garden),
            )
            ->task('after-flowering');
        self::assertSame(
            3, $task?->amount(Effect::OldStemsOut)?->target,
            'the first of three years, not the last: nine would have gone',
        );
    }
}
