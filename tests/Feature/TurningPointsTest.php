<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Field\Record\LogWork;
use App\Field\Record\RecordFilter;
use App\Field\Record\SeasonBudget;
use App\Gardens\Plants\PlantList;
use App\Gardens\Plants\PlantRecord;
use App\Gardens\Stems\SurveyChange;
use App\Ground\History\Fields;
use App\Ground\Models\Change;
use App\Ground\Models\Crew;
use App\Ground\Models\Did;
use App\Ground\Models\DraftStatus;
use App\Ground\Models\Firm;
use App\Ground\Models\Garden;
use App\Ground\Models\Observation;
use App\Ground\Models\OwnKind;
use App\Ground\Models\PlanDraft;
use App\Ground\Models\Plant;
use App\Ground\Models\StemSurvey;
use App\Ground\Policies\ChangePolicy;
use App\Ground\Support\Pages;
use App\Ground\Support\Today;
use App\Planning\Patience;
use App\Planning\RoundDay;
use App\Season\Due\Basis;
use App\Season\Due\DueKeeper;
use App\Season\Due\RenewDue;
use App\Season\Due\Revisions;
use App\Season\Grouping;
use App\Season\Zoom;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use PHPUnit\Framework\Attributes\DataProvider;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\PlantBook\PlantBook;

/** Rules that turn over at a number, an hour or a word: what holds just before, and what just after. */
final class TurningPointsTest extends FeatureTestCase
{
    public function test_a_firm_begins_with_what_most_firms_would_say(): void
    {
        $crew = new Crew;
        self::assertSame([2, ['ladder', 'saw', 'shears'], false], [$crew->people, $crew->skills, $crew->overtime]);
        self::assertSame(array_fill_keys(range(1, 5), [480, 960]), $crew->week);
        $firm = Firm::ours();
        self::assertSame([20, 14], [$firm->usual_travel, $firm->log_days]);
        self::assertSame(15, (new Garden)->setup_minutes);
    }

    public function test_what_the_house_practice_or_a_kind_changes_is_counted_by_one(): void
    {
        $revisions = static fn (): array => array_values((array) DB::table('firms')->first(
            ['revision', 'kinds_revision', 'plan_revision'],
        ));
        Revisions::practice(['wisteria-look']);
        [$all, $kinds, $plan] = $revisions();
        Revisions::practice(['wisteria-look']);
        Revisions::kind('lilac');
        Revisions::plan();
        self::assertSame([$all + 2, $kinds, $plan + 1], $revisions());
        Observation::query()->create([
            'garden_id' => $this->garden->id, 'event' => 'lilac-bloom', 'on' => '2027-05-01', 'season' => 2027,
        ]);
        Revisions::kind('forsythia');
        self::assertSame([$all + 3, $kinds, $plan + 1], $revisions(), 'no sign was seen on one');
        Revisions::kind('lilac');
        self::assertSame([$all + 4, $kinds + 1, $plan + 1], $revisions());
        $garden = fn (): int => (int) DB::table('gardens')->where('id', $this->garden->id)->value('revision');
        $before = $garden();
        Revisions::gardens($this->garden->id, $this->garden->id);
        self::assertSame($before + 1, $garden());
    }

    /** At its own midwinter a garden's plants are a year older; at New Year, and at the other half's, nothing is. */
    #[DataProvider('nights')]
    public function test_a_garden_is_worked_out_anew_on_the_eve_of_its_own_midwinter(
        string $eve,
        float $latitude,
        bool $turns,
    ): void {
        $eve = Day::parse($eve);
        $this->garden->update(['latitude' => $latitude]);
        $keeper = fn (): DueKeeper => $this->app->make(DueKeeper::class);
        $stale = fn (Basis $basis): bool => $basis->stale(
            DB::table('gardens')->leftJoin('kept_gardens', 'kept_gardens.garden_id', '=', 'gardens.id'),
        )->exists();
        config(['hook.today' => (string) $eve->minus(1)]);
        $keeper()->renewAll();
        self::assertFalse($stale(Basis::on($eve)), 'nothing is stale on the eve');
        self::assertSame($turns, $stale(Basis::on($eve)->soon()), 'but it is foreseen');
        config(['hook.today' => (string) $eve]);
        Queue::fake();
        $keeper()->ready();
        $turns ? Queue::assertPushed(RenewDue::class) : Queue::assertNotPushed(RenewDue::class);
        $keeper()->renewFor(5);
        self::assertFalse($stale(Basis::on($eve)), 'done for tomorrow it holds today');
        self::assertFalse($stale(Basis::on($eve->plus(1))), 'midnight finds it done');
    }

