<?php

declare(strict_types=1);

namespace Tests\Feature\Gardens;

use App\Gardens\Plants\CoursesScreen;
use App\Gardens\Plants\JudgedStems;
use App\Gardens\Stems\SurveyChange;
use App\Gardens\Stems\Taps;
use App\Ground\Models\Plant;
use App\Ground\Models\StemSurvey;
use App\Ground\Models\VisitTask;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Drawing\Portrait;
use PruningHook\Core\Drawing\View;
use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Prescription\Snapshot;
use Tests\Feature\FeatureTestCase;

/** Survey and judge, tap by tap. */
final class StemsTest extends FeatureTestCase
{
    private Plant $rose;

    protected function setUp(): void
    {
        parent::setUp();
        $this->rose = Plant::factory()->create([
            'garden_id' => $this->garden->id,
            'kind' => 'bush-rose',
            'label' => 'Rose by the step',
            'height_mm' => 900,
            'grafted' => true,
        ]);
    }

    public function test_an_empty_survey_says_how_to_begin(): void
    {
        $this->actingAs($this->hand())
            ->get("/plants/{$this->rose->id}/stems")
            ->assertOk()
            ->assertSee('No stem is surveyed yet');
    }

    public function test_stems_are_tapped_in_and_judged_after_each(): void
    {
        $this->actingAs($this->hand());
        foreach ([0, 72, 144, 216, 288] as $way) {
            $this->tap(['op' => 'add', 'azimuth_deg' => $way])->assertRedirect();
        }
        $this->tap(['op' => 'set', 'ref' => 'C', 'age_years' => 9]);
        self::assertSame(['A', 'B', 'C', 'D', 'E'], array_column($this->survey()->state['stems'], 'ref'));
        self::assertSame(900, $this->survey()->state['stems'][0]['length_mm'], 'as long as the plant is tall');
        $board = $this->withHeaders(['X-Board' => '1'])
            ->put("/plants/{$this->rose->id}/stems", ['op' => 'fault', 'ref' => 'A', 'fault' => 'dead'])
            ->assertOk()
            ->assertDontSee('<html', false);
        $board->assertSeeInOrder(['Cuts, in order', 'Stem A', 'it is dead', 'What stays']);
        self::assertSame(['dead'], $this->survey()->state['stems'][0]['faults']);
    }

    public function test_the_survey_is_looked_at_from_the_side_with_what_goes(): void
    {
        $this->actingAs($this->hand());
        $at = "/plants/{$this->rose->id}/stems?side=1";
        $this->get($at)->assertOk()->assertSee('No stem stands in this season', false);
        foreach ([0, 72, 144, 216, 288] as $way) {
            $this->tap(['op' => 'add', 'azimuth_deg' => $way])->assertRedirect();
        }
        $this->tap(['op' => 'fault', 'ref' => 'B', 'fault' => 'dead']);
        $this->get("/plants/{$this->rose->id}/stems")->assertSee('As a plant, from the side and from above');
        $page = $this->get($at)->assertOk()->assertSee('class="p-goes"', false)->assertSee('5 stems');
        [$portrait, $above] = $page->viewData('portraits');
        self::assertInstanceOf(Portrait::class, $portrait);
        self::assertSame([View::South, View::Above], [$portrait->view, $above->view]);
        self::assertCount(count($page->viewData('judged')->cuts), $portrait->marks->seals);
        $this->tap(['op' => 'cut', 'ref' => 'B']);
        $this->get($at)->assertSee('4 stems');
    }

