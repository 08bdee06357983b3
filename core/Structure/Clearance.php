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
        $parts = array_map(fn (Stem $stem): MovingPart => $this->movingPart($stem, $crown), $stems);
        $rubs = [];
        foreach ($parts as $i => $a) {
            for ($j = $i + 1, $count = count($parts); $j < $count; $j++) {
                $rub = $a->isFarFrom($parts[$j]) ? null : $this->between($a, $parts[$j]);
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

    /** What does not move this year does not next: the moving part begins where it does now, and goes the same way. */
    private function movingPart(Stem $stem, float $crown): MovingPart
    {
        $grown = $stem->grown($this->extensionMm, $this->thickening);
        $still = self::STILL * $stem->lengthMm / $grown->lengthMm;
        $now = $stem->from(self::STILL, $crown);
        $times = (1 - $still) / $still * self::STILL / (1 - self::STILL);

        return new MovingPart($stem, $now, $grown, $now->longer($times), $still, $times, $this->closeMm);
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

    private function between(MovingPart $a, MovingPart $b): ?Rub
    {
        [$apart, $sThen, $tThen] = $a->then->nearest($b->then);
        // What moves now is a piece of what moves next season, and no thicker: it comes no nearer either.
        if ($apart > $a->halfMm + $b->halfMm + $this->closeMm) {
            return null;
        }
        $airThen = $apart - ($a->thicknessThen($sThen) + $b->thicknessThen($tThen)) / 2;
        [$s, $t] = [$sThen * $a->times, $tThen * $b->times];
        if ($s > 1.0 || $t > 1.0) {
            [$apart, $s, $t] = $a->now->nearest($b->now);
        }
        $air = $apart - ($a->thicknessNow($s) + $b->thicknessNow($t)) / 2;
        $converging =
            ($s > self::FURTHER_UP && $t > self::FURTHER_UP)
            || ($sThen > self::FURTHER_UP && $tThen > self::FURTHER_UP);
        if ($air > 0 && $airThen > 0 && ! ($converging && min($air, $airThen) < $this->closeMm)) {
            return null;
        }

        return new Rub(
            $a->stem->ref, $b->stem->ref, (int) round($air), (int) round($airThen),
            (int) round($a->now->from->towards($a->now->to, $s)->z), $converging,
        );
    }
}
