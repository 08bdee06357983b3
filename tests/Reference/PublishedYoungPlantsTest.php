<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\State;
use PruningHook\Core\Plant\StemCount;
use PruningHook\Core\Prescription\Task;
use Tests\Support\Prescribing;
use Tests\Support\Sites;

/** The first years of a plant, and jobs that were done by the wrong recipe, against what is published. */
final class PublishedYoungPlantsTest extends TestCase
{
    use Prescribing;

    /** @param  array{int, int}  $range  least and most */
    #[DataProvider('firstCuts')]
    public function test_the_first_cut(string $kind, string $planted, string $what, array $range): void
    {
        $task = $this->prescribe(new Plant('p', $kind, planted: $this->day($planted)))->tasks[0];
        self::assertSame('plant-back', $task->methodKey);
        $amount = $this->amount($task, $what);
        self::assertSame($range, [$amount->min, $amount->max]);
    }

    /** @return array<string, array{string, string, string, array{int, int}}> */
    public static function firstCuts(): array
    {
        return [
            'RHS, Blackcurrants: to two buds after planting (from memory)' => [
                'blackcurrant',
                '2026-11-20',
                'buds left above the ground',
                [2, 2],
            ],
            'RHS, Raspberries: to 25-30 cm (from memory)' => [
                'raspberry-summer',
                '2026-11-20',
                'height after planting',
                [250, 300],
            ],
            'RHS, Blackberries: to about 22-30 cm (from memory)' => [
                'blackberry',
                '2026-11-20',
                'height after planting',
                [220, 300],
            ],
            'RHS, Roses, bare-root: to 10-15 cm (from memory)' => [
                'bush-rose',
                '2026-11-20',
                'height after planting',
                [100, 150],
            ],
            'RHS, Clematis in its first spring, any group: to 30 cm at most (from memory)' => [
                'mountain-clematis',
                '2026-10-20',
                'height after planting',
                [250, 300],
            ],
            'RHS, Grapes: to two or three buds after planting (from memory)' => [
                'grape-vine',
                '2026-11-20',
                'buds left above the ground',
                [2, 3],
            ],
            'RHS, Hedges: hawthorn whips to 15-30 cm (from memory)' => [
                'hawthorn-hedge',
                '2026-11-20',
                'height after planting',
                [150, 300],
            ],
            'RHS, Hedges: privet to 15-30 cm (from memory)' => [
                'privet',
                '2026-11-20',
                'height after planting',
                [150, 300],
            ],
            'RHS, Apples, a maiden headed at 75 cm (from memory)' => [
                'apple',
                '2026-11-20',
                'height after planting',
                [700, 800],
            ],
        ];
    }

    /**
     * RHS, Apples, formative pruning: four or five branches shortened by a third to a half in the second and third
     * winter (from memory).
     */
    public function test_a_young_apple_is_shaped_for_two_winters_and_then_thinned(): void
    {
        $recipe = fn (string $planted): string => $this->prescribe(
            new Plant('a', 'apple', planted: $this->day($planted)),
        )->tasks[0]->methodKey;
        self::assertSame(
            ['shape-young', 'shape-young', 'thin'],
            [$recipe('2025-11-20'), $recipe('2024-11-20'), $recipe('2023-11-20')],
        );
    }

    /** RHS, Lavender: clipped from the first year (from memory). */
    public function test_lavender_is_clipped_from_its_first_year(): void
    {
        self::assertSame(
            'green-trim',
            $this->prescribe(new Plant('l', 'lavender', planted: $this->day('2027-04-10')))->tasks[0]->methodKey,
        );
    }

    /**
     * Oregon State University, EC 1304: no crop for two years, then a fifth to a quarter, one or two of the oldest
     * (from memory).
     */
    public function test_a_blueberry_is_kept_from_fruiting_and_then_loses_one_or_two(): void
    {
        $of = fn (string $planted, ?StemCount $stems = null): array => $this->prescribe(new Plant(
            'b',
            'blueberry',
            planted: $this->day($planted),
            stems: $stems,
        ))->tasks;
        self::assertSame('flowers-off', $of('2026-11-20')[0]->methodKey);
        self::assertSame([], $of('2024-11-20'));
        foreach ([6 => 1, 9 => 2, 12 => 2] as $old => $out) {
            self::assertSame(
                $out,
                $this->amount($of('2010-11-20', StemCount::of($old, 2))[0], 'old stems to take out')->target,
                "$old old ones",
            );
        }
    }

    public function test_one_that_was_moved_is_cleaned_and_not_cut_as_a_young_one(): void
    {
        $moved = new Plant(
            'a',
            'apple',
            planted: $this->day('2015-11-20'),
            heightMm: 2500,
            state: new State(transplanted: $this->day('2026-11-20')),
        );
        self::assertSame(
            ['clean'],
            array_map(static fn (Task $task): string => $task->methodKey, $this->prescribe($moved)->tasks),
        );
    }

