<?php

declare(strict_types=1);

namespace PruningHook\Core\Plant;

/** How a kind grows in one season, as far as a plant's state is carried from year to year. */
final readonly class Growing
{
    /**
     * @param  int  $extensionMm  growth in height
     * @param  int  $tallestMm  no taller by itself
     * @param  int  $basalShoots  the most new stems from the base
     * @param  bool  $keepsItsHeight  true where it is held to a line, or grows anew from the ground each year
     */
    public function __construct(
        public int $extensionMm,
        public int $tallestMm,
        public int $basalShoots,
        public bool $keepsItsHeight,
    ) {
    }

    /**
     * The same, drawn towards what one plant has shown: the kind's figure counts as much as two seasons of its own.
     * Common practice, no source.
     *
     * @param  list<int>  $growthSeenMm
     */
    public function shownBy(array $growthSeenMm): self
    {
        return $growthSeenMm === [] ? $this : new self(
            (int) round((2 * $this->extensionMm + array_sum($growthSeenMm)) / (2 + count($growthSeenMm))),
            $this->tallestMm,
            $this->basalShoots,
            $this->keepsItsHeight,
        );
    }

    /**
     * Growth from the cut to the flowers, of the seasons that have both.
     *
     * @param  array<int, ?int>  $cuts  the height it was cut to, by season, in mm
     * @param  array<int, int>  $flowered  the height it flowered at, by season, in mm
     * @return list<int> in the order of `$flowered`
     */
    public static function seen(array $cuts, array $flowered): array
    {
        $seen = [];
        foreach ($flowered as $season => $height) {
            $cut = $cuts[$season] ?? null;
            if ($cut !== null && $height > $cut) {
                $seen[] = $height - $cut;
            }
        }

        return $seen;
    }
}
