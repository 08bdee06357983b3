<?php

declare(strict_types=1);

namespace Tests\Feature\Planning;

use App\Ground\Models\Crew;
use App\Ground\Models\CrewDayOff;
use App\Ground\Models\DraftStatus;
use App\Ground\Models\Firm;
use App\Ground\Models\Garden;
use App\Ground\Models\PlanDraft;
use App\Ground\Models\Plant;
use App\Ground\Models\User;
use App\Ground\Models\Visit;
use App\Ground\Models\VisitTask;
use App\Ground\Support\Today;
use App\Knowledge\PlantBookFiles;
use App\Planning\AcceptDraft;
use App\Planning\MakeDraft;
use App\Planning\MakeTrue;
use App\Season\Decisions;
use App\Season\Due\DueKeeper;
use App\Season\TaskChoice;
use App\Season\Unplanned;
use App\Season\Weather\Outlook;
use App\Season\Weather\WeatherStation;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use PDOException;
use PruningHook\Core\Calendar\Day;
use RuntimeException;
use Tests\Feature\FeatureTestCase;
use Tests\Support\KnownWeather;

/** The plan over all gardens: asked for, compared, accepted in part or whole, taken back; visits moved by hand. */
final class PlanTest extends FeatureTestCase
{
    private User $boss;

    protected function setUp(): void
    {
        parent::setUp();
        $this->boss = $this->planner();
        Firm::query()->create([
            'name' => 'Hollowbrook', 'depot_latitude' => $this->garden->latitude + 0.05,
            'depot_longitude' => $this->garden->longitude,
        ]);
    }

    public function test_a_plan_is_asked_for_made_and_shown_as_a_difference(): void
    {
        $visit = $this->visit('2027-02-24');
        $rose = Plant::factory()->create([
            'garden_id' => $this->garden->id,
            'kind' => 'bush-rose',
            'label' => 'Rose bed',
        ]);
        $draft = $this->asked();
        self::assertSame(DraftStatus::Ready, $draft->status);
        $changes = $draft->result['changes'] ?? [];
        self::assertSame([], $draft->result['left'] ?? null);
        $all = array_merge(...array_column($changes, 'tasks'));
        self::assertContains("$rose->id:main-pruning:2027", $all);
        // What stands without a plan's help is cheaper with it, since nothing is left out.
        self::assertLessThan($draft->result['present']['total'] ?? 0, $draft->result['cost']['total'] ?? INF);
        self::assertLessThanOrEqual($draft->result['cost']['total'] ?? 0, $draft->result['bound'] ?? INF);
        $this->actingAs($this->boss)->get("/plan/drafts/$draft->id")->assertOk()->assertSee('Millrace House')
            ->assertSee('of Rose bed')->assertSee('Accept what is ticked')
            // What finds no day is so many tasks: nobody reads its price.
            ->assertSeeInOrder(['Minutes in all', 'Tasks without a day'])->assertDontSee('0,000');
        self::assertTrue($visit->fresh()?->on->equals($visit->on), 'looking changes nothing');
    }

    public function test_what_closes_soon_leads_to_planning_just_that_and_nobody_to_a_shut_door(): void
    {
        $this->actingAs($this->boss)->get('/')->assertOk();
        $page = (string) $this->get('/plan')->assertOk()->getContent();
        $choice = "{$this->wisteria->id}:winter-pass:2027";
        $link = "/gardens/{$this->garden->id}/visits/plan?".http_build_query(['tasks' => [$choice]]);
        self::assertStringContainsString(e($link), $page);
        $this->get($link)->assertOk()->assertSeeInOrder(["value=\"$choice\"", 'checked'], false);
        $this->actingAs($this->hand())->get('/plan')->assertDontSee('/visits/plan', false)
            ->assertSee("/plants/{$this->wisteria->id}\"", false);
    }

