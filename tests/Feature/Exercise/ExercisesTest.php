<?php

declare(strict_types=1);

namespace Tests\Feature\Exercise;

use App\Exercise\ExercisePage;
use App\Exercise\Exercises;
use App\Ground\Models\BenchAnswer;
use App\Ground\Models\Plant;
use App\Ground\Models\SignOff;
use App\Ground\Models\User;
use App\Ground\Models\WorkLog;
use App\Ground\Support\Today;
use PruningHook\Core\Exercise\CutCode;
use PruningHook\Core\Exercise\Judge;
use Tests\Feature\FeatureTestCase;

/** The practice bench: cuts are marked, undone, handed in, judged; leads sign off; the sheet and the plan know it. */
final class ExercisesTest extends FeatureTestCase
{
    public function test_the_bench_offers_todays_case_the_next_and_the_library_with_a_filter(): void
    {
        $page = $this->actingAs($this->hand())->get('/bench')->assertOk()->assertSeeInOrder([
            "Today's case", 'What to practise next', 'Nothing is handed in yet', 'All cases', 'Signed off',
        ]);
        self::assertCount(count($this->app->make(Exercises::class)->cases()->cases), $page->viewData('cases'));
        $hard = $this->get('/bench?level=3&kind=lilac')->assertSee('Nobody has touched it for five years');
        self::assertCount(1, $hard->viewData('cases'));
        $this->get('/bench?kind=nothing')->assertSee('No case is like that');
        $this->get('/bench?method[]=x&level[]=1')->assertOk();
        $this->get('/')->assertSee('data-key="n"', false);
    }

    public function test_cuts_stand_in_the_link_one_after_another_and_the_last_is_undone(): void
    {
        $this->actingAs($this->hand());
        $stem = $this->stem('first-forsythia');
        $this->get('/bench/first-forsythia')->assertOk()->assertSee('Tap a stem or branch')->assertSee('None yet')
            ->assertSee('data-axis="'.$stem.'"', false);
        $this->get("/bench/first-forsythia?pick=$stem")->assertSee("stem $stem,")->assertSee('Take it out')
            ->assertSee('is-picked', false);
        $this->get("/bench/first-forsythia?pick=$stem&do=t")
            ->assertRedirect("/bench/first-forsythia?seed=1&cuts=t$stem&view=south&pick=$stem");
        $this->get("/bench/first-forsythia?cuts=t$stem")->assertSee("Take out stem $stem")
            ->assertSee('class="p-goes"', false)->assertSee('of its live buds would go');
        $this->get("/bench/first-forsythia?cuts=t$stem&look=left")->assertDontSee('class="p-goes"', false)
            ->assertSee('Show the cuts');
        $this->get("/bench/first-forsythia?cuts=t$stem.x&do=u")
            ->assertRedirect("/bench/first-forsythia?seed=1&cuts=t$stem&view=south");
        $this->get("/bench/first-forsythia?cuts=t$stem&do=n")
            ->assertRedirect('/bench/first-forsythia?seed=1&view=south');
        $page = $this->get('/bench/first-forsythia')->assertOk()->viewData('page');
        self::assertInstanceOf(ExercisePage::class, $page);
        self::assertSame(['case' => 'first-forsythia', 'seed' => 1, 'view' => 'south'], $page->link());
        foreach (['d' => 'd900', 'a' => 'a90', 'c' => 'c900', 'r' => 'r900', 'x' => 'x'] as $does => $cut) {
            $this->get("/bench/first-forsythia?do=$does&n=90")
                ->assertRedirect("/bench/first-forsythia?seed=1&cuts=$cut&view=south");
        }
        $this->get("/bench/first-forsythia?pick=$stem&do=h&n=5")
            ->assertRedirect("/bench/first-forsythia?seed=1&cuts=h$stem-4&view=south&pick=$stem");
        $this->get("/bench/first-forsythia?cuts=h$stem-4.s$stem-2.a3.d900.r200.c30.x")->assertSeeInOrder([
            "Cut stem $stem above its 5th bud", "Shorten the laterals of stem $stem to 2 buds",
            'Shorten all laterals to 3 buds', 'Cut all down to 90 cm', 'Clear the stems to 20 cm',
            'Clip over to 3 cm of new growth',
        ]);
        foreach (['east', 'above', 'nowhere'] as $view) {
            $this->get("/bench/first-forsythia?view=$view")->assertOk()->assertSee('aria-current="page"', false);
        }
    }

