<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Units\Length;

/** A length said as a gardener says it. */
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
            'a cut above a bud' => [5, '5 mm', '0 in'],
            'the last of the millimetres' => [19, '19 mm', '1 in'],
            'two centimetres' => [20, '2 cm', '1 in'],
            'no half centimetres' => [125, '13 cm', '5 in'],
            'just under a metre' => [994, '99 cm', '3 ft 3 in'],
            'a metre' => [1000, '1 m', '3 ft 3 in'],
            'two places of a metre' => [1742, '1.74 m', '5 ft 9 in'],
            'whole feet' => [1829, '1.83 m', '6 ft'],
        ];
    }
}
