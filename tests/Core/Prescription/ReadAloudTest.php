<?php

declare(strict_types=1);

namespace Tests\Core\Prescription;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\KindReader;
use PruningHook\Core\Prescription\ReadAloud;
use Tests\Support\PlainKind;
use Tests\Support\TestBook;

/**
 * What a gardener would stumble over in a sheet read aloud is found before a crew finds it. Common practice, no source.
 */
final class ReadAloudTest extends TestCase
{
    public function test_every_kind_of_the_book_reads_well(): void
    {
        $reader = new ReadAloud(TestBook::read());
        $amounts = 0;
        foreach (TestBook::read()->all() as $kind) {
            self::assertSame([], $reader->faults($kind), $kind->id);
            $amounts += $reader->read($kind)[1];
        }
        self::assertGreaterThan(400, $amounts, 'all of them are looked at');
    }

    /**
     * @param  array<string, mixed>  $task
     */
    #[DataProvider('stumbles')]
    public function test_a_stumble_is_told(array $task, string $says): void
    {
        $faults = (new ReadAloud(TestBook::read()))->faults(self::kind($task));
        self::assertCount(1, $faults, implode("\n", $faults));
        self::assertStringContainsString($says, $faults[0]);
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function stumbles(): array
    {
        $share = [
            'rule' => 'given',
            'what' => 'live wood taken',
            'effect' => 'live-share',
            'unit' => '%',
            'min' => 0,
            'target' => 5,
            'max' => 10,
        ];
        $buds = [
            'rule' => 'given',
            'what' => 'buds per lateral',
            'unit' => 'buds',
            'min' => 2,
            'target' => 2,
            'max' => 3,
        ];

        return [
            'an amount nobody says' => [
                ['methods' => [['use' => 'thin']], 'amounts' => [$share, $buds]],
                'a: thin says nothing of "buds per lateral"',
            ],
            'one said only in another circumstance' => [
                [
                    'methods' => [['use' => 'thin']],
                    'amounts' => [$share, $buds],
                    'steps' => ['dry' => ['when' => ['aim' => 'fruit'], 'says' => 'To {buds per lateral}.']],
                ],
                'says nothing of "buds per lateral"',
            ],
            'an amount over its cap' => [
                ['methods' => [['use' => 'thin']], 'amounts' => [[...$share, 'max' => 40]]],
                'goes to 40 %, and 33 % is the cap',
            ],
            'none of a thing' => [
                ['methods' => [['use' => 'thin']], 'amounts' => [$share], 'steps' => ['dry' => 'Leave 0 stems.']],
                'a step tells of none: "Leave 0 stems."',
            ],
            'forbidden and asked for' => [
                [
                    'methods' => [['use' => 'thin']],
                    'amounts' => [$share],
                    'steps' => ['dry' => 'Shorten the leaders by half.'],
                ],
                'one step forbids shortening and another asks for it',
            ],
            'all growth left on, and all of it cut' => [
                ['methods' => [['use' => 'clean']], 'steps' => ['sound' => 'Cut every cane at the ground.']],
                'one step forbids healthy growth and another asks for it',
            ],
            'said twice' => [
                [
                    'methods' => [['use' => 'clear-the-stem']],
                    'amounts' => [[...$share, 'what' => 'live crown taken', 'max' => 25]],
                    'steps' => ['clear' => 'Limbs come off in three cuts.'],
                ],
                'said twice: "Limbs come off in three cuts."',
            ],
        ];
    }

    public function test_a_form_that_changes_nothing_is_told(): void
    {
        $task = ['methods' => [['use' => 'clean']]];
        self::assertSame(
            ['forms: nothing changes where it is grown as "espalier"'],
            (new ReadAloud(TestBook::read()))->faults(self::kind($task, ['free', 'espalier'])),
        );
        self::assertSame(
            [],
            (new ReadAloud(TestBook::read()))->faults(
                self::kind(['methods' => [['use' => 'light-tidy']]], ['free', 'standard']),
            ),
            'a standard has its stem rubbed clean',
        );
    }

    /**
     * @param  array<string, mixed>  $task
     * @param  list<string>  $forms
     */
    private static function kind(array $task, array $forms = ['free']): Kind
    {
        $book = TestBook::read();

        return (new KindReader($book->sources, $book->recipes, $book->stations))->read(
            Entry::of(PlainKind::entry($task, ['forms' => $forms])),
        );
    }
}
