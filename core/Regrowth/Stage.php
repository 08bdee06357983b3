<?php

declare(strict_types=1);

namespace PruningHook\Core\Regrowth;

use PruningHook\Core\Growth\Bloom;
use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Growth\LivingPlant;

/** A plant at one moment of a course. */
final readonly class Stage
{
    /** The moments, in order, as they are called. */
    public const NAMES = [
        'now' => 'As it stands', 'after' => 'After the cut', 'bloom' => 'At its next bloom',
        'one' => 'A year on', 'two' => 'Two years on', 'three' => 'Three years on',
    ];

    /**
     * @param  ?LivingPlant  $left  what will be left of it, where a cut is about to be made
     * @param  ?Bloom  $bloom  where it is in flower
     * @param  int  $removedPercent  of its live wood, in the cut of that season
     * @param  list<Cut>  $cuts  that are about to be made, in their order
     * @param  list<int>  $insurance  axes that stay in case others die
     * @param  ?list<int>  $numbers  of the cuts, as a list beside the picture has them; null where there is none: then
     *     those that carry a number are counted
     */
    public function __construct(
        public LivingPlant $plant,
        public ?LivingPlant $left,
        public ?Bloom $bloom,
        public int $removedPercent,
        public array $cuts = [],
        public array $insurance = [],
        public ?array $numbers = null,
    ) {
    }
}