    public function test_all_of_it_is_accepted_and_taken_back(): void
    {
        $this->visit('2027-02-24');
        $this->roses();
        $draft = $this->asked();
        $before = $this->stands();
        $chosen = array_keys($draft->result['changes'] ?? []);
        self::assertNotSame([], $chosen);
        $this->accept($draft, $chosen);
        $after = $this->stands();
        self::assertNotSame($before, $after);
        self::assertSame(DraftStatus::Accepted, $draft->fresh()?->status);
        // Every task stands once, on a day within its window.
        $tasks = VisitTask::query()->with('visit')->get();
        self::assertCount(
            $tasks->count(),
            $tasks->unique(static fn (VisitTask $task): string => "$task->plant_id $task->task"),
        );
        foreach ($tasks as $task) {
            self::assertFalse($task->visit->on->isBefore($task->prescribed->window->opens));
            self::assertFalse($task->visit->on->isAfter($task->prescribed->window->closes));
        }
        self::assertSame(
            Visit::query()->withCount('tasks')->get()->pluck('tasks_count')->all(),
            Visit::query()->pluck('unlogged')->all(),
        );
        $this->post("/plan/drafts/$draft->id/undo")->assertRedirect('/plan')->assertSessionHasNoErrors();
        self::assertSame($before, $this->stands());
        $this->post("/plan/drafts/$draft->id/undo")->assertSessionHasErrors('changes');
    }

    public function test_a_part_of_it_is_accepted(): void
    {
        $this->roses(3);
        $draft = $this->asked();
        $changes = $draft->result['changes'] ?? [];
        self::assertGreaterThan(1, count($changes));
        $this->put("/plan/drafts/$draft->id", ['changes' => []])->assertSessionHasErrors('changes');
        self::assertSame(0, Visit::query()->count());
        $this->accept($draft, [0]);
        self::assertSame(1, Visit::query()->count());
        self::assertSame(count($changes[0]['tasks'] ?? []), VisitTask::query()->count());
    }

    public function test_of_two_who_accept_at_once_the_second_is_told_what_has_changed(): void
    {
        $this->roses(2);
        $draft = $this->asked();
        $visit = $this->visit('2027-02-24');
        $this->put("/plan/drafts/$draft->id", ['changes' => [0]])->assertSessionHasErrors('changes');
        self::assertStringContainsString('Millrace House on 24 Feb', session('errors')->first('changes'));
        self::assertSame(1, Visit::query()->count(), 'nothing was changed');
        $visit->delete();
        $draft = $this->asked();
        $this->accept($draft, [0]);
        $this->put("/plan/drafts/$draft->id", ['changes' => [0]])->assertSessionHasErrors('changes');
    }

    public function test_a_plan_keeps_off_days_on_which_the_forecast_holds_the_work(): void
    {
        $frost = array_fill_keys(['2027-02-23', '2027-02-24', '2027-02-25', '2027-02-26'], [-8.0, 1.0, 0.0]);
        $this->app->instance(WeatherStation::class, new KnownWeather($frost));
        $stands = $this->visit('2027-02-24');
        $this->roses(4);
        $draft = $this->asked();
        $changes = $draft->result['changes'] ?? [];
        $days = array_column(array_filter(array_column($changes, 'to')), 'on');
        self::assertNotSame([], $days);
        self::assertSame([], array_intersect($days, array_keys($frost)));
        $why = array_column($changes, 'why', 'visit')[$stands->id] ?? 'it stays';
        self::assertStringContainsString('the forecast holds the work', $why);
        // By hand it is possible, once it has been said.
        $to = ['on' => '2027-02-25', 'crew' => $stands->crew_id];
        $this->get("/plan/visits/$stands->id?".http_build_query($to))
            ->assertSee('But the forecast holds the work that day, better from');
    }

