<?php

declare(strict_types=1);

namespace Tests\Core\PlantBook;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\Fault;
use PruningHook\Core\Plant\Circumstances;
use PruningHook\Core\PlantBook\Condition;
use PruningHook\Core\PlantBook\Conditional;
use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\Schools\ChosenSchools;
use Tests\Support\TestBook;

/** When a piece of the plant book holds for a plant. */
final class ConditionTest extends TestCase
{
    /** @param  array<string, mixed>  $when */
    #[DataProvider('conditions')]
    public function test_a_condition_holds(array $when, bool $holds): void
    {
        $plant = new Circumstances(
            WinterClass::Cold,
            ChosenSchools::of(TestBook::read()->questions, ['vine-system' => 'cane']),
            yearInGround: 3,
            form: 'fan',
            grafted: true,
        );
        self::assertSame($holds, Condition::fromEntry(Entry::of($when))->holds($plant));
    }

    /** @return array<string, array{array<string, mixed>, bool}> */
    public static function conditions(): array
    {
        return [
            'nothing asked' => [[], true],
            'the winter it has' => [['winter' => 'cold'], true],
            'another winter' => [['winter' => 'cool'], false],
            'one of several' => [['form' => ['espalier', 'fan']], true],
            'none of several' => [['form' => ['espalier', 'cordon']], false],
            'all lines hold' => [['winter' => 'cold', 'form' => 'fan'], true],
            'one line does not' => [['winter' => 'cold', 'form' => 'cordon'], false],
            'the school in force' => [['vine-system' => 'cane'], true],
            'the other school' => [['vine-system' => 'spur'], false],
            'a fact nobody knows' => [['aim' => 'renewal'], false],
            'grafted' => [['grafted' => 'yes'], true],
            'old enough' => [['from_year' => 3], true],
            'too young' => [['from_year' => 4], false],
            'young enough' => [['to_year' => 3], true],
            'too old' => [['to_year' => 2], false],
        ];
    }

    public function test_a_plant_of_unknown_age_counts_as_established(): void
    {
        $plant = new Circumstances(WinterClass::Cool, ChosenSchools::of([]));
        self::assertTrue(Condition::fromEntry(Entry::of(['from_year' => 5]))->holds($plant));
        self::assertFalse(Condition::fromEntry(Entry::of(['to_year' => 1]))->holds($plant));
    }

    public function test_a_condition_without_age_can_be_given_one_and_one_with_age_keeps_it(): void
    {
        $first = new Circumstances(WinterClass::Cool, ChosenSchools::of([]), yearInGround: 1);
        self::assertFalse(Condition::fromEntry(Entry::of([]))->fromYearAtLeast(2)->holds($first));
        self::assertTrue(Condition::fromEntry(Entry::of(['to_year' => 1]))->fromYearAtLeast(2)->holds($first));
    }

    public function test_the_pieces_that_hold_keep_the_books_order(): void
    {
        $piece = static fn (string $winter, string $value): Conditional => Conditional::of(
            Condition::fromEntry(Entry::of(['winter' => $winter])),
            $value,
        );
        $plant = new Circumstances(WinterClass::Cool, ChosenSchools::of([]));
        self::assertSame(
            ['b', 'd'],
            Conditional::holding(
                [$piece('cold', 'a'), $piece('cool', 'b'), $piece('warm', 'c'), $piece('cool', 'd')],
                $plant,
            ),
        );
    }

    public function test_it_names_the_schools_it_asks(): void
    {
        self::assertSame(
            ['vine-system'],
            Condition::fromEntry(
                Entry::of(['winter' => 'cold', 'vine-system' => 'spur', 'from_year' => 2]),
            )->questions(),
        );
    }

    /** @param  array<string, mixed>  $data */
    #[DataProvider('wrong')]
    public function test_an_entry_of_the_wrong_sort_names_its_place(array $data, callable $read, string $says): void
    {
        $this->expectException(Fault::class);
        $this->expectExceptionMessage($says);
        $read(Entry::of($data, 'tasks[2]'));
    }

    /** @return array<string, array{array<string, mixed>, callable(Entry): mixed, string}> */
    public static function wrong(): array
    {
        return [
            'text' => [
                ['name' => 4],
                static fn (Entry $entry) => $entry->string('name'),
                'tasks[2].name: text is needed here',
            ],
            'missing text' => [
                [],
                static fn (Entry $entry) => $entry->string('name'),
                'tasks[2].name: text is needed here',
            ],
            'a whole number' => [
                ['min' => '4'],
                static fn (Entry $entry) => $entry->int('min'),
                'tasks[2].min: a whole number',
            ],
            'a number' => [
                ['factor' => 'two'],
                static fn (Entry $entry) => $entry->number('factor'),
                'tasks[2].factor: a number',
            ],
            'yes or no' => [
                ['closed' => 'maybe'],
                static fn (Entry $entry) => $entry->bool('closed', false),
                'tasks[2].closed: true or false',
            ],
            'texts' => [
                ['also' => ['a', 4]],
                static fn (Entry $entry) => $entry->strings('also'),
                'tasks[2].also: text',
            ],
            'named values' => [
                ['pair' => 'x'],
                static fn (Entry $entry) => $entry->entry('pair'),
                'tasks[2].pair: named values',
            ],
            'a list of named values' => [
                ['steps' => ['x']],
                static fn (Entry $entry) => $entry->entries('steps'),
                'tasks[2].steps: a list of named values',
            ],
        ];
    }
}
