<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

/**
 * How open the middle of a plant is, as seen from above: the share of the disc over half its reach that no stem's upper
 * half comes near. 100 % is a bowl, 0 % a thicket.
 */
final readonly class Openness
{
    /** Rings and spokes of the points looked at. */
    private const RINGS = 4;

    private const SPOKES = 12;

    /** A stem shades this far to each side, as a share of the plant's reach. */
    private const NEAR = 0.1;

    /**
     * @param  list<Stem>  $stems
     * @return int per cent
     */
    public static function of(array $stems): int
    {
        $live = array_values(array_filter($stems, static fn (Stem $stem): bool => ! $stem->has(StemFault::Dead)));
        if ($live === []) {
            return 100;
        }
        $crown = Clearance::crown($live);
        $upper = array_map(static fn (Stem $stem): Segment => $stem->from(0.5, $crown), $live);
        $reach =
            array_sum(
                array_map(
                    static fn (Stem $stem): float => $crown + $stem->lengthMm * sin(deg2rad($stem->leanDeg)),
                    $live,
                ),
            ) / count($live);
        $near = self::NEAR * $reach;
        $lines = array_map(static fn (Segment $segment): array => self::line($segment, $near), $upper);
        // Rings of equal area.
        $radii = array_map(
            static fn (int $ring): float => $reach / 2 * sqrt(($ring + 0.5) / self::RINGS), range(0, self::RINGS - 1),
        );
        // The middle is looked at from the first stem's side on, so that a turned plant has the same openness.
        $turn = $live[0]->azimuthDeg;
        $free = 0;
        for ($spoke = 0; $spoke < self::SPOKES; $spoke++) {
            $angle = deg2rad($turn + 360 * $spoke / self::SPOKES);
            [$east, $north] = [sin($angle), cos($angle)];
            foreach ($radii as $radius) {
                $free += self::isNear($lines, $radius * $east, $radius * $north, $near * $near) ? 0 : 1;
            }
        }

        return (int) round(100 * $free / (self::RINGS * self::SPOKES));
    }

    /**
     * A segment seen from above, with the box outside of which nothing is near it: most points are passed over by that.
     *
     * @return array{float, float, float, float, float, float, float, float, float} west, east, south and north of the
     *     box, where it begins, which way it goes, and its length squared
     */
    private static function line(Segment $segment, float $near): array
    {
        [$from, $to] = [$segment->from, $segment->to];
        [$dx, $dy] = [$to->x - $from->x, $to->y - $from->y];

        return [
            min($from->x, $to->x) - $near, max($from->x, $to->x) + $near,
            min($from->y, $to->y) - $near, max($from->y, $to->y) + $near,
            $from->x, $from->y, $dx, $dy, $dx * $dx + $dy * $dy,
        ];
    }

    /**
     * @param  list<array{float, float, float, float, float, float, float, float, float}>  $lines
     * @param  float  $near  squared
     */
    private static function isNear(array $lines, float $x, float $y, float $near): bool
    {
        foreach ($lines as $line) {
            if ($x < $line[0] || $x > $line[1] || $y < $line[2] || $y > $line[3]) {
                continue;
            }
            [, , , , $fromX, $fromY, $dx, $dy, $length] = $line;
            $px = $x - $fromX;
            $py = $y - $fromY;
            $along = $length < 1e-9 ? 0.0 : ($px * $dx + $py * $dy) / $length;
            $along = $along < 0.0 ? 0.0 : ($along > 1.0 ? 1.0 : $along);
            $px -= $along * $dx;
            $py -= $along * $dy;
            if ($px * $px + $py * $py < $near) {
                return true;
            }
        }

        return false;
    }
}
