<?php

declare(strict_types=1);

namespace Tests\Core\PlantBook;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\Figures;
use PruningHook\Core\PlantBook\RemovalCaps;
use PruningHook\Core\PlantBook\Sources;
use PruningHook\Core\Prescription\Contradictions;
use PruningHook\Core\Prescription\GivenFacts;
use Tests\Support\TestBook;

/** Figures and caps that hold for every kind, and facts that contradict each other. */
final class FiguresTest extends TestCase
{
    public function test_every_figure_is_given_with_its_source(): void
    {
        $figures = TestBook::read()->figures;
        foreach (Figure::cases() as $figure) {
            self::assertNotSame('', $figures->reason($figure, 'Rule', 'because')->source, $figure->value);
        }
        // Common practice: buds are set about six weeks after bloom; nothing stimulating from seven weeks before frost.
        self::assertSame(
            [42, 49],
            [$figures->number(Figure::BudsSetAfterBloom), $figures->number(Figure::StopBeforeFirstFrost)],
        );
    }

    public function test_a_missing_figure_and_one_nobody_asks_for_are_told(): void
    {
        $all = array_fill_keys(array_map(static fn (Figure $figure): string => $figure->value, Figure::cases()), [
            1,
            'x',
        ]);
        foreach (
            [
                [array_diff_key($all, ['reach' => 0]), 'figures.reach: this figure is missing'],
                [[...$all, 'luck' => [7, 'x']], 'figures.luck: nothing asks for this figure'],
            ] as [$given, $message]
        ) {
            try {
                Figures::of($given);
                self::fail($message);
            } catch (Fault $fault) {
                self::assertSame($message, $fault->getMessage());
            }
        }
    }

    public function test_a_figure_that_is_no_number_or_has_an_unknown_source_names_its_place(): void
    {
        foreach (
            [
                [['reach' => ['value' => 'high']], 'figures.reach.value: a whole number is needed here'],
                [['reach' => ['value' => -3.5]], 'figures.reach.value: a whole number is needed here'],
                [
                    ['reach' => ['value' => 2, 'source' => 'grandmother']],
                    'figures.reach.source: "grandmother" is not listed in sources.yaml',
                ],
            ] as [$data, $message]
        ) {
            try {
                Figures::fromEntry(Entry::of(['figures' => $data])->entry('figures'), Sources::of([]));
                self::fail($message);
            } catch (Fault $fault) {
                self::assertSame($message, $fault->getMessage());
            }
        }
    }

    public function test_a_cap_is_the_methods_then_the_kinds_then_its_habits(): void
    {
        $book = TestBook::read();
        $cap = static fn (string $kind, ?string $method): int => $book->caps->for($book->kind($kind), $method)[0];
        self::assertSame(25, $cap('lime', null), 'ANSI A300, pre-2017 text (from memory)');
        self::assertSame(33, $cap('lilac', 'thin'));
        self::assertSame(95, $cap('butterfly-bush', 'cut-to-flowering-height'));
        self::assertSame(5, $cap('lilac', 'clean'));
    }

    public function test_every_habit_in_the_book_has_a_cap(): void
    {
        $book = TestBook::read();
        foreach ($book->all() as $kind) {
            [$percent, $source] = $book->caps->for($kind, null);
            self::assertTrue($percent > 0 && $percent <= 100 && $source !== '', $kind->id);
        }
        $this->expectExceptionMessage('nothing is said of a');
        RemovalCaps::fromEntry(Entry::of(['by_habit' => []]), Sources::of([]), $book->recipes)->for(
            $book->kind('lilac'),
            null,
        );
    }

    /** @param  list<string>  $told */
    #[DataProvider('facts')]
    public function test_facts_that_cannot_all_be_true_are_told(
        string $kind,
        ?string $aim,
        ?int $height,
        ?bool $grafted,
        array $told,
    ): void {
        self::assertSame(
            $told,
            array_keys(Contradictions::of(
                TestBook::read()->kind($kind), TestBook::read(),
                new GivenFacts(aim: $aim, floweringHeightMm: $height, grafted: $grafted),
            )),
        );
    }

    /** @return array<string, array{string, ?string, ?int, ?bool, list<string>}> */
    public static function facts(): array
    {
        return [
            'a male kiwi for fruit' => ['hardy-kiwi-male', 'fruit', null, null, ['aim']],
            'a male kiwi for its flowers' => ['hardy-kiwi-male', 'bloom', null, null, []],
            'a female one for fruit' => ['hardy-kiwi-female', 'fruit', null, null, []],
            'a flowering height of a hedge grown for green' => ['yew', null, 1200, null, ['flowering_height_mm']],
            'a grafted raspberry' => ['raspberry-summer', 'fruit', null, true, ['grafted']],
            'a grafted rose' => ['bush-rose', 'bloom', 900, true, []],
        ];
    }
}
