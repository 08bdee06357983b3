<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

/** A piece of a stem or branch as it is drawn: a tapering outline in mm, how old its wood is, and whether it goes. */
final readonly class Limb
{
    /**
     * @param  non-empty-list<Spot>  $outline
     * @param  'new'|'last'|'old'|'dead'  $wood  this season's, last season's, older, dead
     */
    public function __construct(public array $outline, public string $wood, public bool $goes)
    {
    }
}
