<?php

declare(strict_types=1);

namespace Tests\Core\Plant;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Plant\Growing;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\Recount;
use PruningHook\Core\Plant\StemCount;
use Tests\Support\TestBook;

/** A measure that cannot follow from the record is asked about. Common practice, no source. */
final class RecountTest extends TestCase
{
    /** @param  list<string>  $asked */
    #[DataProvider('measures')]
    public function test_what_cannot_follow_from_the_record_is_asked(
        ?int $old,
        ?int $young,
        ?int $height,
        array $asked,
    ): void {
        $by = new Plant('p', 'lilac', heightMm: 2000, stems: StemCount::of(6, 3));
        self::assertSame(
            $asked,
            array_keys(
                Recount::questions(
                    $by, new Growing(300, 4000, 3, false), TestBook::keeping(), $old, $young, $height,
                ),
            ),
        );
    }

    /** @return array<string, array{?int, ?int, ?int, list<string>}> */
    public static function measures(): array
    {
        return [
            'as the record has it' => [6, 3, 2000, []],
            'nothing measured' => [null, null, null, []],
            'all that were young grew old at once' => [9, null, null, []],
            'more old ones than stood' => [10, null, null, ['stems_old']],
            'two good years of new ones' => [null, 9, null, []],
            'three' => [null, 10, null, ['stems_young']],
            'two seasons\' growth more' => [null, null, 2600, []],
            'and a hand over' => [null, null, 2700, ['height_mm']],
            'a little lower' => [null, null, 1200, []],
            'a cut that nobody logged' => [null, null, 1190, ['height_mm']],
        ];
    }

    public function test_where_nothing_was_measured_nothing_is_asked(): void
    {
        self::assertSame(
            [],
            Recount::questions(
                new Plant('p', 'lilac'), new Growing(300, 4000, 3, false), TestBook::keeping(), 90, 90, 9000,
            ),
        );
    }
}