    /** @return iterable<string, array{string, float, bool}> */
    public static function nights(): iterable
    {
        yield 'the northern midwinter' => ['2026-12-20', 51.7, true];
        yield 'the northern midwinter in the south' => ['2026-12-20', -37.8, false];
        yield 'New Year' => ['2026-12-31', 51.7, false];
        yield 'the southern midwinter' => ['2027-06-20', -37.8, true];
        yield 'the southern midwinter in the north' => ['2027-06-20', 51.7, false];
        yield 'a night in spring' => ['2027-03-20', 51.7, false];
    }

    public function test_half_a_year_ahead_is_worked_out_and_a_quarter_to_spare(): void
    {
        $today = Day::parse('2027-11-20');
        $basis = Basis::on($today);
        self::assertSame($today->number + 180, min($basis->to, $today->number + 180));
        self::assertSame([92, 46], [$basis->coversTo() - $basis->to, $basis->soon()->to - $basis->to]);
        self::assertSame([$basis->mark, $basis->from], [$basis->soon()->mark, $basis->soon()->from]);
    }

    public function test_a_dozen_stale_gardens_are_worked_out_at_once_and_the_rest_behind(): void
    {
        Queue::fake();
        Garden::factory()->count(13)->create();
        $ready = $this->app->make(DueKeeper::class)->ready();
        self::assertSame([2, 14], [$ready->stale, $ready->gardens]);
        $ready = $this->app->make(DueKeeper::class)->ready();
        self::assertSame([0, 0], [$ready->stale, $ready->gardens]);
    }

    #[DataProvider('nothings')]
    public function test_whatever_holds_nothing_is_called_nothing(mixed $value, string $says): void
    {
        self::assertSame($says, Fields::says('notes', $value));
    }

    /** @return iterable<string, array{mixed, string}> */
    public static function nothings(): iterable
    {
        yield 'null' => [null, 'nothing'];
        yield 'no text' => ['', 'nothing'];
        yield 'no list' => ['[]', 'nothing'];
        yield 'no facts' => ['{}', 'nothing'];
        yield 'a text' => ['Ring first', '"Ring first"'];
        yield 'a list' => [['a'], 'something'];
        yield 'sixty signs' => [str_repeat('a', 60), '"'.str_repeat('a', 60).'"'];
        yield 'sixty-one signs' => [str_repeat('a', 61), '"'.str_repeat('a', 57).'..."'];
    }

    public function test_of_gardens_called_alike_the_first_by_name_is_meant(): void
    {
        Garden::factory()->create(['name' => 'Zinnia Weir']);
        $first = Garden::factory()->create(['name' => 'Aster Weir']);
        self::assertTrue($first->is(Garden::called('weir')));
        self::assertNull(Garden::called('nowhere'));
    }

    public function test_signs_of_spring_are_not_those_of_autumn(): void
    {
        $spring = array_keys(Observation::inHalf('spring'));
        $autumn = array_keys(Observation::inHalf('autumn'));
        self::assertContains('lilac-bloom', $spring);
        self::assertContains('first-frost', $autumn);
        self::assertNotContains('lilac-bloom', $autumn);
        self::assertSame([], array_intersect($spring, $autumn));
    }

    public function test_a_crew_that_is_short_is_not_called_away(): void
    {
        $this->actingAs($this->planner());
        $this->post("/crews/{$this->crew->id}/off", ['on' => '2027-03-01', 'why' => 'holiday'])
            ->assertSessionHas('said', 'Wren crew does not work on 1 Mar: holiday.');
        $this->post("/crews/{$this->crew->id}/off", ['on' => '2027-03-02', 'why' => 'one ill', 'people' => 1])
            ->assertSessionHas('said', 'Wren crew is not complete on 2 Mar: one ill.');
    }

