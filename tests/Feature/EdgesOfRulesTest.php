<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Field\PlanDay;
use App\Field\Record\LogRules;
use App\Gardens\Plants\RenewSheets;
use App\Gardens\Stems\StemBoard;
use App\Ground\Models\Change;
use App\Ground\Models\Did;
use App\Ground\Models\PlanDraft;
use App\Ground\Models\Plant;
use App\Ground\Support\Today;
use App\Planning\DraftController;
use App\Season\SeasonFilter;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\PlantBook;

/** More rules that turn over at a number or a word. */
final class EdgesOfRulesTest extends FeatureTestCase
{
    #[DataProvider('days')]
    public function test_a_visit_is_planned_from_today_to_three_years_ahead(string $on, bool $taken): void
    {
        self::assertSame($taken, Validator::make(['on' => $on], ['on' => PlanDay::rules()])->passes());
    }

    /** @return iterable<string, array{string, bool}> */
    public static function days(): iterable
    {
        yield 'yesterday' => ['2027-02-19', false];
        yield 'today' => ['2027-02-20', true];
        yield 'three years and a day' => ['2030-02-20', true];
        yield 'a day more' => ['2030-02-21', false];
        yield 'no day' => ['2027-02-30', false];
    }

    #[DataProvider('asked')]
    public function test_the_season_is_narrowed_by_any_one_question(string $query, bool $on): void
    {
        $query = str_replace(['GARDEN', 'CREW'], [(string) $this->garden->id, (string) $this->crew->id], $query);
        self::assertSame($on, SeasonFilter::from(
            Request::create("/?$query"), $this->app->make(PlantBook::class),
        )->isOn());
    }

    /** @return iterable<string, array{string, bool}> */
    public static function asked(): iterable
    {
        yield 'nothing' => ['', false];
        yield 'how it is shown' => ['zoom=month&by=crew', false];
        yield 'a garden' => ['garden=GARDEN', true];
        yield 'a crew' => ['crew=CREW', true];
        yield 'a kind' => ['kind=wisteria', true];
        yield 'a kind that is none' => ['kind=nothing', false];
        yield 'a word' => ['q=wall', true];
        yield 'an urgency' => ['show=open', true];
        yield 'an urgency that is none' => ['show=never', false];
    }

    public function test_what_is_taken_out_and_brought_back_is_told_as_that(): void
    {
        $this->actingAs($this->planner());
        $did = fn (): array => Change::query()->where('of', 'plant')->where('row_id', $this->wisteria->id)
            ->orderBy('id')->get()->map(static fn (Change $change): Did => $change->did)->all();
        $before = count($did());
        $this->wisteria->update(['label' => 'Wisteria at the door']);
        $this->wisteria->delete();
        Plant::withTrashed()->findOrFail($this->wisteria->id)->restore();
        self::assertSame([Did::Changed, Did::TakenOut, Did::BroughtBack], array_slice($did(), $before));
    }

    public function test_far_more_than_was_asked_for_is_asked_about(): void
    {
        $doubts = function (array $said): array {
            $task = $this->visitTask();
            $task->forceFill(['minutes' => 80, 'prescribed' => $this->prescription(['amounts' => [
                ['what' => 'old stems out', 'unit' => 'stems', 'min' => 1, 'target' => 2, 'max' => 3],
            ]])]);
            $validator = Validator::make([], []);
            $validator->after(fn () => $this->app->make(LogRules::class)->look(
                $validator, $task, ['outcome' => 'done', 'minutes' => 20, ...$said],
            ));
            $validator->passes();
            $task->visit->delete();

            return array_keys($validator->errors()->messages());
        };
        self::assertSame([], $doubts(['amounts' => [12]]));
        self::assertSame(['amounts.0', 'sure'], $doubts(['amounts' => [13]]));
        self::assertSame([], $doubts(['amounts' => [13], 'sure' => '1']));
        self::assertSame([], $doubts(['minutes' => 320]));
        self::assertSame(['minutes', 'sure'], $doubts(['minutes' => 321]));
    }

