<?php

declare(strict_types=1);

namespace Tests\Core\Method;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Fault;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\State;
use PruningHook\Core\Plant\StemCount;
use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\PlantBook\Recipes;
use PruningHook\Core\PlantBook\Sources;
use PruningHook\Core\PlantBook\TaskRule;
use PruningHook\Core\Structure\StemPlan;
use Tests\Support\Prescribing;
use Tests\Support\TestBook;

/** Every recipe of the trade: named, in the order of work, with steps that speak of this plant. */
final class RecipesTest extends TestCase
{
    use Prescribing;

    public function test_each_has_a_name_of_its_own_and_names_stem_plans_that_are_there(): void
    {
        $recipes = TestBook::read()->recipes->all();
        $names = array_map(static fn ($recipe): string => $recipe->name, $recipes);
        self::assertCount(count($recipes), array_unique($names), 'no two are called the same');
        foreach ($recipes as $key => $recipe) {
            self::assertSame($key, $recipe->key);
            self::assertTrue($recipe->stems === null || StemPlan::tryFrom($recipe->stems) !== null, $key);
        }
    }

    public function test_they_follow_the_order_of_work(): void
    {
        $recipes = TestBook::read()->recipes;
        $ranks = array_map(static fn (string $key): int => $recipes->get($key)->rank, [
            'clean', 'desucker', 'thin', 'renew-by-thirds', 'light-arc', 'train-and-tie',
        ]);
        $sorted = $ranks;
        sort($sorted);
        self::assertSame($sorted, $ranks, 'clean, suckers, thin, renew, shape, tie');
    }

    public function test_every_recipe_is_used_and_topping_is_none(): void
    {
        $book = TestBook::read();
        $used = [];
        foreach ($book->all() as $kind) {
            foreach ($kind->tasks as $task) {
                $used = [...$used, ...array_map(static fn ($piece): string => $piece->value, $task->methods)];
            }
        }
        self::assertSame([], array_values(array_diff(array_keys($book->recipes->all()), $used)), 'recipes nobody uses');
        $this->expectException(Fault::class);
        $book->recipes->get('topping');
    }

    /** @param  list<string>  $says */
    #[DataProvider('plants')]
    public function test_steps_speak_of_this_plant(Plant $plant, string $task, string $recipe, array $says): void
    {
        $found = $this->task($plant, $task);
        self::assertSame($recipe, $found->methodKey);
        $steps = implode(' ', $found->steps);
        foreach ($says as $words) {
            self::assertStringContainsString($words, $steps);
        }
        self::assertStringNotContainsString('{', $steps);
    }

