<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

/** Stems round a plant in the order of the ways they go, to tell how evenly the others stand without some of them. */
final readonly class Spread
{
    /** @param  list<array{float, string}>  $ways  degrees and stem, in order */
    private function __construct(private array $ways)
    {
    }

    /** @param  list<Stem>  $stems */
    public static function of(array $stems): self
    {
        $ways = array_map(static fn (Stem $stem): array => [$stem->azimuthDeg, $stem->ref], $stems);
        sort($ways);

        return new self($ways);
    }

    /**
     * The sum of the squared gaps between neighbours, in whole square degrees: the less, the more evenly they stand.
     * Rounded, so that a turned plant gives the same.
     *
     * @param  array<array-key, true>  $without  stems left out, by name
     */
    public function unevenness(array $without): int
    {
        $first = null;
        $last = 0.0;
        $sum = 0.0;
        foreach ($this->ways as [$way, $ref]) {
            if (isset($without[$ref])) {
                continue;
            }
            if ($first === null) {
                $first = $way;
            } else {
                $sum += ($way - $last) * ($way - $last);
            }
            $last = $way;
        }

        return $first === null ? 0 : (int) round($sum + ($first + 360 - $last) ** 2);
    }
}
