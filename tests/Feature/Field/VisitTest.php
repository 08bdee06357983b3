<?php

declare(strict_types=1);

namespace Tests\Feature\Field;

use App\Ground\Models\Plant;
use App\Ground\Models\Visit;
use App\Ground\Models\WorkLog;
use App\Season\TaskChoice;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use PruningHook\Core\Calendar\Day;
use Tests\Feature\FeatureTestCase;

final class VisitTest extends FeatureTestCase
{
    public function test_a_visit_is_planned_inside_the_window(): void
    {
        $this->plan(['on' => '2027-02-25'])->assertSessionHasNoErrors();
        $visit = Visit::query()->firstOrFail();
        self::assertNull($visit->outside_reason);
        self::assertSame('winter-pass', $visit->tasks->firstOrFail()->prescribed->key);
        $this->get("/visits/$visit->id")->assertOk()->assertSee('Thu 25 Feb 2027')->assertSee('2 to 3 buds');
    }

    public function test_a_day_outside_the_window_needs_a_reason(): void
    {
        $this->plan(['on' => '2027-03-20'])->assertSessionHasErrors(['on', 'outside_reason']);
        self::assertSame(0, Visit::query()->count());
        $this->get($this->planPage())->assertSee('20 March is outside the days they share, 1 January to 16 March');
        $this->plan(['on' => '2027-03-20', 'outside_reason' => 'Scaffolding until then'])->assertSessionHasNoErrors();
        $this->get('/visits/'.Visit::query()->firstOrFail()->id)->assertSee(
            'Outside the common days: Scaffolding until then',
        );
    }