    /** @return array<string, array{Plant, string, string, list<string>}> */
    public static function plants(): array
    {
        return [
            'a neglected lilac' => [
                new Plant('p', 'lilac', stems: StemCount::of(9, 4), aim: 'renewal'), 'after-flowering', 'renovate',
                ['Take out 3 of the 9 old stems at the base this year', 'Leave the 4 stems of young wood'],
            ],
            'a lime to be walked under' => [
                new Plant('p', 'lime', heightMm: 6000, aim: 'clear-stem'), 'winter-structure', 'clear-the-stem',
                ['Clear the stem to 1.8 m to 2 m', 'in three cuts'],
            ],
            'a lopped lime' => [
                new Plant('p', 'lime', heightMm: 4800, aim: 'renewal'), 'winter-structure', 'restore-lopped',
                ['keep the best one or two shoots', 'Shorten the stub', 'keep one leader'],
            ],
            'a willow for its stems' => [
                new Plant('p', 'willow', form: 'multi-stem'), 'stooling', 'stool',
                ['to 5 cm to 8 cm above the low framework'],
            ],
            'a weeping cherry' => [
                new Plant('p', 'ornamental-cherry', form: 'weeping'), 'summer-tidy', 'thin',
                ['rises straight up through the hanging head', 'goes back to a fork above the knee'],
            ],
            'a vine by weight' => [
                new Plant('p', 'grape-vine', aim: 'fruit', practice: ['vine-system' => 'cane'], pruningsG: 1361),
                'final-pass',
                'balanced',
                ['Keep 60 buds in all'],
            ],
            'a variegated holly' => [new Plant('p', 'holly'), 'trace-out', 'trace-out', ['Trace each to its origin']],
            'a vine with dead buds' => [
                new Plant('p', 'grape-vine', budMortalityPercent: 50), 'final-pass', 'vine-spur',
                ['Cut each chosen cane to 6 nodes'],
            ],
            // RHS, Raspberries, autumn-fruiting (from memory): all canes to ground level in February.
            'autumn raspberries' => [
                new Plant('p', 'raspberry-autumn'), 'all-canes', 'canes-down',
                ['Cut every cane at the ground, leaving no stub'],
            ],
            // RHS, Grasses (from memory): evergreen grasses are combed, not cut down.
            'an evergreen grass' => [
                new Plant('p', 'feather-grass'), 'comb-out', 'comb', ['Comb the clump through', 'Do not cut it down'],
            ],
            // RHS, Lavender (from memory): trimmed after flowering, never into bare wood.
            'lavender' => [
                new Plant('p', 'lavender'), 'after-flowering', 'green-trim',
                ['2 cm to 5 cm of green', 'never into bare wood'],
            ],
            // RHS, Clematis, group 3 (from memory): to the lowest strong pairs of buds.
            'a late clematis' => [
                new Plant('p', 'late-clematis'), 'late-winter', 'cut-low', ['Cut every stem at 15 cm to 45 cm'],
            ],
            // RHS, Apples and pears: restricted forms, winter (from memory): congested spur systems are thinned.
            'a trained apple in winter' => [
                new Plant('p', 'apple-espalier'), 'winter-pass', 'thin-spurs',
                ['thin crowded spur systems', 'up to 25 %'],
            ],
            // RHS, Hedges: renovation (from memory): one side in one year, the other the next.
            'an overgrown beech hedge' => [
                new Plant('p', 'beech-hedge', heightMm: 2400, runMm: 9000, aim: 'renewal'), 'reset', 'hedge-reset',
                ['one face back to its stems', 'leave the other face'],
            ],
            'an abelia nobody has measured' => [
                new Plant('p', 'abelia'), 'spring-shortening', 'light-arc',
                ['by 33 % of its height', 'measure it first'],
            ],
        ];
    }

    public function test_all_fruited_canes_go_and_the_new_ones_are_thinned_to_their_number(): void
    {
        // RHS, Raspberries, summer-fruiting (from memory): fruited canes to the ground, six to eight new ones kept.
        $task = $this->task(new Plant('p', 'raspberry-summer', stems: StemCount::of(7, 12)), 'fruited-canes');
        self::assertSame(11, $task->amount(Effect::StemsOut)?->target, '7 that have fruited and 4 of 12 new ones');
        self::assertStringContainsString('take every one of them out at the base', implode(' ', $task->steps));
        $few = $this->task(new Plant('p', 'raspberry-summer', stems: StemCount::of(7, 3)), 'fruited-canes');
        self::assertSame(
            [7, 7, 7],
            [
                $few->amount(Effect::StemsOut)?->min, $few->amount(Effect::StemsOut)?->target,
                $few->amount(Effect::StemsOut)?->max,
            ],
        );
    }

    public function test_a_willow_that_is_a_tree_is_not_stooled(): void
    {
        self::assertNull($this->prescribe(new Plant('p', 'willow'))->task('stooling'));
        self::assertNotNull($this->prescribe(new Plant('p', 'willow'))->task('winter-structure'));
        self::assertNull($this->prescribe(new Plant('p', 'willow', form: 'multi-stem'))->task('winter-structure'));
    }

    public function test_no_task_of_the_book_lacks_a_kit(): void
    {
        foreach (TestBook::read()->all() as $kind) {
            foreach (
                $this->prescribe(new Plant('p', $kind->id, heightMm: min(4500, $kind->typicalHeightMm)))->tasks as $task
            ) {
                self::assertContains('eye protection', $task->kit->gear, $kind->id);
                self::assertGreaterThanOrEqual(1, $task->kit->people);
                self::assertGreaterThanOrEqual(0, $task->kit->debrisLitres);
                self::assertNotSame([], $task->kit->tools);
                self::assertContains(
                    'debris',
                    array_map(static fn ($working): string => $working->what, $task->workings),
                    "$kind->id $task->key",
                );
            }
        }
    }

