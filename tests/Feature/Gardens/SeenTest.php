<?php

declare(strict_types=1);

namespace Tests\Feature\Gardens;

use App\Ground\Models\Plant;
use App\Ground\Models\VisitTask;
use Illuminate\Testing\TestResponse;
use Tests\Feature\FeatureTestCase;

/** What is seen of a plant is said in its form or by a tap, and what is prescribed follows. */
final class SeenTest extends FeatureTestCase
{
    private const FORM = ['kind' => 'lilac', 'label' => 'Lilac by the gate', 'count' => 1];

    public function test_a_form_says_all_that_can_be_said_and_keeps_it(): void
    {
        $this->actingAs($this->planner())
            ->post("/gardens/{$this->garden->id}/plants", [
                ...self::FORM,
                'condition' => 'neglected',
                'dieback_percent' => 10,
                'disease' => 'Honey Fungus',
                'stress' => 'drought',
                'variegated' => '1',
                'transplanted' => '2020-11-01',
                'container' => '1',
                'cultivar' => 'Sensation',
                'trunk_mm' => 60,
                'boundary' => '1',
                'exposed' => '1',
            ])
            ->assertSessionHasNoErrors();
        $plant = Plant::query()->latest('id')->firstOrFail();
        self::assertSame(
            [
                'cultivar' => 'Sensation',
                'condition' => 'neglected',
                'dieback_percent' => 10,
                'disease' => 'honey-fungus',
                'stress' => 'drought',
                'variegated' => true,
                'transplanted' => '2020-11-01',
                'container' => true,
                'trunk_mm' => 60,
                'boundary' => true,
                'exposed' => true,
            ],
            $plant->state,
        );
        self::assertSame('2027-02-20', (string) $plant->state_on);
        $this->get("/plants/$plant->id")->assertOk()->assertSee(
            'neglected, died back by 10 %, honey fungus',
            false,
        )->assertSee('Renew over three years');
        $this->get("/plants/$plant->id/edit")->assertOk()->assertSee('value="Sensation"', false)->assertSee(
            'name="variegated" value="1" checked',
            false,
        );
        $this->put("/plants/$plant->id", [...self::FORM, 'cultivar' => 'Sensation'])->assertSessionHasNoErrors();
        self::assertSame([['cultivar' => 'Sensation'], null], [$plant->fresh()?->state, $plant->fresh()?->state_on]);
    }

    public function test_only_what_bears_on_the_kind_stands_open(): void
    {
        $this->actingAs($this->planner());
        $open = function (string $kind): string {
            $plant = Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => $kind]);
            $page = (string) $this->get("/plants/$plant->id/edit")->assertOk()->getContent();

