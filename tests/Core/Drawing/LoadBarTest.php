<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use PHPUnit\Framework\TestCase;
use PruningHook\Core\Drawing\LoadBar;

/** A column of what is asked for, with its line where the time is full. */
final class LoadBarTest extends TestCase
{
    public function test_it_stands_as_high_as_its_share_and_says_when_it_is_much(): void
    {
        $told = static fn (int $need, int $can): array => [
            (new LoadBar('x', $need, $can))->height(), (new LoadBar('x', $need, $can))->top(),
            (new LoadBar('x', $need, $can))->inWords(),
        ];
        self::assertSame([0.0, 30.0, '0 of 40'], $told(0, 2400));
        self::assertSame([10.0, 20.0, '20 of 40'], $told(1200, 2400));
        self::assertSame('34 of 40', $told(2040, 2400)[2], 'just not tight');
        self::assertSame('34 of 40, tight', $told(2041, 2400)[2]);
        self::assertSame([20.0, 10.0, '40 of 40, tight'], $told(2400, 2400));
        self::assertSame([30.0, 0.0, '200 of 40, too much'], $told(12000, 2400));
        self::assertSame([30.0, 0.0, '1 of 0, too much'], $told(60, 0));
        self::assertSame([0.0, 30.0, '0 of 0'], $told(0, 0));
    }
}