    public function test_a_plan_keeps_to_the_weekdays_a_client_asked_for(): void
    {
        foreach (range(1, 5) as $bed) {
            $this->garden->plants()->create(['kind' => 'bush-rose', 'label' => "Bed $bed"]);
        }
        $draft = $this->asked();
        $this->accept($draft);
        $busiest = Visit::query()->withCount('tasks')->orderByDesc('tasks_count')->firstOrFail();
        $wished = $busiest->on->weekday() === 4 ? 3 : 4;
        $this->garden->update(['wished_days' => [$wished]]);
        $draft = $this->ask('anew');
        $draft->update(['seconds' => 1]);
        $this->make($draft);
        $draft->refresh();
        $moved = array_column($draft->result['changes'] ?? [], null, 'visit')[$busiest->id] ?? self::fail('it stays');
        self::assertSame($wished, Day::parse($moved['to']['on'] ?? '')->weekday());
        self::assertStringContainsString('the client asked for that weekday', $moved['why']);
        self::assertGreaterThan($draft->result['cost']['unasked'] ?? INF, $draft->result['present']['unasked'] ?? 0);
        $this->actingAs($this->boss)->get("/plan/drafts/$draft->id")->assertSee('On weekdays nobody asked for');
    }

    public function test_a_plan_is_called_off_and_asking_anew_calls_off_the_one_before(): void
    {
        $first = $this->ask();
        $second = $this->ask();
        self::assertSame(DraftStatus::Cancelled, $first->fresh()?->status);
        $this->get("/plan/drafts/$second->id")->assertOk()->assertSee('>Cancel<', false);
        $this->delete("/plan/drafts/$second->id")->assertRedirect('/plan');
        $this->make($second);
        self::assertSame(DraftStatus::Cancelled, $second->fresh()?->status);
        $this->get("/plan/drafts/$second->id")->assertSee('It was called off');
    }

    public function test_what_fails_says_so(): void
    {
        $draft = $this->ask();
        $full = new PDOException('SQLSTATE[HY000]: General error: 13 database or disk is full (SQL: update x)');
        (new MakeDraft($draft->id))->failed($full);
        $this->get("/plan/drafts/$draft->id")->assertSee('It could not be made: the disk is full.')
            ->assertSee('Nothing was changed')->assertDontSee('SQLSTATE');
        $draft = $this->asked();
        $draft->update(['status' => DraftStatus::Accepting]);
        (new MakeTrue($draft->id, [0], null))->failed(new RuntimeException('/srv/somewhere is gone'));
        $this->get("/plan/drafts/$draft->id")->assertSee('Nothing was changed: something went wrong on our side')
            ->assertDontSee('/srv');
    }

    public function test_what_is_locked_agreed_or_begun_stays_and_a_lost_day_does_not_hold_it(): void
    {
        $visit = $this->visit('2027-02-24');
        $this->actingAs($this->boss)->put("/plan/visits/$visit->id/stand", ['what' => 'locked', 'is' => 1])
            ->assertRedirect();
        $draft = $this->asked('anew');
        self::assertNotContains($visit->id, array_column($draft->result['changes'] ?? [], 'visit'));
        CrewDayOff::query()->create(['crew_id' => $this->crew->id, 'on' => '2027-02-24', 'why' => 'frost']);
        $this->get('/plan')->assertSee('1 visit stands on a day that is lost');
        $draft = $this->asked('little');
        $moved = array_column($draft->result['changes'] ?? [], null, 'visit')[$visit->id] ?? null;
        self::assertSame(['moved', 'the crew does not work on that day'], [$moved['kind'] ?? '', $moved['why'] ?? '']);
        $this->accept($draft);
        self::assertNotSame('2027-02-24', (string) $visit->fresh()?->on);
        $this->get('/plan')->assertDontSee('a day that is lost');
    }

    public function test_after_a_lost_day_little_else_moves(): void
    {
        $this->roses(4);
        $draft = $this->asked('anew');
        $this->accept($draft);
        $lost = Visit::query()->orderBy('on')->firstOrFail();
        CrewDayOff::query()->create(['crew_id' => $lost->crew_id, 'on' => (string) $lost->on, 'why' => 'rain']);
        $there = Visit::query()->where('on', (string) $lost->on)->where('crew_id', $lost->crew_id)->pluck('id')->all();
        $draft = $this->asked('little');
        $touched = array_column($draft->result['changes'] ?? [], 'visit');
        self::assertSame([], array_diff($there, $touched), 'what stood there moves');
        self::assertSame([], array_diff($touched, $there), 'and nothing else');
    }

