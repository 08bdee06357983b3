<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Units\Doubt;

final class DoubtTest extends TestCase
{
    #[DataProvider('measures')]
    public function test_a_wrong_unit_is_guessed(float $number, string $unit, int $usualMm, ?string $says): void
    {
        self::assertSame($says, Doubt::of($number, $unit, $usualMm));
    }

    /** @return array<string, array{float, string, int, ?string}> */
    public static function measures(): array
    {
        return [
            'inches written as millimetres' => [
                35, 'mm', 1000, '35 mm? Such a plant usually measures about 1 m: did you mean 35 in',
            ],
            'centimetres written as millimetres' => [
                30, 'mm', 800, '30 mm? Such a plant usually measures about 80 cm: did you mean 30 in',
            ],
            'metres written as centimetres' => [
                3, 'cm', 3000, '3 cm? Such a plant usually measures about 3 m: did you mean 3 m',
            ],
            'millimetres written as centimetres' => [
                1800, 'cm', 2000, '1800 cm? Such a plant usually measures about 2 m: did you mean 1800 mm',
            ],
            'odd, and no unit explains it' => [1, 'mm', 20000, '1 mm? Such a plant usually measures about 20 m'],
            'young' => [300, 'mm', 3000, null],
            'grown out' => [6000, 'mm', 2000, null],
        ];
    }
}