    public function test_a_season_begins_with_the_stems_of_the_last_and_what_was_left_for_it_goes(): void
    {
        $this->actingAs($this->hand());
        $this->tap(['op' => 'carry'])->assertSessionHasErrors(['op' => 'No season before this one was surveyed.']);
        foreach ([0, 90, 180, 270] as $way) {
            $this->tap(['op' => 'add', 'azimuth_deg' => $way]);
        }
        $this->tap(['op' => 'cut', 'ref' => 'B']);
        $visit = $this->garden->visits()->create(['crew_id' => $this->crew->id, 'on' => '2027-02-20']);
        $task = $visit->tasks()->create([
            'plant_id' => $this->rose->id, 'task' => 'main-pruning', 'season' => 2027, 'position' => 0, 'minutes' => 20,
            'prescribed' => $this->prescription(),
        ]);
        $this->put("/tasks/$task->id/log", ['outcome' => 'done', 'minutes' => 20, 'left_stem' => 'C'])
            ->assertSessionHasNoErrors();
        config(['hook.today' => '2028-02-20']);
        $this->get("/plants/{$this->rose->id}/stems")->assertSee('Begin with the stems of 2027');
        $this->tap(['op' => 'carry'])->assertSessionHasNoErrors();
        $now = StemSurvey::query()->where('season', 2028)->sole()->state;
        self::assertSame(['A', 'C', 'D'], array_column($now['stems'], 'ref'), 'what was cut is gone');
        self::assertSame([3, 3, 3], array_column($now['stems'], 'age_years'), 'a year older');
        self::assertSame(['C' => 'remove'], $now['word']);
        $this->get("/plants/{$this->rose->id}/stems")->assertSeeInOrder(['Cuts, in order', 'Stem C', 'What stays']);
        $this->tap(['op' => 'carry'])->assertSessionHasErrors(['op' => 'Stems are surveyed already.']);
    }

    public function test_what_was_said_of_one_stem_is_taken_for_the_next(): void
    {
        $this->actingAs($this->hand());
        $this->tap(['op' => 'add', 'azimuth_deg' => 10]);
        $this->tap(['op' => 'set', 'ref' => 'A', 'base_mm' => 25]);
        $this->tap(['op' => 'add', 'azimuth_deg' => 100]);
        self::assertSame(25, $this->survey()->state['stems'][1]['base_mm']);
    }

    public function test_every_tap_can_be_undone(): void
    {
        $this->actingAs($this->hand());
        $this->tap(['op' => 'add', 'azimuth_deg' => 10]);
        $this->tap(['op' => 'fault', 'ref' => 'A', 'fault' => 'dead']);
        $this->tap(['op' => 'drop', 'ref' => 'A']);
        self::assertSame([], $this->survey()->state['stems']);
        foreach ([['dead'], [], null, null] as $faults) {
            $this->post("/plants/{$this->rose->id}/stems/undo")->assertRedirect();
            self::assertSame($faults, $this->survey()->state['stems'][0]['faults'] ?? null);
        }
    }

    public function test_two_who_say_the_same_agree_and_each_takes_back_what_they_said(): void
    {
        [$hand, $lead] = [$this->hand(), $this->lead()];
        $this->actingAs($hand);
        $this->tap(['op' => 'add', 'azimuth_deg' => 10]);
        $this->tap(['op' => 'cut', 'ref' => 'A', 'on' => '1']);
        $this->actingAs($lead);
        $this->get("/plants/{$this->rose->id}/stems")->assertDontSee('Undo the last tap');
        // The lead's page still shows it standing.
        $this->tap(['op' => 'cut', 'ref' => 'A', 'on' => '1']);
        self::assertSame(['A'], $this->survey()->state['cut']);
        foreach ([['fault', ['dead' => '1'], 'faults', ['dead']], ['fault', ['dead' => '0'], 'faults', []]] as $said) {
            foreach ([$hand, $lead] as $each) {
                $this->actingAs($each);
                $this->tap(['op' => $said[0], 'ref' => 'A', 'on' => $said[1]]);
                self::assertSame($said[3], $this->survey()->state['stems'][0]['faults']);
            }
        }
        foreach ([['1', ['A' => 'keep']], ['1', ['A' => 'keep']], ['0', []], ['0', []]] as [$on, $word]) {
            $this->tap(['op' => 'word', 'ref' => 'A', 'on' => ['keep' => $on]]);
            self::assertSame($word, $this->survey()->state['word']);
        }
        $this->actingAs($hand);
        $this->tap(['op' => 'add', 'azimuth_deg' => 100]);
        $this->actingAs($lead);
        $this->tap(['op' => 'set', 'ref' => 'B', 'base_mm' => 40]);
        $this->tap(['op' => 'add', 'azimuth_deg' => 200]);
        // The hand's last tap was the second stem: with it goes what the lead said of it, and nothing else.
        $this->actingAs($hand)->get("/plants/{$this->rose->id}/stems")->assertSee('Undo the last tap');
        $this->post("/plants/{$this->rose->id}/stems/undo");
        self::assertSame(['A', 'C'], array_column($this->survey()->state['stems'], 'ref'));
        self::assertSame(['A'], $this->survey()->state['cut']);
    }