    public function test_moving_says_what_it_costs_and_breaks_before_it_is_done(): void
    {
        $visit = $this->visit('2027-02-24');
        $rook = Crew::query()->create(['name' => 'Rook crew', 'skills' => []]);
        $this->actingAs($this->boss)->get('/plan');
        $this->get("/plan/visits/$visit->id?on=2027-02-25&crew={$this->crew->id}")->assertOk()
            ->assertSee('Millrace House to Thu 25 Feb, Wren crew: costs the same')->assertDontSee('But');
        // Best to 28 February: three days outside cost 12 minutes.
        $this->get("/plan/visits/$visit->id?on=2027-03-03&crew={$this->crew->id}")->assertSee(
            '12 min dearer',
        );
        $this->get("/plan/visits/$visit->id?on=2027-03-20&crew={$this->crew->id}")
            ->assertSee('But outside the window of')
            ->assertSee('does not work on that day');
        $this->get("/plan/visits/$visit->id?on=2027-02-25&crew=$rook->id")->assertSee('Rook crew cannot do all of it');
        $this->get("/plan/visits/$visit->id?on=2027-02-19&crew=$rook->id")->assertRedirect();
        $this->put("/plan/visits/$visit->id", ['on' => '2027-03-20', 'crew' => $this->crew->id])
            ->assertSessionHasErrors('move');
        self::assertSame('2027-02-24', (string) $visit->fresh()?->on);
        $this->put("/plan/visits/$visit->id", ['on' => '2027-03-20', 'crew' => $this->crew->id, 'sure' => 1])
            ->assertSessionHasNoErrors();
        self::assertSame('moved on the plan', $visit->fresh()?->outside_reason);
        $this->put("/plan/visits/$visit->id", ['on' => '2027-02-25', 'crew' => $this->crew->id])
            ->assertSessionHas('undo')->assertSessionHasNoErrors();
        self::assertNull($visit->fresh()?->outside_reason);
    }

    public function test_a_visit_that_somebody_else_has_moved_is_not_moved_from_where_it_no_longer_stands(): void
    {
        $visit = $this->visit('2027-02-24');
        $lead = $this->lead();
        $from = "2027-02-24 {$this->crew->id}";
        $this->actingAs($this->boss)->get('/plan?week=2027-02-22')->assertSee('name="from"', false);
        $this->actingAs($lead)->put("/plan/visits/$visit->id", [
            'on' => '2027-02-25', 'crew' => $this->crew->id, 'from' => $from,
        ])->assertSessionHasNoErrors();
        $this->actingAs($this->boss)->put("/plan/visits/$visit->id", [
            'on' => '2027-02-26', 'crew' => $this->crew->id, 'from' => $from,
        ])->assertSessionHasErrors(['move' => "$lead->name moved Millrace House meanwhile: it stands on Thu 25 Feb, "
            .'Wren crew. Nothing was changed; move it from there.']);
        self::assertSame('2027-02-25', (string) $visit->fresh()?->on);
        $this->put("/plan/visits/$visit->id", [
            'on' => '2027-02-26', 'crew' => $this->crew->id, 'from' => "2027-02-25 {$this->crew->id}",
        ])->assertSessionHasNoErrors();
    }

