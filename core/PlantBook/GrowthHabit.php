<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

/** How plants of one build grow, in figures of the plant book. Lengths in mm, angles in degrees from the upright. */
final readonly class GrowthHabit
{
    /**
     * @param  int  $stems  that rise from the base of a grown plant
     * @param  array{int, int}  $basal  new ones in a season: as a rule, and at the most after a hard cut
     * @param  array{int, int}  $lean  of what rises from the base, least and most
     * @param  float  $bend  degrees that an axis turns outward for each metre; below nothing, upward
     * @param  int  $fork  degrees between a branch and what bears it
     * @param  int  $internodeMm  from bud to bud
     * @param  float  $apical  how far below the tip of an upright shoot buds break, as a share of its length
     * @param  int  $levelEveryMm  from lateral to lateral where a shoot lies level
     * @param  float  $decay  what each order keeps of the strength of the one it grows from
     * @param  float  $reach  of what a shoot of the kind makes, what one of this habit does
     * @param  int  $shoots  full ones that the roots of a grown plant drive in a season
     * @param  float  $rivalry  1 where shoots share evenly; above it the strong take from the weak
     * @param  int  $turn  seasons a stem is good for
     * @param  int  $shade  seasons that an inner twig lives
     * @param  int  $dieback  of last season's tips, in per cent, that winter kills
     * @param  bool  $twoYear  canes flower in their second summer and die
     * @param  bool  $laterals  flowers come on laterals that break, not all along
     * @param  bool  $spurs  short laterals flower year after year
     * @param  ?int  $wireMm  apart, where its mains lie on wires
     * @param  int  $trunkMm  of clear stem under its crown
     * @param  int  $tiers  of arms, one above another at the distance of its wires
     * @param  bool  $dense  true where it stands clothed all year and is seen as a mass
     * @param  GrowthFigures  $figures  that hold for every build
     */
    public function __construct(
        public string $key,
        public int $stems,
        public array $basal,
        public array $lean,
        public float $bend,
        public int $fork,
        public int $internodeMm,
        public float $apical,
        public int $levelEveryMm,
        public float $decay,
        public float $reach,
        public int $shoots,
        public float $rivalry,
        public int $turn,
        public int $shade,
        public int $dieback,
        public bool $twoYear,
        public bool $laterals,
        public bool $spurs,
        public ?int $wireMm,
        public int $trunkMm,
        public int $tiers,
        public bool $dense,
        public GrowthFigures $figures,
    ) {
    }

    /**
     * The same with another trunk, as that of a plant that is not so tall, or taller.
     *
     * @param  ?float  $bend  where its branches bend otherwise as well
     */
    public function onTrunk(int $trunkMm, ?float $bend = null): self
    {
        return new self(
            $this->key, $this->stems, $this->basal, $this->lean, $bend ?? $this->bend, $this->fork, $this->internodeMm,
            $this->apical, $this->levelEveryMm, $this->decay, $this->reach, $this->shoots, $this->rivalry,
            $this->turn, $this->shade, $this->dieback, $this->twoYear, $this->laterals, $this->spurs, $this->wireMm,
            $trunkMm, $this->tiers, $this->dense, $this->figures,
        );
    }

    /** True of a weeping head: its branches are grafted on all at once, and hang. */
    public function hangs(): bool
    {
        return $this->bend >= $this->figures->hangs;
    }

    /** Where a stem rises from: the ground, -1, or the trunk, by its tier from 0. */
    public function base(int $stem): int
    {
        return $this->trunkMm > 0 ? intdiv($stem, 2) % $this->tiers : -1;
    }

    /** How high what rises from such a base sets out, in mm. */
    public function baseMm(int $base): int
    {
        return $base < 0 ? 0 : $this->trunkMm + $base * ($this->wireMm ?? 0);
    }
}
