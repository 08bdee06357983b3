<?php

declare(strict_types=1);

namespace PruningHook\Core\Units;

/**
 * Sentences with lengths in them, as "Cut 5 mm above a bud" or "canes 0.9 to 1.2 m long", told in another system. Rain
 * is no length anybody lays a rule to, and stays as the gauge reads it.
 */
final readonly class Prose
{
    private const UNITS = ['mm' => 1.0, 'cm' => 10.0, 'm' => 1000.0];

    /** One length, or the two ends of a span in one unit. */
    private const LENGTHS = '/(?<![\w.,\/])(?:(\d+(?:\.\d+)?)( to | or | and |[-–]| x ))?(\d+(?:\.\d+)?)\s(mm|cm|m)\b'
        .'(?![²³]| of rain)/u';

    public static function in(System $system, string $text): string
    {
        return $system === System::Metric ? $text : (string) preg_replace_callback(
            self::LENGTHS,
            static function (array $found): string {
                $say = static fn (string $number): string => Length::ofMm(
                    (int) round((float) $number * self::UNITS[$found[4]]),
                )->imperial();

                return $found[1] === '' ? $say($found[3]) : $say($found[1]).$found[2].$say($found[3]);
            },
            $text,
        );
    }
}
