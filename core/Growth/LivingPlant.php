<?php

declare(strict_types=1);

namespace PruningHook\Core\Growth;

use ArrayObject;

/**
 * A plant as its axes stand at the end of a winter: those of every season up to `season`, and none of the one to come.
 * Parents come before what grows from them.
 */
final readonly class LivingPlant
{
    /** @var ArrayObject<int, Place> where each axis sets out, once it has been asked for */
    private ArrayObject $places;

    /** Wood a node's worth of pipes takes, in mm2: a shoot as thick as a pencil carries fifteen. Common practice. */
    private const PIPE_MM2 = 2.5;

    /** From bud to bud where a leaf is of full size: closer, it is smaller. Common practice. */
    private const FULL_LEAF_MM = 40;

    private const TRIES = 4;

    /** Of its tips, how many stand within its spread: nobody measures to the longest twig. Common practice. */
    private const WIDEST = 0.95;

    /**
     * @param  int  $season  the last that has grown
     * @param  array<int, Axis>  $axes  by id
     * @param  int  $next  id of the next axis
     * @param  float  $roots  of a grown plant's, 0 to 1
     * @param  int  $stood  nodes' worth of live wood that the roots grew for
     * @param  string  $seed  what chance is drawn from
     * @param  float  $facesDeg  which way its first stem went
     * @param  bool  $mirrored  true where its spirals wind the other way
     * @param  array<int, float>  $thicknessFactors  measured thickness over the model's, by the stem's axis
     */
    public function __construct(
        public GrowthKind $kind,
        public int $season,
        public array $axes,
        public int $next,
        public float $roots,
        public int $stood,
        public string $seed,
        public float $facesDeg = 0.0,
        public bool $mirrored = false,
        public array $thicknessFactors = [],
    ) {
        /** @var ArrayObject<int, Place> $places */
        $places = new ArrayObject;
        $this->places = $places;
    }

    /** A number from 0 to 1 that is always the same for the same plant and the same question. */
    public function chance(string $of): float
    {
        return crc32("$this->seed|$of") / 0xFFFFFFFF;
    }

    /** @param  array<int, Axis>  $axes */
    public function having(array $axes): self
    {
        return new self(
            $this->kind, $this->season, $axes, $this->next, $this->roots, $this->stood,
            $this->seed, $this->facesDeg, $this->mirrored, $this->thicknessFactors,
        );
    }

    private function onTrunk(float $by): self
    {
        $habit = $this->kind->habit;

        return new self(
            $this->kind->onTrunk((int) round($by * $habit->trunkMm), $habit->bend / $by), $this->season, $this->axes,
            $this->next, $this->roots, $this->stood, $this->seed, $this->facesDeg, $this->mirrored,
            $this->thicknessFactors,
        );
    }

    /** The same, drawn to another scale: what a plant of the same build that is so tall looks like. */
    public function scaledTo(int $heightMm): self
    {
        $scaled = $this;
        // What is smaller bends less, so that its height does not go quite with its scale.
        for ($try = 0; $try < self::TRIES; $try++) {
            $stands = $scaled->heightMm();
            if ($stands === 0 || $stands === $heightMm) {
                break;
            }
            $by = $heightMm / $stands;
            if ($this->kind->habit->hangs()) {
                // What hangs goes with its stem and its bend: longer on the same one it would lie on the ground.
                $scaled = $scaled->onTrunk($by);
            }
            $scaled = $scaled->having(array_map(static fn (Axis $axis): Axis => $axis->scaled($by), $scaled->axes));
        }

        return $scaled;
    }

    /**
     * Of the same height and so wide, as far as a plant of its build can be: its axes lean more or less. One on wires
     * is as wide as its wires.
     */
    public function spreadTo(int $spreadMm): self
    {
        $spread = $this;
        $height = $this->heightMm();
        $leans = 1.0;
        for ($try = 0; $try < self::TRIES && $this->kind->habit->wireMm === null && $height > 0; $try++) {
            $leans = max(0.4, min(2.5, $leans * $spreadMm / max(1, $spread->spreadMm())));
            $spread = $this->having(
                array_map(static fn (Axis $axis): Axis => $axis->leaning($leans), $this->axes),
            )->scaledTo($height);
        }

        return $spread;
    }

    /** How wide it is where it is widest, in mm: twice what reaches farthest from its middle, but for a few. */
    public function spreadMm(): int
    {
        $out = [];
        foreach ($this->places() as $id => $place) {
            [$x, $y] = $place->node($this->axes[$id]->nodes() - 1);
            $out[] = hypot($x, $y);
        }
        sort($out);

        return $out === [] ? 0 : (int) round(2 * $out[(int) (self::WIDEST * (count($out) - 1))]);
    }

    public function turned(float $byDeg, bool $mirrored = false): self
    {
        return new self(
            $this->kind, $this->season,
            array_map(static fn (Axis $axis): Axis => $axis->turned($byDeg, $mirrored), $this->axes), $this->next,
            $this->roots, $this->stood, $this->seed,
            ($mirrored ? -1 : 1) * $this->facesDeg + $byDeg, $this->mirrored !== $mirrored, $this->thicknessFactors,
        );
    }

    public function nodes(): int
    {
        return array_sum(array_map(static fn (Axis $axis): int => $axis->nodes(), $this->axes));
    }

    /** @return array<int, Place> where each axis sets out, by id */
    public function places(): array
    {
        if (count($this->places) === count($this->axes)) {
            return $this->places->getArrayCopy();
        }
        $places = [];
        $crown = $this->crownMm();
        foreach ($this->axes as $id => $axis) {
            if ($axis->parent === null) {
                $side = deg2rad($axis->fromDeg ?? $axis->azimuthDeg);
                [$x, $y, $z] = [
                    $crown * sin($side), $crown * cos($side),
                    (float) $this->kind->habit->baseMm($axis->node),
                ];
            } else {
                [$x, $y, $z] = $places[$axis->parent]->node($axis->node);
            }
            $places[$id] = new Place(
                $x, $y, $z, $axis->azimuthDeg, $axis->leanDeg, $this->bendOf($axis), $axis->internodeMm,
            );
        }
        $this->places->exchangeArray($places);

        return $places;
    }

    /** The radius of the ring its stems leave the ground on, in mm: as if they stood side by side in a disc. */
    private function crownMm(): float
    {
        $pipes = 0;
        foreach ($this->pipes() as $id => $of) {
            $pipes += $this->axes[$id]->parent === null && ! $this->axes[$id]->isDead() ? $of : 0;
        }

        return $this->kind->habit->trunkMm > 0 || $this->kind->habit->wireMm !== null
            ? 0.0
            : self::thickness($pipes);
    }

    /** In degrees a metre: mains on wires keep the way they were laid; all else bends as its kind does. */
    public function bendOf(Axis $axis): float
    {
        return $this->kind->habit->wireMm !== null && $axis->parent === null ? 0.0 : $this->kind->habit->bend;
    }

    /** @return array{float, float, float} x, y and z of a node, in mm */
    public function pointOf(Place $place, int $node): array
    {
        return $place->node($node);
    }

    /** How high its live wood stands, in mm; where none lives, how high it stood. */
    public function heightMm(): int
    {
        $height = 0.0;
        $isAlive = $this->living() > 0;
        foreach ($this->places() as $id => $place) {
            $axis = $this->axes[$id];
            $live = strlen($isAlive ? rtrim($axis->buds, Axis::DEAD) : $axis->buds);
            if ($live > 0 && $place->z + $live * $axis->internodeMm > $height) {
                // An arch stands highest in its middle.
                $height = max(
                    $height, $this->pointOf($place, $live - 1)[2], $this->pointOf($place, intdiv($live, 2))[2],
                );
            }
        }

        return (int) round($height);
    }

    /**
     * Nodes' worth of pipes at the foot of each axis: its own, those of what grows from it, and those that carried what
     * is gone (pipe model: Shinozaki et al. 1964, from memory).
     *
     * @return array<int, int> by id
     */
    public function pipes(): array
    {
        $pipes = [];
        foreach (array_reverse($this->axes, true) as $id => $axis) {
            $own = ($pipes[$id] ?? 0) + $axis->nodes() + $axis->disused;
            $pipes[$id] = $own;
            if ($axis->parent !== null) {
                $pipes[$axis->parent] = ($pipes[$axis->parent] ?? 0) + $own;
            }
        }

        return $pipes;
    }

    /** Thickness in mm of wood that so many pipes run through. */
    public static function thickness(int $pipes): float
    {
        return 2 * sqrt($pipes * self::PIPE_MM2 / M_PI);
    }

    /**
     * The same of one of its axes: where buds stand close, leaves are small and their pipes thin; and what was measured
     * of its stem stands for what the model makes of it.
     */
    public function thickAt(Axis $axis, int $pipes): float
    {
        return self::thickness($pipes) * min(1.0, $axis->internodeMm / self::FULL_LEAF_MM)
            * ($this->thicknessFactors === [] ? 1.0 : $this->thicknessFactors[$this->stemOf($axis)] ?? 1.0);
    }

    /** Nodes that live, and feed the roots. */
    public function living(): int
    {
        $living = 0;
        foreach ($this->axes as $axis) {
            $living += strlen($axis->buds) - substr_count($axis->buds, Axis::DEAD);
        }

        return $living;
    }

    /** @return array<int, Axis> what rises from the base and lives, by id */
    public function stems(): array
    {
        return array_filter(
            $this->axes, static fn (Axis $axis): bool => $axis->parent === null && ! $axis->isDead(),
        );
    }

    /** @return list<int> ids of what rises from the base, dead or alive, in the order it was made */
    public function fromTheBase(): array
    {
        return array_keys(array_filter($this->axes, static fn (Axis $axis): bool => $axis->parent === null));
    }

    /** The stem an axis stands on, by id. */
    public function stemOf(Axis $axis): int
    {
        while ($axis->parent !== null) {
            $axis = $this->axes[$axis->parent];
        }

        return $axis->id;
    }

    /** Seasons a stem has stood, 1 for one of the last. */
    public function ageOf(Axis $axis): int
    {
        return $this->season - $axis->born() + 1;
    }

    /** @return array<int, list<int>> what grows from each axis, by id */
    public function children(): array
    {
        $children = [];
        foreach ($this->axes as $id => $axis) {
            if ($axis->parent !== null) {
                $children[$axis->parent][] = $id;
            }
        }

        return $children;
    }
}
