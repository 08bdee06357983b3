<?php

declare(strict_types=1);

namespace Tests\Core\PlantBook;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Disease;
use PruningHook\Core\PlantBook\EffortRates;
use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\HardCutting;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\KindReader;
use PruningHook\Core\PlantBook\Recipes;
use PruningHook\Core\PlantBook\SeasonReader;
use PruningHook\Core\PlantBook\Sources;
use PruningHook\Core\PlantBook\StateNote;
use PruningHook\Core\PlantBook\Vigour;
use Tests\Support\TestBook;

/** What the book's entries mean where they say little, and the figures drawn from habit and vigour. */
final class ReadingTest extends TestCase
{
    public function test_a_kind_that_says_little_is_a_middling_one(): void
    {
        $kind = self::kind([]);
        self::assertSame([1000, null, null, null], [
            $kind->typicalHeightMm, $kind->growthMm, $kind->lowestFrameworkMm, $kind->usualCutMm,
        ]);
        self::assertSame([Vigour::Medium, HardCutting::Slowly, '', ['free']], [
            $kind->vigour, $kind->hardCutting, $kind->family, $kind->forms,
        ]);
        self::assertNull($kind->removalCap);
        self::assertSame([0, 300], self::kind(['growth_mm' => ['max' => 300]])->growthMm);
        self::assertSame([300, 0], self::kind(['growth_mm' => ['min' => 300]])->growthMm);
        self::assertSame([35, 'common practice'], [
            self::kind(['removal_cap' => ['percent' => 35]])->removalCap[0] ?? null,
            self::kind(['removal_cap' => ['percent' => 35]])->removalCap[1] ?? null,
        ]);
    }

    public function test_a_state_of_which_nothing_is_said_changes_nothing(): void
    {
        $note = StateNote::fromEntry(Entry::of([]), Sources::of([]), 'why');
        self::assertSame([100, 100, null, 'why'], [
            $note->budgetPercent, $note->timePercent, $note->step, $note->because,
        ]);
        $note = StateNote::fromEntry(
            Entry::of(['budget' => 50, 'time' => 150, 'step' => 'Look.']), Sources::of([]), 'w',
        );
        self::assertSame([50, 150, 'Look.'], [$note->budgetPercent, $note->timePercent, $note->step]);
    }

    public function test_minutes_of_which_nothing_is_said_are_none(): void
    {
        self::assertEquals(new EffortRates(0, 0.0, 0.0, 0.0, 0.0), EffortRates::fromEntry(Entry::of([])));
        self::assertEquals(new EffortRates(10, 8.0, 0.5, 4.0, 3.0), EffortRates::fromEntry(Entry::of([
            'base' => 10, 'per_metre_height' => 8, 'per_stem' => 0.5, 'per_metre_run' => 4, 'per_square_metre' => 3,
        ])));
    }

    public function test_a_disease_takes_a_family_a_genus_or_all(): void
    {
        $takes = static fn (string ...$in): bool => (new Disease('x', 'x', [], array_values($in), StateNote::fromEntry(
            Entry::of([]), Sources::of([]), 'w',
        )))->takes(TestBook::read()->kind('lilac'));
        self::assertSame([true, true, true, false], [
            $takes(), $takes('Syringa'), $takes('Oleaceae', 'Rosaceae'), $takes('Rosa'),
        ]);
    }