    public function test_only_the_planner_plans_the_firm_and_a_lead_moves_the_crews_own_visits(): void
    {
        $visit = $this->visit('2027-02-24');
        $draft = $this->asked();
        foreach ([$this->lead(), $this->hand()] as $user) {
            $this->actingAs($user)->get('/plan')->assertOk()->assertDontSee('Make a plan');
            $this->get("/plan/drafts/$draft->id")->assertOk()->assertDontSee('Accept what is ticked');
            $this->post('/plan/drafts', ['weeks' => 12, 'stay' => 'some'])->assertForbidden();
            $this->put("/plan/drafts/$draft->id", ['changes' => [0]])->assertForbidden();
            $this->post("/plan/drafts/$draft->id/undo")->assertForbidden();
            $this->delete("/plan/drafts/$draft->id")->assertForbidden();
            $this->post("/crews/{$this->crew->id}/off", ['on' => '2027-02-24', 'why' => 'frost'])->assertForbidden();
        }
        $to = ['on' => '2027-02-25', 'crew' => $this->crew->id];
        $this->put("/plan/visits/$visit->id", $to)->assertForbidden();
        $this->put("/plan/visits/$visit->id/stand", ['what' => 'locked', 'is' => 1])->assertForbidden();
        $this->actingAs($this->lead(false))->put("/plan/visits/$visit->id", $to)->assertForbidden();
        $this->actingAs($this->lead())->put("/plan/visits/$visit->id", $to)->assertSessionHasNoErrors();
        $jay = Crew::query()->create(['name' => 'Jay crew']);
        $this->put("/plan/visits/$visit->id", [...$to, 'crew' => $jay->id])->assertForbidden();
    }

    public function test_what_was_not_done_comes_back_with_its_window(): void
    {
        $visit = $this->visit('2027-02-18');
        $task = $visit->tasks()->firstOrFail();
        $ref = "$task->plant_id:$task->task:$task->season";
        $planned = fn (): array => array_merge(...array_column($this->asked()->result['changes'] ?? [], 'tasks'));
        self::assertNotContains($ref, $planned(), 'what waits for its log is not planned again');
        $this->put("/tasks/$task->id/log", ['outcome' => 'not-done', 'why' => 'weather'])->assertSessionHasNoErrors();
        self::assertContains($ref, $planned());
        $this->put("/tasks/$task->id/log", ['outcome' => 'done', 'minutes' => 30])->assertSessionHasNoErrors();
        self::assertNotContains($ref, $planned());
    }