    public function test_whoever_tried_too_often_is_told_for_how_long_in_minutes_that_have_begun(): void
    {
        $try = fn () => $this->post('/sign-in', ['email' => 'somebody@example.test', 'password' => 'not it at all']);
        foreach (range(1, 6) as $ignored) {
            $try()->assertSessionHasErrors(['email' => 'This address and this password do not belong together.']);
        }
        $told = fn (int $seconds): string => (function () use ($seconds, $try): string {
            Carbon::setTestNow(Carbon::parse('2027-02-20 10:00:00')->addSeconds($seconds));

            return (string) $try()->assertStatus(302)->getSession()->get('errors')->first('email');
        })();
        self::assertStringContainsString('in 15 minutes', $told(40));
        self::assertStringContainsString('in 1 minutes', $told(880));
        self::assertStringContainsString('do not belong together', $told(901));
    }

    public function test_a_hand_takes_back_what_it_did_within_a_day(): void
    {
        $hand = $this->hand();
        $change = new Change;
        $change->forceFill([
            'of' => 'plant', 'row_id' => $this->wisteria->id, 'did' => Did::Changed, 'label' => 'Wisteria',
            'before' => [], 'after' => [], 'user_id' => $hand->id, 'at' => Carbon::now(),
        ])->save();
        $may = static fn (): bool => (new ChangePolicy)->undo($hand, $change->refresh());
        Carbon::setTestNow('2027-02-21 09:59:00');
        self::assertTrue($may());
        Carbon::setTestNow('2027-02-21 10:00:30');
        self::assertFalse($may());
        self::assertTrue((new ChangePolicy)->undo($this->planner(), $change));
        Carbon::setTestNow('2027-02-20 11:00:00');
        self::assertFalse((new ChangePolicy)->undo($this->hand(), $change), 'somebody else');
    }

    public function test_only_the_last_version_of_a_kind_of_ones_own_stays_while_plants_of_it_stand(): void
    {
        $this->actingAs($this->planner());
        $version = static fn (string $kind, ?string $like): OwnKind => OwnKind::query()->create([
            'kind' => $kind, 'like' => $like, 'entry' => ['name' => 'Ours'], 'note' => 'seen here',
        ]);
        $corrected = $version('wisteria', null);
        // A kind of the plant book is there without the firm's word.
        $this->delete(route('own-kinds.undo', $corrected))->assertSessionHasNoErrors();
        self::assertTrue($corrected->refresh()->trashed());
    }

    public function test_a_hedge_is_asked_for_its_run_and_a_shrub_for_its_stems(): void
    {
        $shown = function (string $kind): array {
            $plant = Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => $kind]);