            return strstr($page, 'More that can be said of it', true) ?: self::fail('nothing unfolds');
        };
        $hedge = $open('yew');
        foreach (['target_height_cm', 'width_cm', 'sides', 'run_cm'] as $field) {
            self::assertStringContainsString("name=\"$field\"", $hedge);
        }
        self::assertStringNotContainsString('name="prunings_g"', $hedge);
        $apple = $open('apple');
        self::assertStringContainsString('name="bearing"', $apple);
        self::assertStringContainsString('name="rootstock"', $apple);
        self::assertStringNotContainsString('name="growth"', $apple);
        self::assertStringNotContainsString('name="target_height_cm"', $apple);
    }

    public function test_what_cannot_be_is_told_beside_its_field_and_nothing_is_lost(): void
    {
        $this->actingAs($this->planner())->from("/gardens/{$this->garden->id}/plants/create")
            ->post(
                "/gardens/{$this->garden->id}/plants",
                [...self::FORM, 'disease' => 'box blight', 'target_height_cm' => 200, 'cultivar' => 'Sensation'],
            )
            ->assertSessionHasErrors(
                ['disease' => 'Box blight does not take Lilac: look again what it is.', 'target_height_cm'],
            )
            ->assertSessionHasInput('cultivar', 'Sensation');
        self::assertSame(1, Plant::query()->count());
    }

    public function test_a_tap_on_the_sheet_takes_effect_on_it_at_once_and_can_be_taken_back(): void
    {
        $visit = $this->visit();
        $this->actingAs($this->hand())
            ->get("/visits/$visit->id")
            ->assertSee('Say what you see of it')
            ->assertSee('value="stress:drought"', false);
        $before = $this->steps();
        $tapped = $this->from("/visits/$visit->id")->put("/plants/{$this->wisteria->id}/seen", [
            'seen' => 'stress:drought', 'at' => 'seen-7',
        ]);
        $undo = $tapped
            ->assertRedirect("/visits/$visit->id#seen-7")
            ->getSession()
            ?->get('undo');
        self::assertSame('drought', $this->wisteria->fresh()?->state['stress'] ?? null);
        self::assertStringContainsString('Water it deeply', implode(' ', $this->steps()));
        $this->get("/visits/$visit->id")->assertSee('value="stress:"', false)->assertSee('aria-pressed="true"', false);
        $this->put($undo[0]);
        self::assertSame([[], $before], [$this->wisteria->fresh()?->state, $this->steps()]);
    }

    public function test_a_logged_sheet_keeps_what_was_prescribed(): void
    {
        $visit = $this->visit();
        $task = $visit->tasks()->firstOrFail();
        $this->actingAs($this->hand());
        $task->log()->create(
            [
                'plant_id' => $task->plant_id,
                'task' => $task->task,
                'season' => 2027,
                'on' => '2027-02-20',
                'outcome' => 'done',
                'minutes' => 20,
            ],
        );
        $before = $this->steps();
        $this->tap('stress:drought');
        self::assertSame($before, $this->steps());
    }

    public function test_what_cannot_be_tapped_is_told(): void
    {
        $this->actingAs($this->hand());
        foreach (
            ['disease:box blight', 'stress:boredom', 'dieback_percent:140', 'label:mine', 'nothing'] as $nonsense
        ) {
            $this->tap($nonsense)->assertSessionHasErrors('seen');
        }
        self::assertSame([], $this->wisteria->fresh()?->state);
    }

    public function test_a_count_that_contradicts_the_record_is_asked_about_and_not_overwritten(): void
    {
        $lilac = Plant::factory()->create(
            [
                'garden_id' => $this->garden->id,
                'kind' => 'lilac',
                'height_mm' => 2000,
                'stems_old' => 6,
                'stems_young' => 3,
            ],
        );
        $this->actingAs($this->planner())->get("/plants/$lilac->id/edit")->assertSee('Counted on 20 Feb');
        $this->put("/plants/$lilac->id/measures", ['stems_old' => 12, 'stems_young' => 3])
            ->assertSessionHasErrors(
                ['stems_old' => '12 old stems? By the record 6 old and 3 young stand: so many cannot be old yet? If '
                    .'it is right as it stands, tick that you are sure.'],
            );
        self::assertSame(6, $lilac->fresh()?->stems_old);
        $this->put("/plants/$lilac->id", [...self::FORM, 'height_cm' => 90])->assertSessionHasErrors('height_cm');
        $undo = $this->put("/plants/$lilac->id/measures", ['height_cm' => 90, 'sure' => 1])->getSession()?->get('undo');
        $this->post($undo[0])->assertSessionHasNoErrors();
        self::assertSame(
            2000, $lilac->fresh()?->height_mm, 'taking a measure back is no new measure to be asked about',
        );
        $this->put("/plants/$lilac->id/measures", ['stems_old' => 12, 'sure' => 1])->assertSessionHasNoErrors();
        self::assertSame(12, $lilac->fresh()?->stems_old);
    }

    public function test_what_passes_is_forgotten_at_midwinter_and_said_to_be(): void
    {
        $this->wisteria->update(
            ['state' => ['stress' => 'drought', 'condition' => 'congested'], 'state_on' => '2026-01-10'],
        );
        $page = $this->actingAs($this->planner())->get("/plants/{$this->wisteria->id}");
        $page
            ->assertOk()
            ->assertSee('last season: look again')
            ->assertDontSee('Water it deeply')
            ->assertSee('it is congested');
    }

    private function tap(string $seen): TestResponse
    {
        return $this->put("/plants/{$this->wisteria->id}/seen", ['seen' => $seen]);
    }

    /** @return list<string> */
    private function steps(): array
    {
        return VisitTask::query()->where('plant_id', $this->wisteria->id)->firstOrFail()->prescribed->steps;
    }
}