    public function test_a_pass_that_comes_again_is_planned_like_any_other(): void
    {
        config(['hook.today' => '2027-07-12']);
        $rose = Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => 'bush-rose']);
        $done = $this->planned(
            $this->garden, Day::parse('2027-07-12'), new TaskChoice($rose->id, 'dead-heading', 2027),
        )->tasks()->firstOrFail();
        config(['hook.today' => '2027-07-20']);
        Carbon::setTestNow('2027-07-20 10:00:00');
        $this->actingAs($this->boss)
            ->put("/tasks/$done->id/log", ['outcome' => 'done', 'on' => '2027-07-12', 'minutes' => 20])
            ->assertSessionHasNoErrors();
        $again = "$rose->id:follow-dead-heading-2:2027";
        $draft = $this->asked();
        self::assertContains($again, array_merge(...array_column($draft->result['changes'] ?? [], 'tasks')));
        $this->accept($draft);
        self::assertTrue(VisitTask::query()->where('task', 'follow-dead-heading-2')->exists());
        $this->post("/plan/drafts/$draft->id/undo")->assertSessionHasNoErrors();
        $this->post("/gardens/{$this->garden->id}/visits", ['on' => '2027-07-24', 'tasks' => [$again]])
            ->assertSessionHasNoErrors();
        self::assertTrue(VisitTask::query()->where('task', 'follow-dead-heading-2')->exists());
    }

    public function test_every_key_a_task_can_have_can_be_chosen(): void
    {
        $book = $this->app->make(PlantBookFiles::class)->readAll();
        $keys = [];
        foreach ($book->recipes->all() as $recipe) {
            foreach ($recipe->followUps as $follow) {
                $keys[] = "follow-{$follow->value->key}";
            }
        }
        foreach (array_keys($book->names) as $kind) {
            foreach ($book->kind($kind)->tasks as $rule) {
                $keys[] = $rule->key;
                $keys = [...$keys, ...$rule->everyDays === null ? [] : ["follow-$rule->key-2", "follow-$rule->key-10"]];
            }
        }
        self::assertContains('follow-dead-heading-10', $keys);
        foreach (array_unique($keys) as $key) {
            $choice = new TaskChoice(PHP_INT_MAX % 1_000_000_000, $key, 2027);
            self::assertEquals($choice, TaskChoice::parse((string) $choice));
            self::assertMatchesRegularExpression(TaskChoice::PATTERN, (string) $choice);
        }
    }

    public function test_what_a_lost_day_or_two_days_without_a_log_left_undone_is_due_again(): void
    {
        $ref = "{$this->wisteria->id}:winter-pass:2027";
        $planned = fn (): array => array_merge(...array_column($this->asked()->result['changes'] ?? [], 'tasks'));
        $due = fn (): int => Unplanned::count(Today::day(), 42);
        $says = fn (): array => array_column(
            $this->app->make(Decisions::class)->of($this->boss, Today::day()), 'says',
        );
        $visit = $this->visit('2027-02-18');
        self::assertNotContains($ref, $planned(), 'for two days a log may still be on its way');
        self::assertSame(0, $due());
        $again = 'One task due again: its visit was lost or not logged';
        self::assertNotContains($again, $says());
        // The crew never came: frost.
        $off = CrewDayOff::query()->create(['crew_id' => $this->crew->id, 'on' => '2027-02-18', 'why' => 'frost']);
        self::assertContains($ref, $planned());
        self::assertSame(1, $due());
        self::assertContains($again, $says());
        $off->delete();
        self::assertNotContains($ref, $planned());
        // Fewer came, but they came.
        CrewDayOff::query()->create(
            ['crew_id' => $this->crew->id, 'on' => '2027-02-18', 'why' => 'ill', 'people' => 1],
        );
        self::assertNotContains($ref, $planned());
        config(['hook.today' => '2027-02-21']);
        self::assertContains($again, $says());
        $draft = $this->asked();
        self::assertContains($ref, array_merge(...array_column($draft->result['changes'] ?? [], 'tasks')));
        $this->accept($draft);
        self::assertSame(0, $due());
        self::assertNotContains($again, $says());
        self::assertSame($visit->id, (int) Visit::query()->where('on', '2027-02-18')->sole()->id, 'its sheet stays');
    }

    public function test_a_day_lost_today_is_planned_anew_by_hand_and_by_the_planner(): void
    {
        $visit = $this->visit('2027-02-20');
        $choice = "{$this->wisteria->id}:winter-pass:2027";
        $send = fn () => $this->actingAs($this->boss)
            ->post("/gardens/{$this->garden->id}/visits", ['on' => '2027-02-22', 'tasks' => [$choice]]);
        $send()->assertSessionHasErrors('tasks');
        CrewDayOff::query()->create(['crew_id' => $this->crew->id, 'on' => '2027-02-20', 'why' => 'storm']);
        $send()->assertSessionHasNoErrors();
        self::assertSame([null, true], [
            $visit->tasks()->firstOrFail()->standing,
            VisitTask::query()->where('visit_id', '!=', $visit->id)->sole()->standing,
        ]);
    }

    public function test_what_was_tried_today_and_not_done_is_planned_on_a_sheet_of_its_own(): void
    {
        $visit = $this->visit('2027-02-20');
        $task = $visit->tasks()->firstOrFail();
        $this->actingAs($this->boss)->put("/tasks/$task->id/log", ['outcome' => 'not-done', 'why' => 'weather'])
            ->assertSessionHasNoErrors();
        $draft = $this->asked();
        $this->accept($draft);
        self::assertSame($visit->id, $task->fresh()?->visit_id, 'the log stays where it was said');
        $next = VisitTask::query()->where('task', $task->task)->whereKeyNot($task->id)->sole();
        self::assertTrue($next->standing);
    }

    public function test_changes_are_acknowledged_at_once_and_made_on_the_queue_all_or_none(): void
    {
        $this->roses(2);
        $draft = $this->asked();
        $changes = $draft->result['changes'] ?? [];
        $this->put("/plan/drafts/$draft->id", ['all' => 1])->assertRedirect("/plan/drafts/$draft->id");
        self::assertSame(DraftStatus::Accepting, $draft->fresh()?->status);
        $this->get("/plan/drafts/$draft->id")->assertSee('Making '.count($changes).' changes')
            ->assertDontSee('>Cancel<', false);
        $this->delete("/plan/drafts/$draft->id");
        self::assertSame(DraftStatus::Accepting, $draft->fresh()?->status, 'what is being made cannot be called off');
        self::assertSame(0, Visit::query()->count());
        $make = new MakeTrue($draft->id, array_keys($changes), $this->boss->id);
        $make->handle($this->app->make(AcceptDraft::class));
        self::assertSame(DraftStatus::Accepted, $draft->fresh()?->status);
        self::assertSame(count($changes), Visit::query()->count());

        $late = $this->asked();
        $late->update([
            'status' => DraftStatus::Accepting,
            'result' => [...$late->result ?? [], 'changes' => $changes],
        ]);
        Visit::query()
            ->firstOrFail()
            ->update(['locked' => true]);
        (new MakeTrue($late->id, [0], null))->handle($this->app->make(AcceptDraft::class));
        self::assertSame(DraftStatus::Ready, $late->fresh()?->status);
        $this->get("/plan/drafts/$late->id")->assertSee('Nothing was changed: the plan is no longer the one');
    }

    public function test_a_visit_without_a_crew_is_told_and_gets_one(): void
    {
        $visit = $this->visit('2027-02-24');
        $visit->update(['crew_id' => null]);
        $this->actingAs($this->boss)->get('/plan')->assertSee('Visits without a crew');
        $draft = $this->asked();
        $change = array_column($draft->result['changes'] ?? [], null, 'visit')[$visit->id] ?? null;
        self::assertSame('it had no crew', $change['why'] ?? '');
        $this->accept($draft);
        self::assertSame($this->crew->id, $visit->fresh()?->crew_id);
        $this->get('/plan')->assertDontSee('Visits without a crew');
        $this->post("/plan/drafts/$draft->id/undo")->assertSessionHasNoErrors();
        self::assertNull($visit->fresh()?->crew_id);
    }

    public function test_the_page_stands_empty_too(): void
    {
        DB::table('crews')->delete();
        $this->actingAs($this->boss)->get('/plan')->assertOk()->assertSee('There is no crew yet');
        $this->post('/plan/drafts', ['weeks' => 12, 'stay' => 'some'])->assertSessionHasErrors('weeks');
        $this->post('/plan/drafts', ['weeks' => 3, 'stay' => 'x'])->assertSessionHasErrors(['weeks', 'stay']);
        $this->get('/plan?week=nonsense')->assertOk();
    }

    public function test_months_show_what_is_open_against_what_the_crews_have(): void
    {
        $this->roses();
        $this->actingAs($this->boss)->get('/plan');
        $this->app->make(DueKeeper::class)->renewAll();
        $minutes = (int) DB::table('season_tasks')->where('done', false)->whereNull('hands_off')->sum('minutes');
        self::assertGreaterThan(0, $minutes);
        self::assertSame($minutes, (int) DB::table('kept_months')->sum('minutes'));
        $this->get('/plan')->assertDontSee('too much');
        // Half an hour a week for one: more is at its best in February than there is.
        $this->crew->update(['people' => 1, 'week' => [1 => [480, 510]]]);
        $this->get('/plan')->assertSee('too much');
    }

    private function roses(int $gardens = 1): void
    {
        for ($each = 0; $each < $gardens; $each++) {
            $garden =
                $each === 0
                    ? $this->garden
                    : Garden::factory()->create([
                        'crew_id' => $this->crew->id,
                        'latitude' => $this->garden->latitude,
                        'longitude' => $this->garden->longitude + $each / 20,
                    ]);
            Plant::factory()->create(['garden_id' => $garden->id, 'kind' => 'bush-rose']);
            Plant::factory()->create(['garden_id' => $garden->id, 'kind' => 'apple']);
        }
    }

    public function test_what_changes_while_a_plan_is_carried_out_is_worked_out_again(): void
    {
        $this->roses(2);
        $draft = $this->asked();
        $draft->update(['status' => DraftStatus::Accepting]);
        $chosen = array_keys($draft->result['changes'] ?? []);
        $tries = 0;
        $count = $this->app->make(AcceptDraft::class)->accept(
            $draft, $chosen, null, Today::day(), function (float $share) use (&$tries): void {
                // Somebody measures a plant just before it is all written, once.
                if ($share === 1.0 && $tries++ === 0) {
                    $this->garden->plants()->where('kind', 'bush-rose')->firstOrFail()->update(['height_mm' => 1900]);
                }
            },
        );
        self::assertSame([count($chosen), 2], [$count, $tries]);
        self::assertSame(DraftStatus::Accepted, $draft->fresh()?->status);
        // Where it never comes to rest it is left, and nothing is half done.
        $this->post("/plan/drafts/$draft->id/undo")->assertSessionHasNoErrors();
        $draft = $this->asked();
        $draft->update(['status' => DraftStatus::Accepting]);
        $before = $this->stands();
        $revision = (int) DB::table('firms')->value('plan_revision');
        try {
            $this->app->make(AcceptDraft::class)->accept(
                $draft, array_keys($draft->result['changes'] ?? []), null, Today::day(),
                static fn () => DB::table('gardens')->increment('revision'),
            );
            self::fail('it was carried out');
        } catch (ValidationException $refused) {
            self::assertStringContainsString('Nothing was changed', $refused->getMessage());
        }
        self::assertSame([$before, $revision], [$this->stands(), (int) DB::table('firms')->value('plan_revision')]);
    }

    public function test_a_plan_whose_worker_was_killed_is_made_by_the_next(): void
    {
        $draft = $this->ask();
        $draft->update(['status' => DraftStatus::Looking]);
        $this->make($draft);
        self::assertSame(DraftStatus::Ready, $draft->fresh()?->status);
        self::assertGreaterThan(1, (new MakeDraft(1))->tries);
        self::assertLessThanOrEqual(60, config('queue.connections.database.retry_after'));
    }

    /** @param  ?list<int>  $chosen  all where left out */
    private function accept(PlanDraft $draft, ?array $chosen = null): void
    {
        $this->actingAs($this->boss)
            ->put("/plan/drafts/$draft->id", $chosen === null ? ['all' => 1] : ['changes' => $chosen])
            ->assertRedirect("/plan/drafts/$draft->id")->assertSessionHasNoErrors();
        (new MakeTrue($draft->id, $chosen ?? array_keys($draft->result['changes'] ?? []), $this->boss->id))
            ->handle($this->app->make(AcceptDraft::class));
        self::assertSame(DraftStatus::Accepted, $draft->fresh()?->status, (string) $draft->fresh()?->says);
        $this->get("/plan/drafts/$draft->id")->assertSee('This plan was accepted');
    }

    private function make(PlanDraft $draft): void
    {
        (new MakeDraft($draft->id))->handle($this->app->make(DueKeeper::class), $this->app->make(Outlook::class));
    }

    private function ask(string $stay = 'some'): PlanDraft
    {
        $this->actingAs($this->boss)->post('/plan/drafts', ['weeks' => 6, 'stay' => $stay])->assertRedirect();
        $draft = PlanDraft::query()->orderByDesc('id')->firstOrFail();
        // As many seconds as none: what is built first is good enough here.
        $draft->update(['seconds' => 0]);

        return $draft;
    }

    private function asked(string $stay = 'some'): PlanDraft
    {
        $draft = $this->ask($stay);
        $this->make($draft);

        return $draft->fresh() ?? $draft;
    }

    /** @return list<string> what stands on the plan, in words */
    private function stands(): array
    {
        return array_values(Visit::query()->with('tasks')->orderBy('id')->get()->map(
            static fn (Visit $visit): string => "$visit->id $visit->garden_id $visit->crew_id $visit->on "
                .$visit->tasks->map(static fn (VisitTask $task): string => "$task->id:$task->task")->implode(','),
        )->all());
    }
}