    public function test_what_cannot_be_done_is_told_and_the_other_cuts_stand(): void
    {
        $this->actingAs($this->hand());
        $stem = $this->stem('first-forsythia');
        $at = '/bench/first-forsythia';
        $this->get("$at?cuts=t$stem.t$stem")->assertOk()->assertSee("Branch $stem is not there any more")
            ->assertSee('The other cuts stand as they were.')->assertSee("Take out stem $stem");
        $this->get("$at?cuts=t$stem&do=h&pick=1&n=")->assertSee('Say how many buds stay')
            ->assertSee("Take out stem $stem");
        $this->get("$at?do=d&n=-5")->assertSee('Say a height in centimetres');
        $this->get("$at?do=d&n=99999")->assertSee('Say a height in centimetres');
        $this->get("$at?do=t")->assertSee('Take a stem or a branch in hand first');
        $this->get("$at?do=fell")->assertSee('nothing that can be done on the bench');
        $this->get("$at?pick=99999")->assertOk()->assertSee('Tap a stem or branch');
        $this->get("$at?cuts[]=1&pick[]=2&view[]=3&do[]=4")->assertOk();
        $this->get($at.'?cuts='.str_repeat('x.', 500))->assertRedirect('/bench');
        $this->get("$at?seed=9999999")->assertRedirect('/bench')->assertSessionHas('said');
        $this->get("$at?seed=plum")->assertRedirect('/bench');
        self::assertStringContainsString('"plum" is none', (string) session('said'));
        $this->get('/bench/no-such-case?seed=7')->assertRedirect('/bench');
        self::assertSame('There is no case "no-such-case" on the bench.', session('said'));
        $this->get('/bench/plant-999999')->assertRedirect('/bench');
        self::assertSame('There is no plant "999999" to practise on.', session('said'));
    }

    public function test_an_answer_is_marked_kept_and_read_by_whoever_may(): void
    {
        $hand = $this->hand();
        [$cuts, $day] = $this->right('first-forsythia');
        $this->actingAs($hand)->post('/bench/first-forsythia', ['cuts' => $cuts])->assertSessionHasErrors('day');
        $this->post('/bench/first-forsythia', ['day' => $day])->assertSessionHasErrors('cuts');
        $this->post('/bench/first-forsythia', ['cuts' => 't99999', 'day' => $day])->assertSessionHasErrors('cuts');
        $this->post('/bench/first-forsythia', ['cuts' => $cuts, 'day' => '2027-01-01'])->assertSessionHasErrors('day');
        $this->post('/bench/first-forsythia', ['cuts' => $cuts, 'day' => $day, 'seed' => -1])
            ->assertSessionHasErrors('seed');
        $this->post('/bench/no-such-case', ['cuts' => $cuts, 'day' => $day])->assertSessionHasErrors('cuts');
        self::assertSame(0, BenchAnswer::query()->count());
        $this->post('/bench/first-forsythia', ['cuts' => $cuts, 'day' => $day, 'seed' => 1])
            ->assertSessionHasNoErrors();
        $answer = BenchAnswer::query()->sole();
        self::assertSame([$hand->id, 100, 'renew-by-thirds', 1], [
            $answer->user_id, $answer->score, $answer->method, $answer->level,
        ]);
        $at = "/bench/answers/$answer->id";
        $this->get($at)->assertOk()->assertSeeInOrder(['100 of 100', 'What the judge says', 'What had to go went'])
            ->assertSee($hand->name)->assertSee('The judge');
        foreach (['after', 'bloom', 'one', 'two', 'three', 'never'] as $moment) {
            $this->get("$at?at=$moment")->assertOk();
        }
        $this->get('/bench')->assertSee('100 of 100')->assertSee('1 of 8')->assertSee('done well');
        $this->actingAs($this->lead())->get($at)->assertOk();
        $this->actingAs($this->planner())->get($at)->assertOk();
        $this->actingAs($this->hand())->get($at)->assertForbidden();
        $this->actingAs($this->lead(false))->get($at)->assertForbidden();
    }

    public function test_an_answer_to_another_plant_of_a_case_is_marked_on_that_plant(): void
    {
        [$cuts, $day] = $this->right('first-forsythia', 7);
        $this->actingAs($this->hand())
            ->post('/bench/first-forsythia', ['cuts' => $cuts, 'day' => $day, 'seed' => 7])->assertSessionHasNoErrors();
        $answer = BenchAnswer::query()->sole();
        self::assertSame([100, 7], [$answer->score, $answer->seed]);
        // Where none is named it is the first.
        [$cuts, $day] = $this->right('first-forsythia');
        $this->post('/bench/first-forsythia', ['cuts' => $cuts, 'day' => $day])->assertSessionHasNoErrors();
        self::assertSame([100, 1], [
            BenchAnswer::query()->latest('id')->firstOrFail()->score,
            BenchAnswer::query()->latest('id')->firstOrFail()->seed,
        ]);
    }