    public function test_tasks_that_share_no_day_are_refused_together(): void
    {
        $this->plan([
            'on' => '2027-02-25',
            'tasks' => [$this->choice('winter-pass'), $this->choice('summer-pass')],
        ])->assertSessionHasErrors('on');
        $this->get(
            "/gardens/{$this->garden->id}/visits/common-days?tasks[]={$this->choice(
                'winter-pass',
            )}&tasks[]={$this->choice('summer-pass')}",
        )
            ->assertOk()
            ->assertSee('share no open day');
    }

    public function test_the_common_days_of_two_kinds_are_shown(): void
    {
        $rose = Plant::factory()->create([
            'garden_id' => $this->garden->id,
            'kind' => 'bush-rose',
            'label' => 'Roses',
            'count' => 4,
            'height_mm' => 900,
        ]);
        $this->actingAs($this->planner())
            ->get(
                "/gardens/{$this->garden->id}/visits/common-days?tasks[]={$this->choice(
                    'winter-pass',
                )}&tasks[]=$rose->id:main-pruning:2027&on=2027-02-16",
            )
            ->assertSee('1 Feb to 16 Mar')
            ->assertSee('best for all 15 Feb to 28 Feb')
            ->assertSee('Tue 16 Feb 2027')
            ->assertSee('is a best day');
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('badPlans')]
    public function test_a_bad_plan_is_told_beside_the_field(array $change, string $field): void
    {
        $this->plan($change)->assertSessionHasErrors($field);
        self::assertSame(0, Visit::query()->count());
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function badPlans(): array
    {
        return [
            'nothing chosen' => [['tasks' => []], 'tasks'],
            'no day' => [['on' => ''], 'on'],
            'a day the calendar lacks' => [['on' => '2027-02-30'], 'on'],
            'yesterday' => [['on' => '2027-02-19'], 'on'],
            'not a task' => [['tasks' => ['nonsense']], 'tasks.0'],
            'a task it does not have' => [['tasks' => ['1:dead-heading:2027']], 'tasks'],
            'a plant of another garden' => [['tasks' => ['999:winter-pass:2027']], 'tasks'],
            'a crew that is not there' => [['crew_id' => 77], 'crew_id'],
        ];
    }

    public function test_what_was_chosen_elsewhere_is_offered_and_ticked_however_far_off_it_is(): void
    {
        $canes = Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => 'blackberry', 'label' => 'Row']);
        $choice = "$canes->id:fruited-canes:2027";
        $page = fn (string $query): TestResponse => $this->actingAs($this->planner())
            ->get("/gardens/{$this->garden->id}/visits/plan$query");
        $page('')->assertDontSee($choice);
        self::assertMatchesRegularExpression(
            '/value="'.$choice.'"[^>]*checked/', (string) $page("?tasks[]=$choice")->assertSee('1 task')->getContent(),
        );
        $page("?tasks[]=$choice")
            ->assertDontSee("$canes->id:fruited-canes:2028")
            ->assertDontSee("$canes->id:laterals:2028");
        $this->visit();
        // What is planned already is neither offered nor counted.
        $page("?tasks[]={$this->wisteria->id}:winter-pass:2027")->assertDontSee('1 task, about');
    }

    public function test_a_planned_task_is_no_longer_offered(): void
    {
        $this->visit('2027-02-25');
        $this->actingAs($this->planner())
            ->get($this->planPage())
            ->assertDontSee($this->choice('winter-pass'))
            ->assertSee($this->choice('summer-pass'));
        $this->get('/')->assertSee('visit 25 Feb');
        $this->plan(['on' => '2027-02-26'])->assertSessionHasErrors([
            'tasks' => 'Winter pass of Wisteria on the south wall is already planned for 25 February.',
        ]);
    }

    public function test_a_visit_moves_under_the_same_rule(): void
    {
        $visit = $this->visit();
        $this->actingAs($this->lead())
            ->put("/visits/$visit->id", ['on' => '2027-03-30'])
            ->assertSessionHasErrors(['on', 'outside_reason']);
        $this->put("/visits/$visit->id", ['on' => '2027-03-10'])->assertSessionHasNoErrors();
        self::assertSame('2027-03-10', (string) $visit->fresh()?->on);
    }

    public function test_what_was_refused_in_a_log_is_not_written_into_the_move_of_its_visit(): void
    {
        $visit = $this->visit();
        $task = $visit->tasks()->firstOrFail();
        $this->actingAs($this->lead())->get("/visits/$visit->id")->assertOk();
        $this->put("/tasks/$task->id/log", ['outcome' => 'done', 'minutes' => -5, 'on' => '2027-02-19'])
            ->assertSessionHasErrorsIn("task$task->id", 'minutes');
        $page = (string) $this->get("/visits/$visit->id")->getContent();
        self::assertMatchesRegularExpression("/id=\"f-on\"\\s+name=\"on\" value=\"$visit->on\"/", $page);
    }

    public function test_a_visit_is_cancelled_unless_work_is_logged_on_it(): void
    {
        $task = $this->visitTask();
        $this->actingAs($this->lead())->put("/tasks/$task->id/log", ['outcome' => 'done', 'minutes' => 40]);
        $this->delete("/visits/$task->visit_id")->assertSessionHasErrors('visit');
        $this->delete("/tasks/$task->id/log");
        $this->delete("/visits/$task->visit_id")->assertSessionHas('said');
        self::assertSame(0, Visit::query()->count());
    }

    public function test_work_is_logged_and_stands_in_the_record(): void
    {
        $task = $this->visitTask();
        $this->actingAs($this->hand())
            ->put("/tasks/$task->id/log", [
                'outcome' => 'partly',
                'why' => 'weather',
                'minutes' => '35',
                'amounts' => ['3'],
                'findings' => ['dead-wood'],
                'note' => 'wire loose',
                'left_for_next_year' => 'Renew the top wire',
            ])
            ->assertSessionHasNoErrors()
            ->assertSessionHas('undo');
        $log = WorkLog::query()->firstOrFail();
        self::assertSame(
            [
                [
                    'effect' => 'buds-on-laterals',
                    'what' => 'buds per lateral',
                    'unit' => 'buds',
                    'value' => 3,
                ],
            ],
            $log->amounts,
        );
        $this->get("/plants/{$this->wisteria->id}/record")->assertSeeInOrder([
            'Season 2027', '20 Feb', 'Winter pass', 'Partly done', 'weather', '3 buds', 'Dead wood', 'wire loose',
            'Renew the top wire', '35',
        ]);
        $this->get("/plants/{$this->wisteria->id}")
            ->assertSee('Left for this year')
            ->assertSee('Renew the top wire');
    }

    public function test_logging_again_replaces_and_undo_takes_back(): void
    {
        $task = $this->visitTask();
        $this->actingAs($this->hand())->put("/tasks/$task->id/log", ['outcome' => 'not-done', 'why' => 'nest']);
        $this->put("/tasks/$task->id/log", ['outcome' => 'done', 'minutes' => '50']);
        self::assertSame(
            ['done', 50, null],
            [
                WorkLog::query()->sole()->outcome->value, WorkLog::query()->sole()->minutes,
                WorkLog::query()->sole()->why,
            ],
        );
        $this->delete("/tasks/$task->id/log");
        self::assertSame(0, WorkLog::query()->count());
    }

    public function test_lengths_are_kept_in_millimetres(): void
    {
        $bush = Plant::factory()->create([
            'garden_id' => $this->garden->id,
            'kind' => 'sweet-pepperbush',
            'label' => 'Pepperbush',
            'flowering_height_mm' => 1100,
        ]);
        $this->actingAs($this->planner())
            ->post("/gardens/{$this->garden->id}/visits", [
                'on' => '2027-03-10',
                'tasks' => ["$bush->id:height-cut:2027"],
            ])
            ->assertSessionHasNoErrors();
        $task = Visit::query()->firstOrFail()->tasks->firstOrFail();
        $this->get("/visits/$task->visit_id")
            ->assertSee('Cut height, cm')
            ->assertSee('Asked for: 50 cm');
        $this->put("/tasks/$task->id/log", [
            'outcome' => 'done',
            'minutes' => '9',
            'amounts' => ['52', ''],
        ]);
        self::assertSame(
            [['effect' => 'cut-height', 'what' => 'cut height', 'unit' => 'mm', 'value' => 520]],
            WorkLog::query()->sole()->amounts,
        );
    }

    /** @param  array<string, mixed>  $said */
    #[DataProvider('badLogs')]
    public function test_a_bad_log_is_told_on_its_own_card(array $said, string $field): void
    {
        $task = $this->visitTask();
        $this->actingAs($this->hand())->from("/visits/$task->visit_id")->put("/tasks/$task->id/log", $said)
            ->assertSessionHasErrors($field, null, "task$task->id");
        self::assertSame(0, WorkLog::query()->count());
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function badLogs(): array
    {
        return [
            'no outcome' => [['minutes' => '5'], 'outcome'],
            'an outcome nobody knows' => [['outcome' => 'maybe'], 'outcome'],
            'not done and no why' => [['outcome' => 'not-done'], 'why'],
            'done in no time' => [['outcome' => 'done', 'minutes' => ''], 'minutes'],
            'minutes in words' => [['outcome' => 'done', 'minutes' => 'ten'], 'minutes'],
            'minutes below none' => [['outcome' => 'done', 'minutes' => '-5'], 'minutes'],
            'an amount in words' => [['outcome' => 'done', 'minutes' => '5', 'amounts' => ['many']], 'amounts.0'],
            'a finding nobody knows' => [['outcome' => 'done', 'minutes' => '5', 'findings' => ['Gold']], 'findings.0'],
        ];
    }

    public function test_done_work_leaves_the_lists_and_the_record_teaches_the_minutes(): void
    {
        $task = $this->visitTask();
        $this->actingAs($this->planner())->put("/tasks/$task->id/log", ['outcome' => 'done', 'minutes' => '80']);
        $this->get('/')->assertSee('Nothing is due now');
        config(['hook.today' => '2028-02-01']);
        $this->get("/plants/{$this->wisteria->id}")->assertSee(
            'drawn towards the 80 min it took on average over 1 logged visit',
        );
    }

    public function test_planning_can_be_taken_back_at_once(): void
    {
        $this->plan([])->assertSessionHas('undo', [route('visits.destroy', Visit::query()->firstOrFail()), 'DELETE']);
    }

    public function test_the_round_shows_the_crews_own_visits(): void
    {
        $this->visit('2027-02-20');
        $this->visit('2027-07-20', 'summer-pass');
        $this->actingAs($this->hand())
            ->get('/round')
            ->assertSeeInOrder(['Today', 'Millrace House', '0 of 1 logged', 'Coming', '20 Jul']);
        $this->actingAs($this->hand(false))->get('/round')->assertSee('No visit today');
    }

    /** @param  array<string, mixed>  $change */
    private function plan(array $change): TestResponse
    {
        return $this->actingAs($this->planner())
            ->from($this->planPage())
            ->post("/gardens/{$this->garden->id}/visits", [
                'on' => '2027-02-25',
                'tasks' => [$this->choice('winter-pass')],
                'crew_id' => $this->crew->id,
                ...$change,
            ]);
    }

    private function planPage(): string
    {
        return "/gardens/{$this->garden->id}/visits/plan";
    }

    private function choice(string $task): string
    {
        return "{$this->wisteria->id}:$task:2027";
    }

    public function test_an_arborists_job_is_said_everywhere_and_planned_nowhere(): void
    {
        $oak = Plant::factory()->create([
            'garden_id' => $this->garden->id,
            'kind' => 'oak',
            'label' => 'Gate oak',
            'height_mm' => 25000,
        ]);
        $choice = (string) new TaskChoice($oak->id, 'winter-structure', 2027);
        $this->actingAs($this->planner());
        $this->get("/plants/$oak->id")
            ->assertOk()
            ->assertSee('An arborist', false)
            ->assertSee('is taller than 5 m')
            ->assertSee('What to ask for')
            ->assertDontSee('pruning saw')
            ->assertDontSee('ladder on firm ground')
            ->assertDontSeeHtml('data-key="p"');
        $this->get("/gardens/{$this->garden->id}/visits/plan")
            ->assertOk()
            ->assertSee('Gate oak')
            ->assertSeeHtml('value="'.$choice.'" disabled')
            ->assertSee('it is taller than 5 m');
        $this->post("/gardens/{$this->garden->id}/visits", [
            'on' => '2027-02-22',
            'tasks' => [$choice],
        ])->assertSessionHasErrors('tasks');
        self::assertSame(0, Visit::query()->count());
        $this->get('/?show=open')->assertSee('Gate oak')->assertSee("an arborist's", false);
    }

    public function test_stems_logged_out_stand_no_longer_and_the_next_prescription_knows(): void
    {
        $lilac = Plant::factory()->create([
            'garden_id' => $this->garden->id,
            'kind' => 'lilac',
            'label' => 'Lilac',
            'height_mm' => 2000,
        ]);
        $this->actingAs($this->planner());
        $lilac->update(['stems_old' => 9, 'stems_young' => 4]);
        self::assertSame('2027-02-20', (string) $lilac->fresh()?->stems_on, 'dated by the day it was counted');
        config(['hook.today' => '2027-06-01']);
        $task = $this->planned(
            $this->garden->fresh() ?? $this->garden, Day::parse('2027-06-01'),
            new TaskChoice($lilac->id, 'after-flowering', 2027),
        )->tasks()->firstOrFail();
        $this->put("/tasks/$task->id/log", [
            'outcome' => 'done',
            'minutes' => 40,
            'amounts' => [3],
        ])->assertSessionHasNoErrors();
        $this->get("/plants/$lilac->id")
            ->assertSee('6 old, 4 young')
            ->assertSee('9 old and 4 young counted on 20 February 2027, 3 taken out on 1 June 2027');
        config(['hook.today' => '2028-05-20']);
        $this->get("/plants/$lilac->id")
            ->assertSee('8 old, 5 young')
            ->assertSee('since then 2 grew old and 3 came from the base');
        // Counting again begins anew.
        $this->put("/plants/$lilac->id/measures", [
            'task' => 'after-flowering',
            'height_cm' => 200,
            'stems_old' => 5,
            'stems_young' => 5,
        ])->assertSessionHasNoErrors();
        $this->get("/plants/$lilac->id")
            ->assertSee('5 old, 5 young')
            ->assertDontSee('counted on');
    }

    public function test_what_closed_yesterday_is_chosen_where_a_visit_is_planned_from_its_plant(): void
    {
        config(['hook.today' => '2027-03-17']);
        $this->actingAs($this->planner());
        $choice = urlencode((string) new TaskChoice($this->wisteria->id, 'winter-pass', 2027));
        $this->get("/plants/{$this->wisteria->id}")->assertSee('missed, closed yesterday')
            ->assertSee('data-key="p" href="'.route('visits.create', $this->garden)."?tasks%5B0%5D=$choice\"", false);
    }
}
