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
        // The middle is looked at from the first stem's side on, so that a turned plant has the same openness.
        $turn = $live[0]->azimuthDeg;
        $free = 0;
        for ($ring = 0; $ring < self::RINGS; $ring++) {
            // Rings of equal area.
            $radius = $reach / 2 * sqrt(($ring + 0.5) / self::RINGS);
            for ($spoke = 0; $spoke < self::SPOKES; $spoke++) {
                $angle = deg2rad($turn + 360 * $spoke / self::SPOKES);
                $free += self::isNear($upper, $radius * sin($angle), $radius * cos($angle), self::NEAR * $reach)
                    ? 0
                    : 1;
            }
        }

        return (int) round(100 * $free / (self::RINGS * self::SPOKES));
    }

    /** @param  list<Segment>  $segments */
    private static function isNear(array $segments, float $x, float $y, float $near): bool
    {
        foreach ($segments as $segment) {
            $dx = $segment->to->x - $segment->from->x;
            $dy = $segment->to->y - $segment->from->y;
            $px = $x - $segment->from->x;
            $py = $y - $segment->from->y;
            $length = $dx * $dx + $dy * $dy;
            $along = $length < 1e-9 ? 0.0 : ($px * $dx + $py * $dy) / $length;
            $along = $along < 0.0 ? 0.0 : ($along > 1.0 ? 1.0 : $along);
            $px -= $along * $dx;
            $py -= $along * $dy;
            if ($px * $px + $py * $py < $near * $near) {
                return true;
            }
        }

        return false;
    }
}