    public function test_a_method_is_begun_by_a_case_or_by_a_visit(): void
    {
        $hand = $this->hand();
        $begun = fn (): array => array_map(
            static fn (array $of): array => [$of['tried'], $of['visits']],
            $this->actingAs($hand)->get('/bench')->assertOk()->viewData('begun'),
        );
        self::assertSame([], $begun());
        [$cuts, $day] = $this->right('first-forsythia');
        $this->post('/bench/first-forsythia', ['cuts' => $cuts, 'day' => $day])->assertSessionHasNoErrors();
        self::assertSame(['renew-by-thirds' => [1, 0]], $begun());
        $this->logged($hand, 'renew-by-thirds', 1);
        self::assertSame(['renew-by-thirds' => [1, 1]], $begun());
        $this->logged($hand, 'open-bowl', 2);
        self::assertEquals(['renew-by-thirds' => [1, 1], 'open-bowl' => [0, 2]], $begun());
    }

    public function test_two_taps_hand_it_in_once(): void
    {
        [$cuts, $day] = $this->right('first-grass');
        $this->actingAs($this->hand());
        foreach ([1, 2] as $tap) {
            $this->post('/bench/first-grass', [
                'cuts' => $cuts, 'day' => $day, '_once' => 'f47ac10b-58cc-4372-a567-0e02b2c3d479',
            ]);
            self::assertSame(1, BenchAnswer::query()->count(), "tap $tap");
        }
    }

    public function test_a_plant_of_the_firm_can_be_practised_on(): void
    {
        $shrub = Plant::factory()->create([
            'garden_id' => $this->garden->id, 'kind' => 'forsythia', 'height_mm' => 2200, 'label' => 'By the gate',
            'planted_on' => '2019-03-01',
        ]);
        $this->actingAs($this->hand())->get("/plants/$shrub->id")->assertSee("/bench/plant-$shrub->id");
        $this->get("/bench/plant-$shrub->id")->assertOk()->assertSee('By the gate')->assertSee('one of ours')
            ->assertSee('the year it was planted, its height');
        $exercises = $this->app->make(Exercises::class);
        self::assertSame("plant-$shrub->id", Exercises::keyOf($shrub));
        $practised = $exercises->of("plant-$shrub->id", 0, Today::day());
        $right = (new Judge($practised->exercise, $exercises->cases()->marking))->answer();
        $this->post("/bench/plant-$shrub->id", [
            'cuts' => CutCode::of($right->cuts),
            'day' => (string) $right->day,
        ])->assertSessionHasNoErrors();
        $answer = BenchAnswer::query()->sole();
        self::assertSame([100, $shrub->id], [$answer->score, $answer->plant_id]);
        $this->get("/bench/answers/$answer->id")->assertOk();
        // The plant has lost its stems since: the marks stand, and what cannot be drawn is told.
        BenchAnswer::query()->whereKey($answer->id)->toBase()->update(['cuts' => 't99999']);
        $this->get("/bench/answers/$answer->id")->assertOk()->assertSee('1 of the cuts cannot be drawn any more')
            ->assertSee('100 of 100');
        $oak = Plant::factory()->create([
            'garden_id' => $this->garden->id, 'kind' => 'oak', 'height_mm' => 18000, 'label' => 'Old oak',
        ]);
        $this->get("/bench/plant-$oak->id")->assertRedirect('/bench');
        self::assertStringContainsString('nothing to be cut on Old oak', (string) session('said'));
    }

