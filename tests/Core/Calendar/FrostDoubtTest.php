<?php

declare(strict_types=1);

namespace Tests\Core\Calendar;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\FrostDoubt;
use PruningHook\Core\Calendar\MonthDay;
use PruningHook\Core\PlantBook\Figure;
use Tests\Support\TestBook;

/** Frosts that do not fit the place are questioned, those that do are not. Common practice, no source. */
final class FrostDoubtTest extends TestCase
{
    #[DataProvider('fitting')]
    public function test_frosts_that_fit_their_place_raise_no_question(
        float $latitude,
        string $last,
        string $first,
    ): void {
        self::assertNull(self::doubt($latitude, $last, $first));
    }

    /** @return array<string, array{float, string, string}> */
    public static function fitting(): array
    {
        return [
            'a cool north' => [52, '04-22', '10-28'],
            'the same, mirrored' => [-52, '10-22', '04-28'],
            'a short summer' => [39.2, '06-20', '08-25'],
            'a mild coast, its first frost after new year' => [30, '02-12', '01-20'],
            'a last frost in midwinter' => [51, '12-22', '12-10'],
            'a southern coast' => [-37.8, '09-15', '05-25'],
        ];
    }

    public function test_dates_of_the_other_hemisphere_question_the_latitude(): void
    {
        $doubt = self::doubt(-51.3, '04-22', '10-28');
        self::assertTrue($doubt?->ofPlace);
        self::assertStringContainsString('At 51.3° south', $doubt->says);
        self::assertStringContainsString('did you mean 51.3', $doubt->says);
    }

    public function test_dates_that_fit_only_when_they_change_places_question_their_order(): void
    {
        $doubt = self::doubt(51.3, '11-20', '01-15');
        self::assertFalse($doubt?->ofPlace);
        self::assertStringContainsString('the wrong way round', $doubt->says);
    }

    public function test_one_slipped_date_is_asked_for(): void
    {
        $doubt = self::doubt(51.3, '04-22', '05-28');
        self::assertFalse($doubt?->ofPlace);
        self::assertStringContainsString('Is one of the two dates slipped?', $doubt->says);
    }

    private static function doubt(float $latitude, string $last, string $first): ?FrostDoubt
    {
        $late = TestBook::read()->figures->number(Figure::LateFirstFrost);

        return FrostDoubt::of($latitude, MonthDay::parse($last), MonthDay::parse($first), $late);
    }
}