    public function test_first_year_tasks_are_the_same_for_all(): void
    {
        foreach (['lilac', 'bush-rose', 'apple'] as $kind) {
            self::assertArrayHasKey(
                'first-year',
                array_map(static fn (TaskRule $task): string => $task->key, TestBook::read()->kind($kind)->tasks),
            );
        }
    }

    /** @param  array<string, mixed>  $recipe */
    #[DataProvider('broken')]
    public function test_a_recipe_that_names_what_is_not_there_stops_the_book(array $recipe, string $says): void
    {
        $this->expectException(Fault::class);
        $this->expectExceptionMessage($says);
        $lines = Entry::of(['lines' => ['clean' => ['says' => 'Clean.']], 'follow_ups' => []]);
        Recipes::read(
            ['recipes/x.yaml' => Entry::of([...['key' => 'x', 'name' => 'X', 'rank' => 1], ...$recipe])],
            $lines,
            Sources::of([]),
        );
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function broken(): array
    {
        return [
            'a line' => [
                ['steps' => [['key' => 'a', 'line' => 'polish']]],
                'recipes/x.yaml: steps[0].lines: lines.yaml has no "polish"',
            ],
            'a step twice' => [
                ['steps' => [['key' => 'a', 'says' => 'A.'], ['key' => 'a', 'says' => 'B.']]],
                'recipes/x.yaml: steps[1].key: there is a step "a" already',
            ],
            'a follow-up' => [
                ['steps' => [['key' => 'a', 'line' => 'clean']], 'follow_ups' => ['dance']],
                'recipes/x.yaml: follow_ups: lines.yaml has no "dance"',
            ],
            'a source' => [['steps' => [], 'source' => 'hearsay'], 'recipes/x.yaml: source: "hearsay"'],
        ];
    }

    /** Common practice, no source: spent roses every week or two as long as they flower. */
    public function test_what_is_done_again_and_again_says_how_often(): void
    {
        $follow = $this->task(new Plant('r', 'bush-rose', heightMm: 900), 'dead-heading')->kit->followUps;
        self::assertContains(
            ['after_days' => 10, 'what' => 'Once more, and so on as long as its days are open'],
            $follow,
        );
        self::assertNotContains(
            'Once more, and so on as long as its days are open',
            array_column(
                $this->task(new Plant('r', 'bush-rose', heightMm: 900), 'main-pruning')->kit->followUps,
                'what',
            ),
        );
    }

    /** Common practice, no source: kit follows the height of the cut, not of the plant. */
    public function test_nobody_brings_a_ladder_to_a_cut_at_the_ground(): void
    {
        $clematis = $this->task(new Plant('c', 'late-clematis', heightMm: 3500), 'late-winter');
        self::assertNotContains('ladder', $clematis->kit->tools);
        self::assertSame(1, $clematis->kit->people);
        self::assertStringNotContainsString('ladder', implode(' ', $clematis->cautions));
        self::assertContains(
            'ladder',
            $this->task(new Plant('c', 'mountain-clematis', heightMm: 3500), 'after-flowering')->kit->tools,
        );
    }

    /** Common practice, no source: a saw for wood over 4 cm, and none where shears do the work. */
    public function test_the_saw_comes_only_for_thick_wood_that_is_sawn(): void
    {
        $skills = fn (string $kind, string $task, ?int $trunk): array => $this->task(
            new Plant('p', $kind, heightMm: 2000, runMm: 5000, state: new State(trunkMm: $trunk)),
            $task,
        )->kit->skills;
        self::assertSame(
            [['saw'], []],
            [$skills('apple', 'winter-structure', 100), $skills('apple', 'winter-structure', 80)],
        );
        self::assertSame(['shears'], $skills('yew', 'late-trim', 90));
    }

    /** A rate that says nothing of a run takes no minutes for one. */
    public function test_minutes_are_for_what_the_rate_speaks_of(): void
    {
        $minutes = fn (?int $run): int => $this->task(
            new Plant('p', 'bush-rose', heightMm: 1000, runMm: $run),
            'main-pruning',
        )->minutes;
        self::assertSame($minutes(null), $minutes(30000));
    }
}
