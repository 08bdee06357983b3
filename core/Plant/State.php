<?php

declare(strict_types=1);

namespace PruningHook\Core\Plant;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Fault;

/** What somebody saw of a plant, or settled for it, beside its measures. Lengths in mm; null and false where nobody said. */
final readonly class State
{
    /** Damage, disease and thirst are passing: seen longer ago than this, in days, they are to be looked at again. */
    public const HOLDS_DAYS = 365;

    /** True where nothing at all was said. */
    public bool $isPlain;

    /**
     * @param  ?int  $diebackPercent  of its wood, dead
     * @param  ?string  $disease  key of the plant book
     * @param  ?int  $targetHeightMm  and `$widthMm`: the line a hedge or topiary is held to
     * @param  ?int  $trunkMm  thickness of the thickest trunk
     * @param  ?int  $sides  of a hedge that can be reached
     * @param  ?string  $bearing  of a fruit tree: `spur` or `tip`
     * @param  ?Day  $seen  when upkeep, damage, disease and stress were; null where they hold today
     *
     * @throws Fault where a number cannot be
     */
    public function __construct(
        public ?Upkeep $upkeep = null,
        public ?int $diebackPercent = null,
        public bool $variegated = false,
        public ?Day $transplanted = null,
        public ?string $disease = null,
        public ?Stress $stress = null,
        public bool $container = false,
        public ?string $cultivar = null,
        public ?int $targetHeightMm = null,
        public ?int $widthMm = null,
        public ?int $trunkMm = null,
        public bool $protected = false,
        public ?int $sides = null,
        public bool $boundary = false,
        public bool $exposed = false,
        public ?string $bearing = null,
        public ?Day $seen = null,
    ) {
        $this->isPlain = $upkeep === null && $diebackPercent === null && $transplanted === null && $disease === null && $stress === null
            && $cultivar === null && $targetHeightMm === null && $widthMm === null && $trunkMm === null && $sides === null && $bearing === null
            && ! ($variegated || $container || $protected || $boundary || $exposed);
        if ($diebackPercent !== null && ($diebackPercent < 0 || $diebackPercent > 100)) {
            throw new Fault('die-back lies between 0 and 100 per cent');
        }
        foreach ([$targetHeightMm, $widthMm, $trunkMm] as $length) {
            if ($length !== null && $length < 1) {
                throw new Fault('a length is at least a millimetre');
            }
        }
    }

    /** The same on a later day: what is passing and was seen a year ago no longer counts. */
    public function on(Day $day): self
    {
        if (! $this->isPast($day)) {
            return $this;
        }

        return new self(
            $this->upkeep, null, $this->variegated, $this->transplanted, null, null, $this->container, $this->cultivar, $this->targetHeightMm,
            $this->widthMm, $this->trunkMm, $this->protected, $this->sides, $this->boundary, $this->exposed, $this->bearing, $this->seen,
        );
    }

    /** True where damage, disease or stress was seen so long ago that somebody has to look again. */
    public function isPast(Day $day): bool
    {
        return $this->seen !== null && $this->seen->daysUntil($day) > self::HOLDS_DAYS
            && ($this->diebackPercent !== null || $this->disease !== null || $this->stress !== null);
    }
}