    /** @param  array<string, mixed>  $recipe */
    #[DataProvider('recipes')]
    public function test_a_recipe_that_cannot_be_is_told(array $recipe, string $says): void
    {
        $whole = ['key' => 'x', 'name' => 'X', 'rank' => 1, 'steps' => [['key' => 'a', 'says' => 'Do it.']]];
        self::assertSame(1, self::read($whole)->get('x')->rank);
        self::assertSame(1, self::read([...$whole, 'cap' => 1])->get('x')->cap[0] ?? null);
        self::assertNull(self::read($whole)->get('x')->cap);
        $this->expectException(Fault::class);
        $this->expectExceptionMessage($says);
        self::read([...$whole, ...$recipe]);
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function recipes(): array
    {
        return [
            'no place in the order' => [['rank' => 0], 'x.yaml: rank: at least 1 is needed here'],
            'a cap of nothing' => [['cap' => 0], 'x.yaml: cap: at least 1 is needed here'],
            'a step twice' => [
                ['steps' => [['key' => 'a', 'says' => 'Do.'], ['key' => 'a', 'says' => 'Do.']]],
                'x.yaml: steps[1].key: there is a step "a" already',
            ],
            'a line nobody wrote' => [
                ['steps' => [['key' => 'a', 'line' => 'nothing']]], 'lines.yaml has no "nothing"',
            ],
        ];
    }

    /** Common practice, no source: 18 mm of wood a metre of tree, 12 of shrub, 7 of cane. */
    public function test_the_thickest_wood_goes_by_height_and_habit_unless_the_trunk_was_measured(): void
    {
        $book = TestBook::read();
        $thick = static fn (string $kind, int $height, ?int $trunk = null): int => $book->figures->thickest(
            $book->kind($kind), $height, $trunk,
        );
        self::assertSame([90, 36, 36, 36, 14], [
            $thick('oak', 5000), $thick('lilac', 3000), $thick('wisteria', 3000), $thick('grape-vine', 3000),
            $thick('raspberry-summer', 2000),
        ]);
        self::assertSame([120, 240], [$thick('oak', 5000, 240), $thick('lilac', 3000, 240)], 'limbs are half a trunk');
        $cuts = static fn (string $recipe): int => $book->figures->cuts(
            $book->recipes->get($recipe), $book->kind('lilac'), 9000,
        );
        self::assertSame(108, $cuts('renew-by-thirds'));
    }

    public function test_growth_goes_by_vigour_and_habit(): void
    {
        $book = TestBook::read();
        $grows = static function (string $kind) use ($book): array {
            $growing = $book->figures->growing($book->kind($kind));

            return [$growing->extensionMm, $growing->basalShoots, $growing->keepsItsHeight];
        };
        self::assertSame([300, 3, false], $grows('lilac'));
        self::assertSame([600, 5, false], $grows('forsythia'));
        self::assertSame([150, 1, true], $grows('box-hedge'));
        self::assertSame([1500, 5, false], $grows('butterfly-bush'), 'what it makes from the cut');
        self::assertSame(0, $grows('oak')[1], 'a tree makes no shoots from its base');
        self::assertTrue($grows('raspberry-summer')[2]);
    }

    public function test_a_misspelt_name_gets_the_kind_that_is_likest(): void
    {
        $book = TestBook::read();
        self::assertSame('Forsythia', $book->nearestName('forsithya'));
        self::assertSame('Lilac', $book->nearestName('lila'));
        self::assertNull($book->nearestName('xqzwvk'));
        self::assertNull($book->nearestName('liulacxx'), 'three letters off is another word');
        self::assertTrue($book->bears('syringa  VULGARIS'));
        self::assertFalse($book->bears('Grey lilac'), 'a form of it, and no name of the book');
        self::assertContains('forsythia', $book->named('orsyth'));
        self::assertContains('lilac', $book->named('SYRINGA'));
        self::assertSame([], $book->named('xqzwvk'));
        self::assertSame(['Lilac', 'gone kind'], [$book->nameOf('lilac'), $book->nameOf('gone-kind')]);
        self::assertTrue($book->has('lilac'));
        self::assertFalse($book->has('syringa'));
    }

    public function test_lateness_is_said_in_days(): void
    {
        self::assertSame(['1 day late', '1 day early', '9 days late'], [
            SeasonReader::late(1), SeasonReader::late(-1), SeasonReader::late(9),
        ]);
        self::assertSame('on its usual day', SeasonReader::late(0));
        self::assertSame(42, TestBook::read()->figures->number(Figure::BudsSetAfterBloom));
    }

    /** @param  array<string, mixed>  $said */
    private static function kind(array $said): Kind
    {
        return (new KindReader(
            Sources::of([]), TestBook::read()->recipes, TestBook::read()->stations,
        ))->read(Entry::of([
            'id' => 'x', 'name' => 'X', 'botanical' => 'X y', 'habit' => 'shrub', 'wood' => 'old', 'about' => 'x',
            'phenology' => [], 'tasks' => [], ...$said,
        ]));
    }

    /** @param  array<string, mixed>  $recipe */
    private static function read(array $recipe): Recipes
    {
        return Recipes::read(['x.yaml' => Entry::of($recipe)], Entry::of(['lines' => []]), Sources::of([]));
    }
}
