<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

/** A piece of a stem or branch as it is drawn: a tapering outline in mm, how old its wood is, and whether it goes. */
final readonly class Limb
{
    /**
     * @param  ?int  $axis  it is a piece of; null for the trunk
     * @param  non-empty-list<Spot>  $spine  its middle line, from its foot on
     * @param  non-empty-list<Spot>  $outline
     * @param  'new'|'last'|'old'|'dead'  $wood  this season's, last season's, older, dead
     * @param  bool  $isInsurance  it stays in case others die
     */
    public function __construct(
        public ?int $axis,
        public array $spine,
        public array $outline,
        public string $wood,
        public bool $goes,
        public bool $isInsurance = false,
    ) {
    }

    /** @return 'goes'|'insurance'|'new'|'last'|'old'|'dead' how it is drawn */
    public function tone(): string
    {
        return $this->goes ? 'goes' : ($this->isInsurance ? 'insurance' : $this->wood);
    }
}
