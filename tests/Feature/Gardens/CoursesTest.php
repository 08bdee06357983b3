<?php

declare(strict_types=1);

namespace Tests\Feature\Gardens;

use App\Gardens\Plants\Drawings;
use App\Gardens\Plants\Drawn;
use App\Gardens\Plants\Likenesses;
use App\Gardens\Plants\PictureCase;
use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Plant;
use App\Ground\Models\StemSurvey;
use App\Ground\Support\Today;
use PruningHook\Core\Drawing\Limb;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Prescription\Told;
use Tests\Feature\FeatureTestCase;

/** A plant grown on for three years under each course. */
final class CoursesTest extends FeatureTestCase
{
    public function test_courses_stand_side_by_side_at_each_moment(): void
    {
        $plant = Plant::factory()->create([
            'garden_id' => $this->garden->id, 'kind' => 'butterfly-bush', 'height_mm' => 1800,
            'planted_on' => '2018-03-01',
        ]);
        $this->actingAs($this->hand())->get("/plants/$plant->id")->assertSee("/plants/$plant->id/courses");
        $page = $this->get("/plants/$plant->id/courses")->assertOk()
            ->assertSeeInOrder(['Courses, three years on', 'As it stands', 'Left alone', 'Spring cut'])
            ->assertSee('class="p-goes"', false)->assertSee('the year it was planted, its height');
        self::assertSame(
            count($page->viewData('courses')) + count($page->viewData('schools')),
            substr_count((string) $page->getContent(), '<svg class="drawing portrait"'),
        );
        $this->get("/plants/$plant->id/courses?at=bloom")->assertSee('left alone')->assertSee('data-key="3"', false)
            ->assertSee('class="p-flower"', false)->assertDontSee('class="p-goes"', false)
            ->assertSee('% of its live buds in', false);
        foreach (['after', 'one', 'two', 'three'] as $at) {
            $this->get("/plants/$plant->id/courses?at=$at")->assertOk()->assertSee('aria-current="page"', false);
        }
        $this->get("/plants/$plant->id/courses?at=never&task=none")->assertOk()->assertSee('Spring cut');
        // A link that was shared before the two pages became one.
        $this->get("/plants/$plant->id/future")->assertMovedPermanently()
            ->assertRedirect("/plants/$plant->id/courses");
    }