    public function test_a_survey_is_the_sum_of_its_taps(): void
    {
        mt_srand(12);
        $change = new SurveyChange();
        for ($plant = 0; $plant < 40; $plant++) {
            [$state, $taps] = [StemSurvey::EMPTY, []];
            for ($tap = 0; $tap < 60; $tap++) {
                $refs = array_column($state['stems'], 'ref');
                $said = [
                    ['op' => 'add', 'azimuth_deg' => mt_rand(0, 359)], ['op' => 'set', 'base_mm' => mt_rand(5, 60)],
                    ['op' => 'fault', 'fault' => mt_rand(0, 1) === 1 ? 'dead' : 'inward'], ['op' => 'drop'],
                    ['op' => 'word', 'word' => mt_rand(0, 1) === 1 ? 'keep' : 'remove'], ['op' => 'cut'],
                    ['op' => 'aim', 'keep' => mt_rand(1, 9), 'budget' => null],
                ][$refs === [] ? 0 : mt_rand(0, 6)];
                $now = $change->apply(
                    $state, [...$said, 'ref' => $refs === [] ? '' : $refs[mt_rand(0, count($refs) - 1)]], 1500,
                );
                $taps[] = json_decode((string) json_encode(Taps::between($state, $now)), true);
                $state = $now;
                self::assertSame($state, Taps::sum($taps), "seed 12, plant $plant, tap $tap");
                self::assertLessThan(200, strlen((string) json_encode($taps[$tap])), 'only what changed is written');
            }
        }
    }

    public function test_the_leads_word_and_the_cut_are_said_and_taken_back_by_the_same_tap(): void
    {
        $this->actingAs($this->lead());
        $this->tap(['op' => 'add', 'azimuth_deg' => 10]);
        foreach ([['A' => 'keep'], []] as $word) {
            $this->tap(['op' => 'word', 'ref' => 'A', 'word' => 'keep']);
            self::assertSame($word, $this->survey()->state['word']);
        }
        foreach ([['A'], []] as $cut) {
            $this->tap(['op' => 'cut', 'ref' => 'A']);
            self::assertSame($cut, $this->survey()->state['cut']);
        }
    }

