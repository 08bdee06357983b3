<?php

declare(strict_types=1);

namespace PruningHook\Core\Growth;

use PruningHook\Core\PlantBook\FloweringWood;

/** What a plant flowers with in a season, and where. Flowers are clusters: trusses, heads, sprays. */
final readonly class Bloom
{
    /** Of its flowers, how many stand below what is called their height from below. Common practice. */
    private const BELOW = 0.9;

    /**
     * @param  int  $heightMm  they stand at in the mean
     * @param  int  $topMm  they reach, but for a few
     * @param  list<array{int, int, float}>  $at  axis, node and how many
     */
    private function __construct(
        public float $flowers,
        public int $heightMm,
        public int $topMm,
        public array $at,
    ) {
    }

    /** On the wood of last season, before this one's has grown. */
    public static function onOld(LivingPlant $plant): self
    {
        if (! in_array($plant->kind->wood, [FloweringWood::Old, FloweringWood::Both], true)) {
            return new self(0, 0, 0, []);
        }
        $places = $plant->places();
        $breaks = new Breaks($plant->kind->habit);
        $at = [];
        foreach ($plant->axes as $id => $axis) {
            [$from, $to] = $axis->ofSeason($plant->season);
            if ($plant->kind->habit->spurs && self::isSpur($axis, $plant)) {
                $at[] = [$id, $axis->nodes() - 1, 1.0];

                continue;
            }
            if ($to <= $from) {
                continue;
            }
            $strength = min(1.0, ($to - $from) / $plant->kind->habit->figures->strongNodes);
            if ($plant->kind->habit->laterals) {
                foreach (array_keys($breaks->along($axis, $places[$id], $from, $to)) as $node) {
                    $at[] = [$id, $node, $strength];
                }

                continue;
            }
            // A rank shoot makes leaf buds: it bears no more than a good one.
            $each = min(1.0, $plant->kind->shootNodes * $plant->kind->habit->figures->rank / ($to - $from));
            for ($node = $from; $node < $to; $node++) {
                if ($axis->buds[$node] === Axis::LIVE) {
                    $at[] = [$id, $node, $each];
                }
            }
        }

        return self::counted($plant, $places, $at);
    }

    /** At the ends of this season's shoots, once they have grown. */
    public static function onNew(LivingPlant $plant): self
    {
        if (! in_array($plant->kind->wood, [FloweringWood::New, FloweringWood::Both], true)) {
            return new self(0, 0, 0, []);
        }
        $at = [];
        foreach ($plant->axes as $id => $axis) {
            [$from, $to] = $axis->ofSeason($plant->season);
            if ($to > $from && $axis->tip !== Axis::DEAD && $axis->tip !== Axis::HEADED && $to === $axis->nodes()) {
                $at[] = [$id, $to - 1, min(1.0, ($to - $from) / $plant->kind->habit->figures->strongNodes)];
            }
        }

        return self::counted($plant, $plant->places(), $at);
    }

    /** A short lateral, grown so or cut so. */
    private static function isSpur(Axis $axis, LivingPlant $plant): bool
    {
        return $axis->parent !== null && $axis->nodes() <= $plant->kind->habit->figures->spurNodes && ! $axis->isDead();
    }

    public function and(self $other): self
    {
        $flowers = $this->flowers + $other->flowers;

        return new self(
            $flowers,
            $flowers > 0.0
                ? (int) round(($this->heightMm * $this->flowers + $other->heightMm * $other->flowers) / $flowers)
                : 0,
            max($this->topMm, $other->topMm), [...$this->at, ...$other->at],
        );
    }

    /**
     * @param  array<int, Place>  $places
     * @param  list<array{int, int, float}>  $at
     */
    private static function counted(LivingPlant $plant, array $places, array $at): self
    {
        $flowers = $height = 0.0;
        $heights = [];
        foreach ($at as [$id, $node, $strength]) {
            $flowers += $strength;
            $stands = $plant->pointOf($places[$id], $node)[2];
            $height += $strength * $stands;
            $heights[] = $stands;
        }
        sort($heights);
        $top = $heights === [] ? 0 : (int) round($heights[(int) (self::BELOW * (count($heights) - 1))]);

        return new self($flowers, $flowers > 0.0 ? (int) round($height / $flowers) : 0, $top, $at);
    }
}