    public function test_a_hard_cut_says_what_it_costs_and_schools_stand_side_by_side(): void
    {
        $shrub = Plant::factory()->create([
            'garden_id' => $this->garden->id, 'kind' => 'forsythia', 'height_mm' => 2200,
        ]);
        $this->actingAs($this->hand())->get("/plants/$shrub->id/courses?at=after")
            ->assertSeeInOrder(['Left alone', 'Cut it hard', 'only as an agreed renovation', 'Whole again in about']);
        $rose = Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => 'bush-rose', 'height_mm' => 900]);
        $page = $this->get("/plants/$rose->id/courses?at=after")
            ->assertOk()
            ->assertSeeInOrder([
                'By school: bush rose severity', 'An open bowl of 3 to 5 stems',
                'A light rounded reduction by a third',
            ]);
        $heights = array_map(
            static fn (array $each): int => $each[0]->future->stages['after']->plant->heightMm(),
            $page->viewData('schools'),
        );
        self::assertLessThan($heights[1], $heights[0], 'a bowl is cut lower than a light reduction');
    }

    /** Somebody comes back and looks: nothing is cut, dead twigs neither. */
    public function test_what_only_looks_is_drawn_without_a_cut(): void
    {
        $shrub = Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => 'forsythia']);
        $bridge = $this->app->make(CorePlants::class);
        $core = $bridge->plant($shrub, Today::day());
        $year = $bridge->years($this->garden)->season(2027);
        $task = Prescriber::with($this->app->make(PlantBook::class))
            ->prescribe($core, $year, $bridge->practice($this->garden))->task('after-flowering');
        self::assertNotNull($task);
        $drawings = $this->app->make(Drawings::class);
        $drawn = fn (string $method): Drawn => $drawings->ofTask(new PictureCase($shrub, $core, $core, $year, new Task(
            $task->key, $task->name, $task->method, $method, $task->rank, $task->season, $task->schools, $task->window,
            $task->amounts, $task->minutes, $task->cautions, $task->budget,
            static fn (): Told => new Told($task->steps, $task->reasons, $task->kit, $task->workings),
        ), []));
        self::assertTrue($drawn($task->methodKey)->isCut);
        $looked = $drawn(LoggedWork::FOLLOW_UP);
        self::assertFalse($looked->isCut);
        self::assertSame([], array_filter($looked->portrait->limbs, static fn (Limb $limb): bool => $limb->goes));
    }

    public function test_the_record_and_the_survey_make_the_picture_truer(): void
    {
        $plant = Plant::factory()->create([
            'garden_id' => $this->garden->id, 'kind' => 'forsythia', 'height_mm' => null, 'stems_old' => null,
            'stems_young' => null, 'planted_on' => null,
        ]);
        $stem = static fn (string $ref, int $azimuth): array => [
            'ref' => $ref, 'azimuth_deg' => $azimuth, 'lean_deg' => 10, 'length_mm' => 1500, 'base_mm' => 20,
            'age_years' => 3, 'faults' => [],
        ];
        StemSurvey::query()->create(['plant_id' => $plant->id, 'season' => 2026, 'surveyed_on' => '2026-03-01',
            'state' => [...StemSurvey::EMPTY, 'stems' => [$stem('A', 0), $stem('B', 90), $stem('C', 200)],
                'cut' => ['C']]]);
        $page = $this->actingAs($this->hand())->get("/plants/$plant->id/courses")->assertSee('its surveyed stems');
        $now = $page->viewData('left')->future->stages['now']->plant;
        self::assertCount(2, $now->stems(), 'the one that was cut is gone');
        self::assertEqualsCanonicalizing([0.0, 90.0], array_map(
            static fn ($stem): float => $stem->azimuthDeg, array_values($now->stems()),
        ));
    }

    public function test_another_task_may_be_looked_at_and_what_cannot_be_drawn_is_not_offered(): void
    {
        $vine = Plant::factory()->create([
            'garden_id' => $this->garden->id, 'kind' => 'grape-vine', 'height_mm' => null, 'planted_on' => null,
            'stems_old' => null, 'stems_young' => null,
        ]);
        $page = $this->actingAs($this->planner())->get("/plants/$vine->id/courses")->assertOk();
        self::assertNotContains('summer-shoots', array_column($page->viewData('tasks'), 'key'));
        self::assertSame(['final-pass'], array_column($page->viewData('tasks'), 'key'), 'a rough pass is finished');
        $this->get("/plants/$vine->id/drawing?task=rough-pass")->assertSee('class="p-goes"', false)
            ->assertSee('class="p-bud"', false)->assertSee('class="p-insurance"', false)
            ->assertSee('dotted is kept in case other canes die');
        $this->get("/plants/$vine->id/drawing?task=final-pass")->assertDontSee('p-insurance', false)
            ->assertDontSee('dotted');
        $page->assertSee('nobody has measured it');
        $tree = Plant::factory()->create([
            'garden_id' => $this->garden->id, 'kind' => 'oak', 'height_mm' => 18000,
        ]);
        $this->get("/plants/$tree->id/courses")->assertOk()->assertSee('it is shown left alone');
        $unknown = Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => 'nothing-known']);
        $this->get("/plants/$unknown->id/courses")->assertStatus(422);
    }

    public function test_every_kind_of_the_demo_and_more_can_be_grown_on(): void
    {
        $this->actingAs($this->planner());
        foreach ([
            'pampas-grass', 'hellebore', 'chusan-palm', 'running-bamboo', 'lemon', 'pine', 'hop', 'blackberry',
            'large-clematis', 'apple-espalier', 'fuchsia' => 'hardy-fuchsia', 'unnamed-shrub', 'new-zealand-flax',
        ] as $kind) {
            $plant = Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => $kind]);
            $this->get("/plants/$plant->id/courses?at=three")->assertOk();
        }
    }

    /** A summer's pinching shapes no plant: it is drawn as its winter pass keeps it, its laterals along the arms. */
    public function test_beside_what_only_pinches_a_plant_is_drawn_as_its_yearly_cut_keeps_it(): void
    {
        $kiwi = Plant::factory()->create([
            'garden_id' => $this->garden->id, 'kind' => 'hardy-kiwi-female', 'height_mm' => 2300,
            'planted_on' => '2014-03-01', 'stems_old' => null, 'stems_young' => null,
        ]);
        $bridge = $this->app->make(CorePlants::class);
        $core = $bridge->plant($kiwi, Today::day());
        $tasks = Prescriber::with($this->app->make(PlantBook::class))
            ->prescribe($core, $bridge->years($this->garden)->season(2027), $bridge->practice($this->garden))->tasks;
        $named = array_column($tasks, null, 'key');
        self::assertSame('winter-pass', Likenesses::yearly($named['summer-pass'], $tasks)->key);
        self::assertSame('winter-pass', Likenesses::yearly($named['winter-pass'], $tasks)->key);
        $page = $this->actingAs($this->hand())->get("/plants/$kiwi->id/drawing?task=summer-pass")->assertOk();
        self::assertGreaterThan(12, substr_count((string) $page->getContent(), '<path'), 'more than bare arms');
        $page->assertSee('is-near', false);
    }
}
