<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

/**
 * Which stems rub, now or by next season. Stems are straight pieces in space that taper; next season's are longer and
 * thicker. Where they leave the crown they always crowd and do not move, so only what is above that counts.
 */
final readonly class Clearance
{
    /** The share of a stem near the crown that does not move in the wind. Common practice. */
    public const STILL = 0.3;

    /** A closest approach this far up (as a share of the moving part) counts as coming nearer. */
    private const FURTHER_UP = 0.05;

    /**
     * @param  int  $closeMm  converging stems nearer than this will rub within the year
     * @param  int  $extensionMm  a season's growth in length
     * @param  float  $thickening  a season's growth in thickness, as a share
     */
    public function __construct(
        private int $closeMm,
        private int $extensionMm,
        private float $thickening,
    ) {
    }

    /**
     * @param  list<Stem>  $stems
     * @return list<Rub> the tightest first
     */
    public function rubs(array $stems): array
    {
        $crown = self::crown($stems);
        $next = array_map(fn (Stem $stem): Stem => $stem->grown($this->extensionMm, $this->thickening), $stems);
        // What does not move this year does not next: the moving part begins where it begins now.
        $still = array_map(
            static fn (Stem $stem, Stem $grown): float => self::STILL * $stem->lengthMm / $grown->lengthMm,
            $stems, $next,
        );
        $now = array_map(static fn (Stem $stem): Segment => $stem->from(self::STILL, $crown), $stems);
        $then = array_map(
            static fn (Segment $segment, float $share): Segment => $segment->longer(
                (1 - $share) / $share * self::STILL / (1 - self::STILL),
            ),
            $now, $still,
        );
        // A stem begins to move at the same place and goes the same way next season, only thicker and longer.
        $lines = array_map(
            static fn (Segment $segment, Stem $grown, float $share): array => [
                $segment->from->x, $segment->from->y, $segment->from->z, $segment->to->x - $segment->from->x,
                $segment->to->y - $segment->from->y, $segment->to->z - $segment->from->z,
                $grown->thicknessAt($share) / 2,
            ],
            $now,
            $next,
            $still,
        );
        // The box that holds a moving part next season, and this one's, with half the air that counts as close.
        $boxes = array_map(
            fn (Segment $segment, array $line): array => [
                min($segment->from->x, $segment->to->x) - $line[6] - $this->closeMm / 2,
                max($segment->from->x, $segment->to->x) + $line[6] + $this->closeMm / 2,
                min($segment->from->y, $segment->to->y) - $line[6] - $this->closeMm / 2,
                max($segment->from->y, $segment->to->y) + $line[6] + $this->closeMm / 2,
                min($segment->from->z, $segment->to->z) - $line[6] - $this->closeMm / 2,
                max($segment->from->z, $segment->to->z) + $line[6] + $this->closeMm / 2,
            ],
            $then,
            $lines,
        );
        $rubs = [];
        foreach ($stems as $i => $a) {
            [$axMin, $axMax, $ayMin, $ayMax, $azMin, $azMax] = $boxes[$i];
            [$ax, $ay, $az, $adx, $ady, $adz, $aHalf] = $lines[$i];
            for ($j = $i + 1, $count = count($stems); $j < $count; $j++) {
                $its = $boxes[$j];
                if ($axMin > $its[1] || $its[0] > $axMax || $ayMin > $its[3] || $its[2] > $ayMax
                    || $azMin > $its[5] || $its[4] > $azMax) {
                    continue;
                }
                [$bx, $by, $bz, $bdx, $bdy, $bdz, $bHalf] = $lines[$j];
                $rx = $ax - $bx;
                $ry = $ay - $by;
                $rz = $az - $bz;
                // Both lead away from each other and are apart where they begin: most pairs of a plant are passed over
                // here.
                if ($rx * $adx + $ry * $ady + $rz * $adz >= 0.0 && $rx * $bdx + $ry * $bdy + $rz * $bdz <= 0.0
                    && $rx * $rx + $ry * $ry + $rz * $rz > ($aHalf + $bHalf) ** 2) {
                    continue;
                }
                $rub = $this->between(
                    [$a, $now[$i], self::STILL], [$stems[$j], $now[$j], self::STILL],
                    [$next[$i], $then[$i], $still[$i]], [$next[$j], $then[$j], $still[$j]],
                );
                if ($rub !== null) {
                    $rubs[] = $rub;
                }
            }
        }
        usort(
            $rubs,
            static fn (Rub $a, Rub $b): int => [$a->clearanceNextMm, $a->a, $a->b] <=> [
                $b->clearanceNextMm, $b->a, $b->b,
            ],
        );

        return $rubs;
    }

    /**
     * The radius of the ring the stems leave the ground on, in mm: as if their bases stood side by side in a disc.
     *
     * @param  list<Stem>  $stems
     */
    public static function crown(array $stems): float
    {
        return sqrt(array_sum(array_map(static fn (Stem $stem): float => $stem->baseMm ** 2, $stems)));
    }

    /**
     * Each stem with its moving part and the share of it that does not move, now and next season.
     *
     * @param  array{Stem, Segment, float}  $a
     * @param  array{Stem, Segment, float}  $b
     * @param  array{Stem, Segment, float}  $aNext
     * @param  array{Stem, Segment, float}  $bNext
     */
    private function between(array $a, array $b, array $aNext, array $bNext): ?Rub
    {
        [$air, $s, $t] = self::air($a, $b);
        [$airThen, $sThen, $tThen] = self::air($aNext, $bNext);
        $converging =
            ($s > self::FURTHER_UP && $t > self::FURTHER_UP)
            || ($sThen > self::FURTHER_UP && $tThen > self::FURTHER_UP);
        if ($air > 0 && $airThen > 0 && ! ($converging && min($air, $airThen) < $this->closeMm)) {
            return null;
        }

        return new Rub(
            $a[0]->ref, $b[0]->ref, (int) round($air), (int) round($airThen),
            (int) round($a[1]->from->towards($a[1]->to, $s)->z), $converging,
        );
    }

    /**
     * Air between two barks where they come nearest, and the shares of the moving parts where that is.
     *
     * @param  array{Stem, Segment, float}  $a
     * @param  array{Stem, Segment, float}  $b
     * @return array{float, float, float}
     */
    private static function air(array $a, array $b): array
    {
        [$apart, $s, $t] = $a[1]->nearest($b[1]);

        return [
            $apart - ($a[0]->thicknessAt($a[2] + (1 - $a[2]) * $s) + $b[0]->thicknessAt($b[2] + (1 - $b[2]) * $t)) / 2,
            $s, $t,
        ];
    }
}