    /** @param  list<string>  $recipes  of all its tasks, one after the other */
    #[DataProvider('jobs')]
    public function test_a_job_is_done_by_its_own_recipe(
        string $kind,
        ?string $form,
        ?string $aim,
        array $recipes,
    ): void {
        self::assertSame(
            $recipes,
            array_map(
                static fn (Task $task): string => $task->methodKey,
                $this->prescribe(new Plant('p', $kind, heightMm: 1800, form: $form, aim: $aim))->tasks,
            ),
        );
    }

    /** @return array<string, array{string, ?string, ?string, list<string>}> */
    public static function jobs(): array
    {
        return [
            'Missouri Botanical Garden: sweetspire flowers on old wood (from memory)' => [
                'virginia-sweetspire',
                null,
                null,
                ['renew-by-thirds'],
            ],
            'RHS group 1: smoke bush nearly alone for its plumes (from memory)' => [
                'smoke-bush',
                null,
                null,
                ['light-tidy'],
            ],
            'RHS group 7: smoke bush stooled for its leaf (from memory)' => ['smoke-bush', null, 'green', ['stool']],
            'RHS: Prunus triloba, flowered shoots to two or three buds straight after bloom (from memory)' => [
                'flowering-almond',
                null,
                null,
                ['flowered-to-buds'],
            ],
            'RHS group 7: coloured dogwood cut low in spring (from memory)' => [
                'dogwood-coloured',
                null,
                null,
                ['stool'],
            ],
            'RHS group 7: elder for its leaf (from memory)' => ['elderberry', null, 'green', ['stool']],
            'NC State Extension: nandina canes at different heights (from memory)' => [
                'heavenly-bamboo',
                null,
                null,
                ['staggered-canes'],
            ],
            'NC State Extension: mahonia to a whorl (from memory)' => ['mahonia', null, null, ['staggered-canes']],
            'RHS, Clematis group 2: late winter, and after the first flush (from memory)' => [
                'large-clematis', 'wall', null, ['shorten-to-buds', 'after-flush'],
            ],
            'Iowa State Extension: an old forsythia renewed over three years (from memory)' => [
                'forsythia', null, 'renewal', ['renovate'],
            ],
            'RHS, Rugosa roses: lightly (from memory)' => ['rugosa-rose', null, null, ['light-tidy']],
            'RHS, Old and species roses: lightly after bloom (from memory)' => [
                'old-shrub-rose',
                null,
                null,
                ['light-tidy'],
            ],
            'RHS, Climbing hydrangea: outward and overlong shoots only (from memory)' => [
                'climbing-hydrangea',
                'wall',
                null,
                ['light-tidy'],
            ],
            'RHS, Peaches, fan: what has borne to its replacement (from memory)' => [
                'peach',
                'fan',
                null,
                ['fan-replacement'],
            ],
            'RHS, Peaches: in growth where silver leaf is (from memory)' => ['peach', null, null, ['thin']],
            'RHS group 5 and Pyracantha: berries laid bare in late summer (from memory)' => [
                'firethorn',
                null,
                null,
                ['light-tidy', 'shoots-to-leaves'],
            ],
            'RHS, Pampas: cut down in late winter (from memory)' => ['pampas-grass', null, null, ['cut-down']],
            'RHS, Pollarding (from memory)' => ['lime', 'pollard', null, ['pollard']],
            'RHS, Pleaching (from memory)' => ['lime', 'pleached', null, ['pleach']],
        ];
    }

    /** University of California, peaches: two fifths to a half, as late as bloom (from memory). */
    public function test_a_free_peach_away_from_silver_leaf_gives_up_two_fifths(): void
    {
        $task = $this->prescribe(new Plant('p', 'peach', heightMm: 2500), Sites::missouri())->tasks[0];
        self::assertSame(
            ['open-centre', 40, 50],
            [
                $task->methodKey,
                $this->amount($task, 'live growth taken')->target,
                $this->amount($task, 'live growth taken')->max,
            ],
        );
    }

    /** RHS, Roses: shortened by a third in autumn where the wind rocks them (from memory). */
    public function test_a_bush_rose_in_the_wind_is_shortened_before_the_gales(): void
    {
        $rose = fn (bool $exposed): array => array_map(
            static fn (Task $task): string => $task->key,
            $this->prescribe(new Plant('r', 'bush-rose', heightMm: 900, state: new State(exposed: $exposed)))->tasks,
        );
        self::assertContains('autumn-shortening', $rose(true));
        self::assertNotContains('autumn-shortening', $rose(false));
    }
}
