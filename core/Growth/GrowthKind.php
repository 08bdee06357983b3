<?php

declare(strict_types=1);

namespace PruningHook\Core\Growth;

use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\Figures;
use PruningHook\Core\PlantBook\FloweringWood;
use PruningHook\Core\PlantBook\GrowthHabit;
use PruningHook\Core\PlantBook\HardCutting;
use PruningHook\Core\PlantBook\Kind;

/** How a kind grows: its habit, how many nodes a strong shoot makes in a season, and what it does with its wood. */
final readonly class GrowthKind
{
    /** A strong shoot on a plant that was cut hard is so many times its vigour's usual extension. Common practice. */
    private const STRONG = 2.0;

    /** Of a plant's height, its trunk at the most. Common practice. */
    private const TRUNK = 0.6;

    /**
     * @param  int  $shootNodes  nodes of a shoot that nothing holds back
     * @param  int  $breaksOld  dormant buds that break below a cut into old wood
     * @param  bool  $opposite  true where its buds stand in pairs
     */
    public function __construct(
        public GrowthHabit $habit,
        public int $shootNodes,
        public FloweringWood $wood,
        public int $breaksOld,
        public bool $opposite = false,
    ) {
    }

    /**
     * A kind that flowers on new wood makes the growth before its flowers that the plant book gives; any other twice
     * its vigour's extension.
     */
    public static function of(Kind $kind, GrowthHabit $habit, Figures $figures): self
    {
        $shootMm = $kind->growthMm !== null && $kind->wood !== FloweringWood::Old
            ? self::along(intdiv($kind->growthMm[0] + $kind->growthMm[1], 2), $habit)
            : self::STRONG * $figures->number(self::extension($kind));

        return new self(
            $habit, max(2, (int) round($shootMm * $habit->reach / $habit->internodeMm)), $kind->wood,
            match ($kind->hardCutting) {
                HardCutting::Well => 3,
                HardCutting::Slowly => 2,
                HardCutting::Badly => 0,
            },
            $kind->has('opposite-buds'),
        );
    }

    /** How tall it stands where nobody measured it: on a trunk, a head half as tall as such a plant on its own. */
    public function usualMm(Kind $kind): int
    {
        return max($kind->typicalHeightMm, $this->habit->trunkMm + intdiv($kind->typicalHeightMm, 2));
    }

    /** The same on a trunk of its height: never more than a part of a plant that is so tall. */
    public function fitting(int $heightMm): self
    {
        $trunk = (int) min($this->habit->trunkMm, self::TRUNK * $heightMm);

        return $trunk === $this->habit->trunkMm ? $this : $this->onTrunk($trunk);
    }

    public function onTrunk(int $trunkMm, ?float $bend = null): self
    {
        return new self(
            $this->habit->onTrunk($trunkMm, $bend), $this->shootNodes, $this->wood, $this->breaksOld, $this->opposite,
        );
    }

    /** How long a shoot is that rises by so much: it leans, and bends as it goes. */
    private static function along(int $riseMm, GrowthHabit $habit): float
    {
        $leanDeg = ($habit->lean[0] + $habit->lean[1]) / 2 + $habit->bend * $riseMm / 2000;

        return $riseMm / max(0.5, cos(deg2rad($leanDeg)));
    }

    private static function extension(Kind $kind): Figure
    {
        return $kind->vigour->extension();
    }
}
