<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Field\Record\LogWork;
use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use App\Ground\Models\Visit;
use App\People\GoodPassword;
use App\Planning\Drafts;
use App\Season\Due\DueKeeper;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Validator;
use PruningHook\Core\Calendar\Day;

/** The numbers at which a rule turns over, and what stands on either side of them. */
final class LimitsTest extends FeatureTestCase
{
    public function test_a_host_that_is_none_is_refused(): void
    {
        $answer = function (string $host): int {
            $request = Request::create('/sign-in');
            $request->headers->set('HOST', $host);

            return $this->app->make(Kernel::class)->handle($request)->getStatusCode();
        };
        self::assertSame([400, 400, 200], [$answer('evil host!'), $answer('evil.test'), $answer('127.0.0.1')]);
    }

    public function test_a_plan_looks_longer_the_more_gardens_there_are_and_never_for_long(): void
    {
        Queue::fake();
        $seconds = fn (): int => $this->app->make(Drafts::class)->ask(Day::parse('2027-02-20'), 84, 0, null)->seconds;
        self::assertSame(2, $seconds());
        $this->gardens(24);
        self::assertSame(3, $seconds());
        $this->gardens(400);
        self::assertSame(15, $seconds());
    }

    public function test_a_task_whose_log_is_taken_back_waits_again(): void
    {
        $task = $this->visitTask();
        self::assertSame(1, $task->refresh()->getRawOriginal('standing'));
        $log = $this->app->make(LogWork::class)->log($task, ['outcome' => 'done', 'minutes' => 9], null);
        self::assertNull($task->refresh()->getRawOriginal('standing'));
        $log->delete();
        self::assertSame(1, $task->refresh()->getRawOriginal('standing'));
    }

    public function test_all_of_a_plant_may_have_died_back_and_no_more(): void
    {
        $this->actingAs($this->hand())->put("/plants/{$this->wisteria->id}/seen", ['seen' => 'dieback_percent:100'])
            ->assertSessionHasNoErrors();
        self::assertSame(100, $this->wisteria->refresh()->state['dieback_percent'] ?? null);
        $this->put("/plants/{$this->wisteria->id}/seen", ['seen' => 'dieback_percent:101'])
            ->assertSessionHasErrors('seen');
        self::assertSame(100, $this->wisteria->refresh()->state['dieback_percent'] ?? null);
    }

    public function test_a_vine_may_have_no_prunings_and_no_dead_buds(): void
    {
        $vine = Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => 'grape-vine']);
        $form = (string) $this->actingAs($this->planner())->get("/plants/$vine->id/edit")->assertOk()->getContent();
        foreach (['prunings_g', 'bud_mortality_percent'] as $field) {
            self::assertMatchesRegularExpression("/name=\"$field\"[^>]*min=\"0\"/", $form);
        }
        $this->get("/gardens/{$this->garden->id}/plants/create")
            ->assertSee('name="count" value="1"', false);
    }

    public function test_whatever_fixes_a_visit_alone_makes_it_stand(): void
    {
        $stands = static fn (array $facts): bool => (new Visit())->forceFill([
            'locked' => false, 'confirmed' => false, 'outside_reason' => null, ...$facts,
        ])->stands();
        self::assertSame([false, true, true, true], [
            $stands([]), $stands(['locked' => true]), $stands(['confirmed' => true]),
            $stands(['outside_reason' => 'The client asked for it']),
        ]);
    }

    public function test_plants_that_could_not_be_worked_out_are_counted(): void
    {
        $faults = function (): int {
            $this->app->make(DueKeeper::class)->renewAll();

            return (int) DB::table('kept_gardens')->where('garden_id', $this->garden->id)->value('faults');
        };
        self::assertSame(0, $faults());
        Plant::factory()->count(2)->create(['garden_id' => $this->garden->id, 'kind' => 'nothing-known']);
        self::assertSame(2, $faults());
    }

    public function test_a_field_offers_a_dozen_gardens(): void
    {
        foreach (range(1, 14) as $number) {
            Garden::factory()->create(['name' => "Orchard Row $number"]);
        }
        $this->actingAs($this->hand())->getJson('/search/gardens?q=orchard')->assertJsonCount(12);
        $this->getJson('/search/gardens?q=')->assertJsonCount(0);
    }

    public function test_anchors_are_told_with_the_days_of_a_garden_where_there_is_one(): void
    {
        $this->actingAs($this->planner())->get('/plant-book/anchors')->assertOk()->assertSee('22 Apr')
            ->assertSee('Millrace House');
        $this->garden->delete();
        $this->get('/plant-book/anchors')->assertOk()->assertDontSee('22 Apr')->assertDontSee('Millrace House');
    }

    public function test_a_password_of_ones_own_name_is_refused_from_four_letters(): void
    {
        $passes = static fn (string $name, string $password): bool => Validator::make(
            ['password' => $password], ['password' => new GoodPassword([$name])],
        )->passes();
        self::assertFalse($passes('Maya Holt', 'maya likes hedges'));
        self::assertTrue($passes('Lee Holm', 'lee likes hedges'));
        self::assertFalse($passes('Lee Holm', 'holm likes hedges'));
    }

    private function gardens(int $number): void
    {
        $row = (array) DB::table('gardens')->first();
        unset($row['id']);
        DB::table('gardens')->insert(array_map(
            static fn (int $each): array => [...$row, 'name' => "Garden $each"], range(1, $number),
        ));
    }
}
