<?php

declare(strict_types=1);

namespace PruningHook\Core\Growth;

/** Which stems of a plant rub one another: past the part near the base that does not move, they touch in the wind. */
final readonly class Rubs
{
    /** The share of a stem near its foot that does not move. Common practice, as for surveyed stems. */
    private const STILL = 0.3;

    /** Stems sway together over so much, in mm. Common practice. */
    private const SWAY = 20.0;

    /**
     * @return list<array{int, int, int}> two stems by id and the mm of air between them, less than nothing where one
     *     grows into the other; the tightest first
     */
    public static function of(LivingPlant $plant): array
    {
        $pipes = $plant->pipes();
        $places = $plant->places();
        $lines = [];
        foreach ($plant->stems() as $id => $stem) {
            $half = $plant->thickAt($stem, $pipes[$id]) / 2;
            for ($node = (int) ceil(self::STILL * $stem->nodes()); $node < $stem->nodes(); $node++) {
                $lines[$id][] = [
                    ...$plant->pointOf($places[$id], $node), $half * (1 - 0.75 * $node / max(1, $stem->nodes())),
                ];
            }
        }
        $rubs = [];
        $ids = array_keys($lines);
        foreach ($ids as $index => $a) {
            foreach (array_slice($ids, $index + 1) as $b) {
                $air = self::between($lines[$a], $lines[$b]);
                if ($air < self::SWAY) {
                    $rubs[] = [$a, $b, (int) round($air)];
                }
            }
        }
        usort($rubs, static fn (array $one, array $other): int => $one[2] <=> $other[2]);

        return $rubs;
    }

    /**
     * @param  list<array{float, float, float, float}>  $a  points and half thickness
     * @param  list<array{float, float, float, float}>  $b
     */
    private static function between(array $a, array $b): float
    {
        $least = INF;
        foreach ($a as [$x, $y, $z, $half]) {
            foreach ($b as [$bx, $by, $bz, $other]) {
                $air = sqrt(($x - $bx) ** 2 + ($y - $by) ** 2 + ($z - $bz) ** 2) - $half - $other;
                $least = min($least, $air);
            }
        }

        return $least;
    }
}