    /** @param  array<string, mixed>  $said */
    #[DataProvider('faults')]
    public function test_a_tap_that_cannot_be_is_told_and_changes_nothing(array $said, string $field): void
    {
        $this->actingAs($this->hand());
        $this->tap(['op' => 'add', 'azimuth_deg' => 10]);
        $before = $this->survey()->state;
        $this->tap($said)->assertSessionHasErrors($field);
        self::assertSame($before, $this->survey()->state);
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function faults(): array
    {
        return [
            'no change' => [['op' => 'paint'], 'op'],
            'a stem that is not there' => [['op' => 'cut', 'ref' => 'Q'], 'ref'],
            'a fault nobody knows' => [['op' => 'fault', 'ref' => 'A', 'fault' => 'ugly'], 'fault'],
            'a lean that hangs down' => [['op' => 'set', 'ref' => 'A', 'lean_deg' => 140], 'lean_deg'],
            'a thickness of nothing' => [['op' => 'set', 'ref' => 'A', 'base_mm' => ''], 'base_mm'],
            'shorter than it is thick' => [['op' => 'set', 'ref' => 'A', 'length_mm' => 9], 'length_mm'],
            'taller than its plant' => [['op' => 'set', 'ref' => 'A', 'length_mm' => 3000], 'length_mm'],
            'another word' => [['op' => 'word', 'ref' => 'A', 'word' => 'perhaps'], 'word'],
            'a budget over all' => [['op' => 'aim', 'budget' => 140], 'budget'],
        ];
    }

    public function test_the_judgement_becomes_the_sheets_cut_plan_and_stays_as_it_was(): void
    {
        $this->actingAs($this->lead());
        foreach ([0, 90, 180, 270, 45] as $way) {
            $this->tap(['op' => 'add', 'azimuth_deg' => $way]);
        }
        $this->tap(['op' => 'fault', 'ref' => 'B', 'fault' => 'dead']);
        $visit = $this->visit();
        $task = $visit
            ->tasks()
            ->create([
                'plant_id' => $this->rose->id,
                'task' => 'main-pruning',
                'season' => 2027,
                'position' => 1,
                'prescribed' => $visit->tasks()->firstOrFail()->prescribed,
            ]);
        $this->post("/plants/{$this->rose->id}/stems/plan", ['task' => $task->id])->assertRedirect(
            "/visits/$visit->id",
        );
        $this->tap(['op' => 'fault', 'ref' => 'B', 'fault' => 'dead']);
        $sheet = (string) $this->get("/visits/$visit->id")->assertSee('The plant from above')->assertSee('it is dead')
            ->getContent();
        // Its stems are limbs of a plant, with their branches behind them, on the board and on the sheet alike.
        $board = (string) $this->get("/plants/{$this->rose->id}/stems")->getContent();
        foreach ([$sheet, $board] as $page) {
            self::assertMatchesRegularExpression('~<g class="b-branches"><path class="p-\w+"~', $page);
            $limb = '~<g class="b-stem b-\w+"><title>[^<]+</title>\s*<path class="p-~';
            self::assertSame(5, preg_match_all($limb, $page));
        }
        // Five were surveyed, all of last year, and one is dead.
        self::assertSame([0, 4], [$this->rose->fresh()?->stems_old, $this->rose->fresh()?->stems_young]);
        self::assertSame(
            ['dead'],
            VisitTask::query()->findOrFail($task->id)->cut_plan['state']['stems'][1]['faults'] ?? null,
        );
        // Whatever the rules say of such stems by then: the sheet says what was said when it was planned.
        $row = VisitTask::query()->findOrFail($task->id);
        $kept = $row->cut_plan ?? self::fail('no cut plan');
        self::assertArrayHasKey('judged', $kept);
        $kept['judged']['remove'][0]['because'] = 'as the eye of that day saw it';
        $row->update(['cut_plan' => $kept]);
        $this->get("/visits/$visit->id")->assertSee('as the eye of that day saw it')->assertDontSee('it is dead');
    }

    public function test_the_plants_picture_takes_out_what_the_judge_does(): void
    {
        $this->actingAs($this->lead());
        foreach ([0, 40, 80, 120, 160, 200, 240, 280] as $way) {
            $this->tap(['op' => 'add', 'azimuth_deg' => $way]);
        }
        $this->tap(['op' => 'fault', 'ref' => 'B', 'fault' => 'dead']);
        $this->tap(['op' => 'fault', 'ref' => 'D', 'fault' => 'sucker']);
        $picture = fn (): string => (string) $this->get("/plants/{$this->rose->id}/drawing?task=main-pruning")
            ->assertOk()->getContent();
        $judged = fn (): int => substr_count(
            (string) $this->get("/plants/{$this->rose->id}/stems")->getContent(), '<span class="number"',
        );
        self::assertSame(4, $judged(), 'eight stand and four are wanted');
        self::assertStringContainsString('4 stems out at the base', $picture());
        // Whoever wants more of them to stay sees that in the picture.
        $this->tap(['op' => 'aim', 'keep' => 6]);
        self::assertSame(2, $judged());
        self::assertStringContainsString('2 stems out at the base', $picture());
        $this->tap(['op' => 'aim', 'keep' => 4]);
        // What is out already is out of the picture, and the lead's word counts in it.
        $this->tap(['op' => 'cut', 'ref' => 'B']);
        self::assertStringContainsString($judged().' stems out at the base', $picture());
        self::assertSame(3, $judged());
        $this->tap(['op' => 'word', 'ref' => 'D', 'word' => 'keep']);
        self::assertStringContainsString($judged().' stems out at the base', $picture());
    }

    public function test_courses_begin_with_what_the_judge_takes_out(): void
    {
        $this->actingAs($this->lead());
        foreach ([0, 40, 80, 120, 160, 200, 240, 280] as $way) {
            $this->tap(['op' => 'add', 'azimuth_deg' => $way]);
        }
        foreach ([6 => 2, 4 => 4] as $kept => $out) {
            $this->tap(['op' => 'aim', 'keep' => $kept]);
            $page = $this->app->make(CoursesScreen::class)->show(
                $this->rose->refresh(), 'main-pruning', 'now', Day::parse('2027-02-20'),
            );
            // The school in force does the same; one that takes no whole stems takes none.
            foreach ([$page->courses[1], $page->schools[0]] as [$course]) {
                $now = $course->future->stages['now'];
                $judged = $this->app->make(JudgedStems::class)->axes($this->rose, 2027, $now->plant);
                self::assertCount($out, $judged ?? []);
                self::assertSame($judged, array_values(array_filter(
                    array_map(static fn (Cut $cut): ?int => $cut->does === 'thin' ? $cut->axis : null, $now->cuts),
                    static fn (?int $axis): bool => $axis !== null && $now->plant->axes[$axis]->parent === null,
                )), $course->name);
            }
            self::assertSame('usual', $page->courses[1][0]->key);
            self::assertSame([], array_filter(
                $page->schools[1][0]->future->stages['now']->cuts,
                static fn (Cut $cut): bool => $cut->does === 'thin',
            ));
        }
    }

    public function test_a_cut_plan_goes_on_the_sheet_of_a_cut_and_not_of_a_look(): void
    {
        $this->actingAs($this->lead());
        $this->tap(['op' => 'add', 'azimuth_deg' => 0]);
        $visit = $this->visit();
        $cut = $visit->tasks()->firstOrFail()->prescribed->toArray();
        $this->get("/visits/$visit->id")->assertOk()->assertDontSee('Note its bloom');
        $look = $visit->tasks()->create([
            'plant_id' => $this->rose->id, 'task' => 'follow-at-bloom', 'season' => 2027, 'position' => 1,
            'prescribed' => Snapshot::read([
                ...$cut, 'name' => 'Look at the bloom', 'recipe' => LoggedWork::FOLLOW_UP,
            ]),
        ]);
        $this->get("/visits/$visit->id")->assertOk()->assertSee('Note its bloom');
        $this->get("/plants/{$this->rose->id}/stems")->assertDontSee('Save as the cut plan');
        $this->post("/plants/{$this->rose->id}/stems/plan", ['task' => $look->id])
            ->assertSessionHasErrors(['task' => 'Look at the bloom: nothing is cut then. Put the plan on the sheet of '
                .'a cut.']);
        self::assertNull($look->refresh()->cut_plan);
    }

    public function test_logging_a_cut_plan_marks_those_very_stems_and_taking_the_log_back_lets_them_stand(): void
    {
        $lilac = Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => 'lilac', 'height_mm' => 2000]);
        $this->actingAs($this->lead());
        $put = fn (array $said): TestResponse => $this->put("/plants/$lilac->id/stems", $said);
        foreach ([0, 60, 120, 180, 240, 300, 30] as $index => $way) {
            $put(['op' => 'add', 'azimuth_deg' => $way]);
            $put(['op' => 'set', 'ref' => chr(65 + $index), 'age_years' => $index < 6 ? 9 - $index : 1]);
        }
        $put(['op' => 'fault', 'ref' => 'F', 'fault' => 'dead']);
        $visit = $this->visit('2027-02-20');
        $prescribed = $this->prescription([
            'amounts' => [
                [
                    'effect' => 'old-stems-out',
                    'what' => 'old stems to take out',
                    'unit' => 'stems',
                    'min' => 2,
                    'target' => 2,
                    'max' => 2,
                ],
            ],
        ]);
        $task = $visit->tasks()->create([
            'plant_id' => $lilac->id,
            'task' => 'after-flowering',
            'season' => 2027,
            'position' => 1,
            'prescribed' => $prescribed,
        ]);
        $this->post("/plants/$lilac->id/stems/plan", ['task' => $task->id])->assertSessionHasNoErrors();
        self::assertSame([5, 1], [$lilac->fresh()?->stems_old, $lilac->fresh()?->stems_young]);
        $cut = static fn (): array => StemSurvey::query()->where('plant_id', $lilac->id)->sole()->state['cut'];
        $this->put("/tasks/$task->id/log", ['outcome' => 'done', 'minutes' => 40])->assertSessionHasNoErrors();
        self::assertSame(['F', 'A', 'B'], $cut(), 'the dead one, then the two oldest');
        self::assertSame(
            [['effect' => 'old-stems-out', 'what' => 'old stems to take out', 'unit' => 'stems', 'value' => 2]],
            $task->fresh()?->log?->amounts,
            'nobody counts them once more',
        );
        $this->get("/plants/$lilac->id")->assertSee('3 old, 1 young');
        $this->put("/tasks/$task->id/log", [
            'outcome' => 'partly',
            'why' => 'weather',
            'minutes' => 40,
            'amounts' => [1],
        ])->assertSessionHasNoErrors();
        self::assertSame(['F', 'A'], $cut(), 'one old stem was as far as they came');
        $this->put("/tasks/$task->id/log", ['outcome' => 'done', 'minutes' => 40, 'amounts' => [1]]);
        self::assertSame(['F', 'A'], $cut(), 'done, and the crew has counted for itself');
        self::assertSame([1], array_column($task->fresh()->log->amounts ?? [], 'value'));
        $this->put("/tasks/$task->id/log", ['outcome' => 'not-done', 'why' => 'weather'])->assertSessionHasNoErrors();
        self::assertSame([], $cut());
        $this->put("/tasks/$task->id/log", ['outcome' => 'done', 'minutes' => 40]);
        $this->delete("/tasks/$task->id/log")->assertRedirect();
        self::assertSame([], $cut());
    }

    public function test_undoing_keeps_the_stem_in_hand_as_long_as_it_is_there(): void
    {
        $this->actingAs($this->lead());
        $this->tap(['op' => 'add', 'azimuth_deg' => 10]);
        $this->tap(['op' => 'fault', 'ref' => 'A', 'fault' => 'dead']);
        $undo = fn (): TestResponse => $this->withHeaders(['X-Board' => '1'])
            ->post("/plants/{$this->rose->id}/stems/undo", ['ref' => 'A'])
            ->assertOk();
        $undo()->assertSeeHtml('id="hand-title"');
        $undo()->assertDontSeeHtml('id="hand-title"')->assertSee('No stem is surveyed yet');
    }

    public function test_the_sheet_leads_to_the_survey_of_each_of_its_plants(): void
    {
        $visit = $this->visit();
        $plant = $visit->tasks()->firstOrFail()->plant_id;
        $this->actingAs($this->hand())->get("/visits/$visit->id")->assertOk()
            ->assertSeeHtml('href="'.route('stems.show', $plant).'"')->assertSee('Judge its stems');
        $this->get("/plants/$plant/stems")->assertOk();
    }

    public function test_nothing_is_planned_from_no_survey_or_onto_another_plants_visit(): void
    {
        $this->actingAs($this->lead());
        $visit = $this->visit();
        $this->post("/plants/{$this->wisteria->id}/stems/plan", [
            'task' => $visit->tasks()->firstOrFail()->id,
        ])->assertSessionHasErrors('task');
        $this->post("/plants/{$this->rose->id}/stems/plan", [
            'task' => $visit->tasks()->firstOrFail()->id,
        ])->assertSessionHasErrors('task');
    }

    public function test_a_tap_sent_again_because_its_answer_never_came_is_kept_once(): void
    {
        $this->actingAs($this->hand());
        $add = ['op' => 'add', 'azimuth_deg' => 10, 'tap' => '5d0c5e07-6d4e-4c3a-9d57-0a1b2c3d4e5f'];
        $dead = ['op' => 'fault', 'ref' => 'A', 'fault' => 'dead', 'tap' => '9b1e0c11-2d4e-4c3a-8d57-0a1b2c3d4e5f'];
        foreach ([$add, $add, $dead, $dead] as $said) {
            $this->tap($said)->assertRedirect();
        }
        self::assertSame(['A' => ['dead']], array_column($this->survey()->state['stems'], 'faults', 'ref'));
        $undo = ['tap' => '1c1e0c11-2d4e-4c3a-8d57-0a1b2c3d4e5f'];
        $this->post("/plants/{$this->rose->id}/stems/undo", $undo);
        $this->post("/plants/{$this->rose->id}/stems/undo", $undo);
        self::assertSame(['A' => []], array_column($this->survey()->state['stems'], 'faults', 'ref'));
    }

    public function test_a_tap_that_was_refused_may_be_sent_again(): void
    {
        $this->actingAs($this->hand());
        $said = ['op' => 'cut', 'ref' => 'A', 'tap' => '5d0c5e07-6d4e-4c3a-9d57-0a1b2c3d4e5f'];
        $this->tap($said)->assertSessionHasErrors('ref');
        $this->tap(['op' => 'add', 'azimuth_deg' => 10]);
        $this->tap($said)->assertRedirect();
        self::assertSame(['A'], $this->survey()->state['cut']);
        $this->putJson("/plants/{$this->rose->id}/stems", ['op' => 'cut', 'ref' => 'Q'])
            ->assertUnprocessable()
            ->assertJsonPath('message', 'That stem is not in the survey any more.');
    }

    public function test_letters_go_on_after_z_and_are_not_used_twice(): void
    {
        $this->actingAs($this->hand());
        foreach (range(1, 28) as $number) {
            $this->tap(['op' => 'add', 'azimuth_deg' => $number * 12]);
        }
        $this->tap(['op' => 'drop', 'ref' => 'C']);
        $this->tap(['op' => 'add', 'azimuth_deg' => 5]);
        $refs = array_column($this->survey()->state['stems'], 'ref');
        self::assertSame(['Z', 'AA', 'AB', 'AC'], array_slice($refs, -4));
        self::assertNotContains('C', $refs);
    }

    /** @param  array<string, mixed>  $said */
    private function tap(array $said): TestResponse
    {
        return $this->put("/plants/{$this->rose->id}/stems", $said);
    }

    private function survey(): StemSurvey
    {
        return StemSurvey::query()->where('plant_id', $this->rose->id)->sole();
    }
}