    public function test_of_a_short_task_four_hours_are_not_asked_about_and_a_minute_more_is(): void
    {
        $task = $this->visitTask();
        $task->forceFill(['minutes' => 5, 'prescribed' => $this->prescription()]);
        $told = function (int $minutes) use ($task): bool {
            $validator = Validator::make([], []);
            $validator->after(fn () => $this->app->make(LogRules::class)->look(
                $validator, $task, ['outcome' => 'done', 'minutes' => $minutes],
            ));

            return $validator->passes();
        };
        self::assertSame([true, false], [$told(240), $told(241)]);
    }

    public function test_taps_name_what_a_gloved_hand_can_tell_apart(): void
    {
        self::assertSame(range(0, 315, 45), array_values(StemBoard::WAYS));
        self::assertSame([7, 15, 25, 32, 60], array_values(StemBoard::THICKNESS));
        self::assertSame([5, 20, 35, 55, 80], array_values(StemBoard::LEAN));
        self::assertSame([1, 2, 3, 5, 9, null], array_values(StemBoard::AGE));
    }

    public function test_a_plan_may_leave_much_or_nothing_as_it_is(): void
    {
        Queue::fake();
        $this->actingAs($this->planner());
        foreach (['little' => 90, 'some' => 30, 'anew' => 0] as $stay => $minutes) {
            $this->post(route('drafts.store'), ['weeks' => array_key_first(DraftController::WEEKS), 'stay' => $stay])
                ->assertSessionHasNoErrors();
            self::assertSame($minutes, PlanDraft::query()->latest('id')->firstOrFail()->stay);
        }
    }

    public function test_sheets_to_come_follow_the_plant_and_those_that_are_over_do_not(): void
    {
        $task = $this->visitTask();
        $kept = fn (): int => $task->refresh()->minutes;
        $task->update(['minutes' => 1]);
        $renew = fn () => $this->app->make(RenewSheets::class)->of(
            Plant::query()->findOrFail($this->wisteria->id), Today::day(),
        );
        $renew();
        self::assertGreaterThan(1, $kept());
        $task->update(['minutes' => 1]);
        Plant::query()->whereKey($this->wisteria->id)->update(['kind' => 'nothing-known']);
        $renew();
        self::assertSame(1, $kept(), 'what nobody knows stays as it was planned');
        Plant::query()->whereKey($this->wisteria->id)->update(['kind' => 'wisteria']);
        config(['hook.today' => '2027-02-21']);
        $renew();
        self::assertSame(1, $kept(), 'it was yesterday');
    }

    public function test_what_a_plant_was_said_to_be_is_noted_once(): void
    {
        $this->actingAs($this->planner());
        $notes = function (string $kind, string $label): ?string {
            $this->post("/gardens/{$this->garden->id}/plants", [
                'kind' => $kind, 'label' => $label, 'count' => '1', 'keep_as' => 'unnamed-shrub',
            ])->assertSessionHasNoErrors();

            return Plant::query()->latest('id')->firstOrFail()->notes;
        };
        self::assertNull($notes('Xanthostemon', 'Xanthostemon'));
        self::assertNull($notes('', 'By the gate'));
        self::assertSame('Said to be: Xanthostemon', $notes('Xanthostemon', 'By the gate'));
    }

    public function test_the_day_is_the_clocks_unless_one_is_set(): void
    {
        foreach ([null, ''] as $unset) {
            config(['hook.today' => $unset, 'hook.time_zone' => 'Pacific/Auckland']);
            Carbon::setTestNow('2027-02-20 20:00:00');
            self::assertSame('2027-02-21', (string) Today::day());
        }
        config(['hook.today' => '2027-05-01']);
        self::assertSame('2027-05-01', (string) Today::day());
        foreach ([null, '', 'Mars/Olympus', ['Europe/London']] as $zone) {
            config(['hook.today' => null, 'hook.time_zone' => $zone]);
            try {
                Today::day();
                self::fail('taken');
            } catch (Fault $fault) {
                self::assertStringContainsString('is no time zone', $fault->getMessage());
            }
        }
    }

    public function test_a_form_without_a_version_or_with_an_odd_one_is_saved_as_it_is(): void
    {
        $this->actingAs($this->planner());
        foreach ([null, '', 'abc', '-1', '1.5', ['1']] as $odd) {
            $this->put("/plants/{$this->wisteria->id}", [
                'kind' => 'wisteria', 'label' => 'Wisteria', 'count' => '1', '_version' => $odd,
            ])->assertSessionHasNoErrors();
        }
    }
}