            return array_column(
                $this->actingAs($this->planner())->get("/plants/$plant->id/edit")->viewData('fields')['shown'], 'name',
            );
        };
        self::assertContains('stems_old', $shown('lilac'));
        self::assertContains('stems_young', $shown('lilac'));
        self::assertNotContains('run_cm', $shown('lilac'));
        self::assertNotContains('stems_old', $shown('box-hedge'));
        self::assertContains('run_cm', $shown('box-hedge'));
        self::assertNotContains('stems_old', $shown('hosta'));
    }

    public function test_a_record_is_drawn_where_anything_was_counted_or_measured(): void
    {
        $drawn = function (array $counted): bool {
            $task = $this->visitTask();
            $log = $this->app->make(LogWork::class)->log(
                $task, ['outcome' => 'done', 'minutes' => 9, 'amounts' => array_map(
                    static fn (string $effect, int $value): array => [
                        'effect' => $effect, 'what' => $effect, 'unit' => '', 'value' => $value,
                    ], array_keys($counted), $counted,
                )], null,
            );
            $seasons = $this->app->make(PlantRecord::class)->of($this->wisteria->fresh() ?? $this->wisteria);
            $log->delete();
            $task->visit->delete();

            return $seasons[0]->drawn !== null;
        };
        self::assertSame([false, true, true], [
            $drawn([]), $drawn(['old-stems-out' => 2]), $drawn(['height-before' => 2000, 'height-after' => 1500]),
        ]);
    }

    #[DataProvider('narrowings')]
    public function test_any_one_question_narrows_the_record(string $query, bool $on): void
    {
        self::assertSame($on, RecordFilter::from(Request::create("/?$query"))->isOn());
    }

    /** @return iterable<string, array{string, bool}> */
    public static function narrowings(): iterable
    {
        yield 'nothing' => ['', false];
        yield 'a garden that is none' => ['garden=nowhere', false];
        yield 'a garden' => ['garden=Millrace', true];
        yield 'a text' => ['q=wisteria', true];
        yield 'a season' => ['season=2026', true];
        yield 'an outcome' => ['outcome=partly', true];
        yield 'a finding' => ['found=disease', true];
        yield 'left for next year' => ['left=1', true];
    }

    public function test_a_task_is_judged_by_what_stood_before_it_was_logged(): void
    {
        $task = $this->visitTask();
        $budget = fn (): ?int => $this->app->make(SeasonBudget::class)->before($task->fresh() ?? $task)?->usedPercent;
        self::assertSame(0, $budget());
        $this->app->make(LogWork::class)->log(
            $task, ['outcome' => 'done', 'minutes' => 9, 'removed_percent' => 25], null,
        );
        self::assertSame(0, $budget(), 'its own log is not counted against it');
    }

    public function test_gardens_without_a_crew_stand_together(): void
    {
        $this->garden->update(['crew_id' => null]);
        $plant = ($this->wisteria->fresh() ?? $this->wisteria)->load('garden.crew');
        $year = $this->app->make(\App\Season\PlantYears::class)->of(
            $plant, Today::day(), Basis::year(Today::day()),
        );
        self::assertSame('0', Grouping::Crew->key($plant, $year));
        self::assertSame('No crew yet', Grouping::Crew->heading($plant, $year, $this->app->make(PlantBook::class)));
    }

    public function test_a_short_list_has_nothing_left_over(): void
    {
        $read = fn (int $lines): PlantList => PlantList::read(
            implode("\n", array_fill(0, $lines, 'lilac')), $this->app->make(PlantBook::class)->names(), [],
        );
        self::assertSame([0, 200], [$read(200)->left, count($read(200)->rows)]);
        self::assertSame([1, 200], [$read(201)->left, count($read(201)->rows)]);
    }

    public function test_pages_begin_and_end_where_they_say(): void
    {
        $page = static fn (int $asked, int $total): Pages => new Pages($asked, $total, 10);
        $says = static fn (Pages $pages): array => [
            $pages->page, $pages->last, $pages->offset(), $pages->first(), $pages->until(),
        ];
        self::assertSame([1, 1, 0, 0, 0], $says($page(1, 0)));
        self::assertSame([1, 1, 0, 1, 10], $says($page(1, 10)));
        self::assertSame([2, 2, 10, 11, 11], $says($page(2, 11)));
        self::assertSame([2, 2, 10, 11, 11], $says($page(9, 11)));
        self::assertSame([1, 2, 0, 1, 10], $says($page(-3, 11)));
        self::assertSame(1, Pages::asked(Request::create('/?page=two'), 'page'));
        self::assertSame(1_000_000, Pages::asked(Request::create('/?page=1e300'), 'page'));
    }

    public function test_a_draft_tells_how_much_of_its_time_is_spent(): void
    {
        $draft = PlanDraft::query()->create([
            'status' => DraftStatus::Looking, 'share' => 0, 'from' => Day::parse('2027-02-20'),
            'to' => Day::parse('2027-03-20'), 'revision' => 0, 'seconds' => 1, 'stay' => 0,
        ]);
        $patience = new Patience($draft, 1, 0.0);
        self::assertLessThan(0.2, $patience->spent(0));
        usleep(250_000);
        self::assertGreaterThan(0.2, $patience->spent(1));
        self::assertGreaterThan(0.2, $draft->refresh()->share);
        self::assertLessThanOrEqual(0.99, $draft->share);
        self::assertFalse($patience->isCalledOff());
        $draft->update(['status' => DraftStatus::Cancelled]);
        self::assertSame(1.0, $patience->spent(2));
        self::assertTrue($patience->isCalledOff());
        self::assertSame(1.0, (new Patience($draft, 0, 9.0))->spent(0));
        // Of a longer time the same is a smaller share.
        $draft->update(['status' => DraftStatus::Looking]);
        $long = new Patience($draft, 1000, 0.0);
        $long->spent(0);
        usleep(250_000);
        $long->spent(1);
        self::assertGreaterThan(0.0, $draft->refresh()->share);
        self::assertLessThan(0.1, $draft->share);
    }

    public function test_visits_without_a_task_are_told_apart_on_a_round(): void
    {
        $this->crew->update(['week' => array_fill_keys(range(1, 7), [480, 960])]);
        $other = Garden::factory()->create(['name' => 'Weir House', 'crew_id' => $this->crew->id]);
        $rook = Crew::query()->create(['name' => 'Rook crew']);
        $visit = static fn (Garden $garden, string $on, Crew $crew): int => DB::table('visits')->insertGetId([
            'garden_id' => $garden->id, 'crew_id' => $crew->id, 'on' => $on, 'unlogged' => 0, 'waiting' => 1,
            'locked' => 0, 'confirmed' => 0,
        ]);
        $visit($other, '2027-02-20', $rook);
        $ours = [$visit($this->garden, '2027-02-20', $this->crew), $visit($other, '2027-02-20', $this->crew)];
        $day = RoundDay::of($this->crew->id, Day::parse('2027-02-20'), $this->app->make(PlantBook::class));
        self::assertNotNull($day);
        $stops = array_map(static fn (array $stop): int => $stop['visit']->id, $day->stops);
        sort($stops);
        self::assertSame($ours, $stops);
    }

    public function test_what_is_to_be_loaded_is_added_up(): void
    {
        $this->crew->update(['week' => array_fill_keys(range(1, 7), [480, 960])]);
        $this->visit('2027-02-20');
        $this->wisteria = Plant::factory()->create(['garden_id' => $this->garden->id]);
        $this->visit('2027-02-20');
        $day = RoundDay::of($this->crew->id, Day::parse('2027-02-20'), $this->app->make(PlantBook::class));
        self::assertStringStartsWith('16 soft ties', implode('; ', $day->materials ?? []));
    }

    public function test_kinds_planted_last_are_offered_first(): void
    {
        $offered = fn (): string => (string) $this->actingAs($this->planner())
            ->getJson('/plant-book/find?q=rose')->json('matches.0.id');
        $usual = $offered();
        Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => 'rambling-rose']);
        self::assertNotSame('rambling-rose', $usual);
        self::assertSame('rambling-rose', $offered());
        Plant::factory()->count(59)->create(['garden_id' => $this->garden->id, 'kind' => 'lilac']);
        self::assertSame('rambling-rose', $offered());
        Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => 'lilac']);
        self::assertSame($usual, $offered());
    }

    public function test_a_form_is_known_for_thirty_days(): void
    {
        $sent = static fn (string $once): bool => DB::table('sent_forms')->where('once', $once)->exists();
        $send = function (string $once): void {
            $this->post('/gardens/'.$this->garden->id.'/plants', [
                'kind' => 'lilac', 'label' => 'Lilac', 'count' => '1', '_once' => $once,
            ])->assertSessionHasNoErrors();
        };
        $this->actingAs($this->planner());
        $send($first = (string) Str::uuid());
        // By then the planner has signed in again.
        session()->flush();
        Carbon::setTestNow('2027-03-22 09:00:00');
        $send((string) Str::uuid());
        self::assertTrue($sent($first), 'not yet thirty days');
        Carbon::setTestNow('2027-03-22 11:00:00');
        $send((string) Str::uuid());
        self::assertFalse($sent($first), 'thirty days and an hour');
    }

    /** @param  array<string, mixed>  $said */
    #[DataProvider('farthest')]
    public function test_a_survey_takes_numbers_to_their_last_and_no_further(array $said, bool $taken): void
    {
        $change = new SurveyChange;
        $state = $change->apply(StemSurvey::EMPTY, ['op' => 'add'], 61_000);
        self::assertSame([[0, 30, 15, 2, 61_000]], array_map(
            static fn (array $stem): array => [
                $stem['azimuth_deg'], $stem['lean_deg'], $stem['base_mm'], $stem['age_years'], $stem['length_mm'],
            ], $state['stems'],
        ));
        try {
            $changed = $change->apply($state, [...$said, 'ref' => 'A'], 61_000);
            self::assertTrue($taken, 'taken');
            self::assertNotSame($state, $changed);
        } catch (ValidationException $refused) {
            self::assertFalse($taken, $refused->getMessage());
        }
    }

    public function test_a_stem_reaches_to_twice_its_plant_and_no_further(): void
    {
        $change = new SurveyChange;
        $state = $change->apply(StemSurvey::EMPTY, ['op' => 'add'], 1000);
        $upright = $change->apply($state, ['op' => 'set', 'ref' => 'A', 'lean_deg' => 0, 'length_mm' => 2000], 1000);
        self::assertSame(2000, $upright['stems'][0]['length_mm']);
        // One that leans is longer than it reaches.
        $change->apply($state, ['op' => 'set', 'ref' => 'A', 'lean_deg' => 60, 'length_mm' => 3900], 1000);
        $this->expectExceptionMessage('A stem that reaches 2.01 m up does not stand on a plant 1 m tall');
        $change->apply($upright, ['op' => 'set', 'ref' => 'A', 'length_mm' => 2010], 1000);
    }

    /** @return iterable<string, array{array<string, mixed>, bool}> */
    public static function farthest(): iterable
    {
        foreach ([
            'azimuth_deg' => [-360, 720], 'lean_deg' => [0, 90], 'base_mm' => [1, 3000], 'length_mm' => [null, 60_000],
            'age_years' => [0, 300],
        ] as $field => [$least, $most]) {
            $set = static fn (int $value): array => ['op' => 'set', $field => $value];
            yield "$field $most" => [$set($most), true];
            yield "$field beyond $most" => [$set($most + 1), false];
            if ($least !== null) {
                yield "$field $least" => [$set($least), true];
                yield "$field below $least" => [$set($least - 1), false];
            }
        }
        yield 'one stem kept' => [['op' => 'aim', 'keep' => 1], true];
        yield 'none kept' => [['op' => 'aim', 'keep' => 0], false];
        yield 'forty kept' => [['op' => 'aim', 'keep' => 40], true];
        yield 'forty-one kept' => [['op' => 'aim', 'keep' => 41], false];
        yield 'nothing may go' => [['op' => 'aim', 'budget' => 0], true];
        yield 'all may go' => [['op' => 'aim', 'budget' => 100], true];
        yield 'more than all may go' => [['op' => 'aim', 'budget' => 101], false];
        yield 'less than nothing may go' => [['op' => 'aim', 'budget' => -1], false];
    }

    public function test_a_survey_holds_sixty_stems(): void
    {
        $change = new SurveyChange;
        $state = StemSurvey::EMPTY;
        foreach (range(1, 60) as $ignored) {
            $state = $change->apply($state, ['op' => 'add'], 1500);
        }
        self::assertSame('BH', $state['stems'][59]['ref']);
        $this->expectExceptionMessage('60 stems are the most one survey holds.');
        $change->apply($state, ['op' => 'add'], 1500);
    }

    #[DataProvider('stretches')]
    public function test_a_wall_shows_from_the_week_before(Zoom $zoom, string $from, string $to): void
    {
        $span = $zoom->span(Day::parse('2027-02-20'));
        self::assertSame([$from, $to], [(string) $span->from, (string) $span->to]);
    }

    /** @return iterable<string, array{Zoom, string, string}> */
    public static function stretches(): iterable
    {
        yield 'twelve months' => [Zoom::Year, '2027-01-01', '2027-12-31'];
        yield 'thirteen weeks' => [Zoom::Quarter, '2027-02-13', '2027-05-14'];
        yield 'five weeks' => [Zoom::Month, '2027-02-13', '2027-03-19'];
        yield 'this week and the next' => [Zoom::Week, '2027-02-15', '2027-02-28'];
    }

    public function test_a_garden_is_asked_for_its_region_by_name(): void
    {
        $this->actingAs($this->planner())->get("/gardens/{$this->garden->id}/edit")->assertOk()
            ->assertSee('<option value="europe-maritime"', false);
    }
}
