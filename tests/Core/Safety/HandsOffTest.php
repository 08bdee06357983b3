<?php

declare(strict_types=1);

namespace Tests\Core\Safety;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Schools\ChosenSchools;
use Tests\Support\Prescribing;
use Tests\Support\Sites;
use Tests\Support\TestBook;

/** What a crew leaves to an arborist. ANSI Z133 and A300 (from memory); the 5 m and 100 mm are common practice. */
final class HandsOffTest extends TestCase
{
    use Prescribing;

    /** @param  list<string>  $says */
    #[DataProvider('plants')]
    public function test_no_steps_no_minutes_no_litres_only_what_to_ask_for(
        Plant $plant,
        string $task,
        array $says,
    ): void {
        $found = $this->task($plant, $task);
        self::assertNotNull($found->handsOff);
        self::assertSame(
            [0, 0, [], []],
            [$found->minutes, $found->kit->debrisLitres, $found->kit->tools, $found->amounts],
        );
        $steps = implode(' ', $found->steps);
        foreach ($says as $words) {
            self::assertStringContainsString($words, $steps);
        }
        self::assertDoesNotMatchRegularExpression(
            '/ladder on|three cuts|pruning saw/',
            $steps.implode(' ', $found->cautions),
        );
        self::assertStringContainsString('ANSI Z133', $found->reasons[0]->source);
    }

    /** @return array<string, array{Plant, string, list<string>}> */
    public static function plants(): array
    {
        return [
            'a 25 m oak' => [
                new Plant('p', 'oak', heightMm: 25000),
                'winter-structure',
                [
                    'it is taller than 5 m', 'Ask a licensed arborist for: thin; live crown taken: up to 25 %; best',
                    'From the ground',
                ],
            ],
            'an oak nobody has measured' => [
                new Plant('p', 'oak'), 'winter-structure', ['it grows taller than 5 m as a rule: measure it'],
            ],
            'a lilac grown into thick wood' => [
                new Plant('p', 'lilac', heightMm: 9000), 'after-flowering', ['it has wood thicker than 100 mm'],
            ],
            'a wisteria under a line' => [
                new Plant('p', 'wisteria', heightMm: 2000, hazards: ['power-line']), 'winter-pass',
                ['Leave it alone: a power line is near', 'Ask the utility or a qualified line-clearance arborist'],
            ],
        ];
    }

    public function test_under_a_line_nothing_is_left_to_the_crew(): void
    {
        $steps = implode(
            ' ',
            $this->task(new Plant('p', 'lime', heightMm: 2000, hazards: ['power-line']), 'winter-structure')->steps,
        );
        self::assertStringNotContainsString('From the ground', $steps);
    }

    public function test_what_can_be_reached_is_the_crews(): void
    {
        foreach (
            [
                'a low tree' => [new Plant('p', 'oak', heightMm: 5000), 'winter-structure'],
                'a tree planted two years ago' => [
                    new Plant('p', 'oak', planted: $this->day('2025-03-01')),
                    'winter-structure',
                ],
                'the suckers of a tall one' => [new Plant('p', 'crape-myrtle', heightMm: 9000), 'suckers'],
                'its stem, to walk under' => [
                    new Plant('p', 'lime', heightMm: 9000, aim: 'clear-stem'),
                    'winter-structure',
                ],
                'a hedge' => [new Plant('p', 'privet', heightMm: 6000), 'first-trim'],
            ] as $what => [$plant, $task]
        ) {
            $found = $this->task($plant, $task);
            self::assertNull($found->handsOff, $what);
            self::assertGreaterThan(0, $found->minutes, $what);
        }
    }

    public function test_the_cheap_way_says_the_same(): void
    {
        $year = SiteYear::of(Sites::southernEngland(), 2027);
        $practice = ChosenSchools::of(TestBook::read()->questions);
        $compared = 0;
        foreach (TestBook::read()->all() as $kind) {
            foreach ([null, 4000, 12000] as $height) {
                $plant = new Plant('p', $kind->id, heightMm: $height);
                $full = array_map(
                    static fn ($task): ?string => $task->handsOff,
                    Prescriber::with(TestBook::read())->prescribe($plant, $year, $practice)->tasks,
                );
                $cheap = array_map(
                    static fn ($task): ?string => $task->handsOff,
                    Prescriber::with(TestBook::read())->windows($plant, $year, $practice),
                );
                self::assertSame($full, $cheap, $kind->id);
                $compared += count($full);
            }
        }
        self::assertGreaterThan(600, $compared);
    }
}
