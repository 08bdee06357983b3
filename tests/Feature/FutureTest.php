<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Plant;

/** A plant grown on for three years, left alone and with its task. */
final class FutureTest extends FeatureTestCase
{
    public function test_both_courses_stand_side_by_side_at_each_moment(): void
    {
        $plant = Plant::factory()->create([
            'garden_id' => $this->garden->id, 'kind' => 'butterfly-bush', 'height_mm' => 1800,
            'planted_on' => '2018-03-01',
        ]);
        $this->actingAs($this->hand())->get("/plants/$plant->id")->assertSee("/plants/$plant->id/future");
        $page = $this->get("/plants/$plant->id/future")->assertOk()
            ->assertSeeInOrder(['Grown on for three years', 'As it stands', 'Left alone', 'Spring cut'])
            ->assertSee('class="p-goes"', false)->assertSee('the year it was planted, its height');
        self::assertSame(2, substr_count((string) $page->getContent(), '<svg class="drawing portrait"'));
        $this->get("/plants/$plant->id/future?at=bloom")->assertSee('left alone')->assertSee('data-key="3"', false)
            ->assertSee('class="p-flower"', false)->assertDontSee('class="p-goes"', false)
            ->assertSee('% of its live buds in that season');
        foreach (['after', 'one', 'two', 'three'] as $at) {
            $this->get("/plants/$plant->id/future?at=$at")->assertOk()->assertSee('aria-current="page"', false);
        }
        $this->get("/plants/$plant->id/future?at=never&task=none")->assertOk()->assertSee('Spring cut');
    }

    public function test_another_task_may_be_looked_at_and_what_cannot_be_drawn_is_not_offered(): void
    {
        $vine = Plant::factory()->create([
            'garden_id' => $this->garden->id, 'kind' => 'grape-vine', 'height_mm' => null, 'planted_on' => null,
            'stems_old' => null, 'stems_young' => null,
        ]);
        $page = $this->actingAs($this->planner())->get("/plants/$vine->id/future")->assertOk();
        self::assertNotContains('rough-pass', array_column($page->viewData('tasks'), 'key'));
        $page->assertSee('nobody has measured it');
        $tree = Plant::factory()->create([
            'garden_id' => $this->garden->id, 'kind' => 'oak', 'height_mm' => 18000,
        ]);
        $this->get("/plants/$tree->id/future")->assertOk()->assertSee('it is shown left alone');
        $unknown = Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => 'nothing-known']);
        $this->get("/plants/$unknown->id/future")->assertNotFound();
    }

    public function test_every_kind_of_the_demo_and_more_can_be_grown_on(): void
    {
        $this->actingAs($this->planner());
        foreach ([
            'pampas-grass', 'hellebore', 'chusan-palm', 'running-bamboo', 'lemon', 'pine', 'hop', 'blackberry',
            'large-clematis', 'apple-espalier', 'fuchsia' => 'hardy-fuchsia', 'unnamed-shrub', 'new-zealand-flax',
        ] as $kind) {
            $plant = Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => $kind]);
            $this->get("/plants/$plant->id/future?at=three")->assertOk();
        }
    }
}
