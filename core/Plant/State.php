<?php

declare(strict_types=1);

namespace PruningHook\Core\Plant;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Hemisphere;
use PruningHook\Core\Fault;

/**
 * What somebody saw of a plant, or settled for it, beside its measures. Lengths in mm; null and false where nobody
 * said.
 */
final readonly class State
{
    /** True where nothing at all was said. */
    public bool $isPlain;

    /**
     * @param  ?int  $diebackPercent  of its wood, dead
     * @param  ?string  $disease  key of the plant book
     * @param  ?int  $targetHeightMm  and `$widthMm`: the line a hedge or topiary is held to
     * @param  ?int  $trunkMm  thickness of the thickest trunk
     * @param  ?int  $sides  of a hedge that can be reached
     * @param  ?string  $bearing  of a fruit tree: `spur` or `tip`
     * @param  ?string  $rootstock  of a fruit tree: `dwarfing` or `vigorous`
     * @param  ?string  $growth  of a cane: `erect` or `trailing`
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
        public ?string $rootstock = null,
        public ?string $growth = null,
    ) {
        $this->isPlain =
            $upkeep === null
            && $diebackPercent === null
            && $transplanted === null
            && $disease === null
            && $stress === null
            && $cultivar === null
            && $targetHeightMm === null
            && $widthMm === null
            && $trunkMm === null
            && $sides === null
            && $bearing === null
            && $rootstock === null
            && $growth === null
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

    /** The midwinter from which what was seen on a day no longer counts: by then somebody has to look again. */
    public static function passes(Day $seen, Hemisphere $hemisphere, Keeping $keeping): Day
    {
        $from = $seen->plus($keeping->holdsDays);
        $season = $from->year();
        while ($hemisphere->midwinterOf($season)->isBefore($from)) {
            $season++;
        }

        return $hemisphere->midwinterOf($season);
    }

    /** The same on a later day, when what is passing may no longer count. */
    public function on(Day $day, Hemisphere $hemisphere, Keeping $keeping): self
    {
        $passing = $this->diebackPercent !== null || $this->disease !== null || $this->stress !== null;
        if ($this->seen === null || ! $passing || $day->isBefore(self::passes($this->seen, $hemisphere, $keeping))) {
            return $this;
        }

        return new self(
            $this->upkeep,
            null,
            $this->variegated,
            $this->transplanted,
            null,
            null,
            $this->container,
            $this->cultivar,
            $this->targetHeightMm,
            $this->widthMm,
            $this->trunkMm,
            $this->protected,
            $this->sides,
            $this->boundary,
            $this->exposed,
            $this->bearing,
            $this->seen,
            $this->rootstock,
            $this->growth,
        );
    }
}
