<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Units\Length;
use PruningHook\Core\Units\Prose;
use PruningHook\Core\Units\System;

/** A length said as a gardener says it: 25.4 mm to the inch by definition. */
final class LengthTest extends TestCase
{
    #[DataProvider('lengths')]
    public function test_it_is_said_in_the_unit_a_gardener_would_take(int $mm, string $metric, string $imperial): void
    {
        self::assertSame([$metric, $imperial], [Length::ofMm($mm)->metric(), Length::ofMm($mm)->imperial()]);
    }

    /** @return array<string, array{int, string, string}> */
    public static function lengths(): array
    {
        return [
            'nothing' => [0, '0 mm', '0 in'],
            'a cut above a bud' => [5, '5 mm', '1/4 in'],
            'a pencil' => [7, '7 mm', '1/4 in'],
            'three eighths' => [10, '10 mm', '3/8 in'],
            'half an inch' => [13, '13 mm', '1/2 in'],
            'the last of the millimetres' => [19, '19 mm', '3/4 in'],
            'two centimetres' => [20, '2 cm', '3/4 in'],
            'an inch' => [25, '3 cm', '1 in'],
            'the last of the eighths' => [49, '5 cm', '1 7/8 in'],
            'two inches' => [50, '5 cm', '2 in'],
            'just below twenty feet' => [6083, '6.08 m', '19 ft 11 in'],
            'a tree' => [12500, '12.5 m', '41 ft'],
            'no half centimetres' => [125, '13 cm', '5 in'],
            'just under a metre' => [994, '99 cm', '3 ft 3 in'],
            'a metre' => [1000, '1 m', '3 ft 3 in'],
            'two places of a metre' => [1742, '1.74 m', '5 ft 9 in'],
            'whole feet' => [1829, '1.83 m', '6 ft'],
        ];
    }

    public function test_lengths_within_a_sentence_are_told_in_the_other_system(): void
    {
        $told = static fn (string $text): string => Prose::in(System::Imperial, $text);
        self::assertSame('Cut 1/4 in above a bud.', $told('Cut 5 mm above a bud.'));
        self::assertSame('canes 2 ft 11 in to 3 ft 11 in long', $told('canes 0.9 to 1.2 m long'));
        self::assertSame('6 in–9 in, or 12 in', $told('15–23 cm, or 30 cm'));
        self::assertSame('a saw (wood to about 1 3/8 in)', $told('a saw (wood to about 34 mm)'));
        // What is no length, or none to be measured, stays.
        foreach (['5 min', '10 mm of rain', 'a bed of 3 m²', '12 roses', '30 % in 2 months', 'group 9 made'] as $same) {
            self::assertSame($same, $told($same));
        }
        self::assertSame('Cut 5 mm above a bud.', Prose::in(System::Metric, 'Cut 5 mm above a bud.'));
    }
}