    public function test_a_lead_signs_off_whoever_has_practised_and_been_watched_and_takes_it_back(): void
    {
        [$hand, $lead] = [$this->hand(), $this->lead()];
        $sign = fn (User $by, string $method = 'cut-down') => $this->actingAs($by)
            ->post("/people/$hand->id/sign-offs", ['method' => $method]);
        $sign($lead)->assertSessionHasErrors("method-$hand->id");
        $this->practised($hand, 'first-grass', 'cut-down', 95);
        $this->logged($hand, 'cut-down', 1);
        $sign($lead)->assertSessionHasErrors("method-$hand->id");
        $errors = session('errors');
        self::assertInstanceOf(\Illuminate\Support\ViewErrorBag::class, $errors);
        self::assertSame("$hand->name still needs, for cut down: 1 logged visit.", $errors->first("method-$hand->id"));
        $this->logged($hand, 'cut-down', 1);
        $sign($lead, 'nothing')->assertSessionHasErrors("method-$hand->id");
        $sign($hand)->assertForbidden();
        $sign($this->lead(false))->assertForbidden();
        $sign($lead)->assertSessionHasNoErrors()->assertSessionHas('undo');
        $sign($this->planner())->assertSessionHasNoErrors();
        $given = SignOff::query()->sole();
        self::assertSame([$hand->id, 'cut-down', $lead->id], [$given->user_id, $given->method, $given->by_id]);
        $this->actingAs($lead)->get('/bench')->assertSee('The crew')->assertSee("by $lead->name on");
        $this->actingAs($hand)->get('/bench')->assertSee("by $lead->name on")->assertDontSee('Take back');
        $this->delete("/sign-offs/$given->id")->assertForbidden();
        $this->actingAs($lead)->delete("/sign-offs/$given->id")->assertSessionHas('undo');
        self::assertSame(0, SignOff::query()->count());
        $this->post((string) session('undo')[0])->assertSessionHasNoErrors();
        self::assertSame(1, SignOff::query()->count(), 'what was taken back comes back');
        $this->actingAs($this->planner())->get('/changes')->assertSee("$hand->name, cut-down");
    }

    public function test_the_sheet_and_the_plan_know_who_is_signed_off(): void
    {
        $visit = $this->visit();
        $this->actingAs($this->lead())->get("/visits/$visit->id")->assertDontSee('signed off');
        // One firm's word that it does sign people off, of whatever crew and method.
        SignOff::query()->create(['user_id' => $this->hand(false)->id, 'method' => 'stool', 'on' => '2027-02-01']);
        $this->get("/visits/$visit->id")
            ->assertSee('nobody of the crew is signed off for it: the lead watches');
        $choice = $this->wisteria->id.':winter-pass:2027';
        $offered = $this->get("/gardens/{$this->garden->id}/visits/plan?tasks[]=$choice")->assertOk();
        $hand = $this->hand();
        SignOff::query()->create(['user_id' => $hand->id, 'method' => 'spur-back', 'by_id' => null,
            'on' => '2027-02-01']);
        $this->get("/visits/$visit->id")->assertSee("signed off for it: $hand->name")
            ->assertDontSee('nobody of the crew is signed off');
        self::assertSame([], $offered->viewData('watched'), 'nothing is chosen: it is planned already');
        $visit->tasks()->delete();
        $visit->delete();
        SignOff::query()->where('user_id', $hand->id)->delete();
        $this->get("/gardens/{$this->garden->id}/visits/common-days?tasks[]=$choice&on=2027-02-22")
            ->assertSee('Nobody of the crew is signed off for: spur back');
    }

    private function stem(string $case): int
    {
        return (int) array_key_first($this->app->make(Exercises::class)->of($case, 1, Today::day())->exercise->plant
            ->stems());
    }

    /** @return array{string, string} the judge's cuts as the bench writes them, and the right day */
    private function right(string $case, int $seed = 1): array
    {
        $exercises = $this->app->make(Exercises::class);
        $exercise = $exercises->of($case, $seed, Today::day())->exercise;
        $answer = (new Judge($exercise, $exercises->cases()->marking))->answer();
        $code = CutCode::of($answer->cuts);
        self::assertSame([], CutCode::read($code, $exercise->plant)->faults);

        return [$code, (string) $answer->day];
    }

    private function practised(User $user, string $case, string $method, int $score): void
    {
        BenchAnswer::query()->create([
            'user_id' => $user->id, 'case_key' => $case, 'seed' => 1, 'kind' => 'miscanthus', 'task' => 'cut-down',
            'method' => $method, 'level' => 1, 'cuts' => 'd100', 'day' => '2027-02-20', 'score' => $score,
            'mark' => ['found' => 100, 'kept' => 100, 'taken' => 100, 'remarks' => []],
        ]);
    }

    private function logged(User $user, string $recipe, int $times): void
    {
        for ($time = 0; $time < $times; $time++) {
            $visit = $this->garden->visits()->create(['crew_id' => $this->crew->id, 'on' => '2027-02-1'.$time]);
            $task = $visit->tasks()->create([
                'plant_id' => $this->wisteria->id, 'task' => 'winter-pass',
                'season' => 2010 + WorkLog::query()->count(),
                'position' => 0, 'minutes' => 20, 'prescribed' => $this->prescription(),
            ]);
            WorkLog::query()->create([
                'visit_task_id' => $task->id, 'plant_id' => $this->wisteria->id, 'task' => 'winter-pass',
                'season' => $task->season, 'on' => '2027-02-10', 'outcome' => 'done', 'minutes' => 20,
                'recipe' => $recipe, 'logged_by' => $user->id,
            ]);
        }
    }
}
