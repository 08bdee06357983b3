<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Fault;

/** What holds of how every plant grows, whatever its build: figures of the plant book, common practice. */
final readonly class GrowthFigures
{
    /**
     * @param  float  $keptAlive  what keeping old wood alive takes of a season's growth at the most, as a share
     * @param  float  $tires  of its strength that a tip loses for each season it has grown
     * @param  float  $leastTip  of its strength that a tip keeps at the least
     * @param  float  $rootsGain  of what roots lack that they make up in a season
     * @param  float  $rootsLose  of a grown plant's roots that a cut of everything costs
     * @param  float  $hard  of the live wood, above which a cut sets the roots back
     * @param  float  $answer  how much more than in a usual season the roots drive where all was cut off
     * @param  float  $fromAStub  strength of what breaks from the ring of buds at the foot of a stub
     * @param  float  $leader  of its fork that a shoot keeps which takes the place of a tip
     * @param  float  $shadedBelow  of the plant's height, below which an inner twig stands in the shade
     * @param  float  $upright  degrees of lean up to which a shoot is upright
     * @param  float  $level  degrees of lean from which it lies level
     * @param  int  $spurNodes  nodes of a spur at the most
     * @param  int  $strongNodes  nodes of a shoot that flowers in full
     * @param  float  $fruitingLateral  of a full shoot, that a cane of two years bears in its second summer
     * @param  float  $hangs  degrees a metre of bend, from which a head hangs
     * @param  int  $clearMm  of the ground, that what hangs does not grow on below
     * @param  int  $vineSpurBuds  of the spur that next year's canes come from, where canes are laid anew
     * @param  int  $vineSpursApartMm  along an arm
     * @param  float  $vineLeastCane  of the buds asked for, what a cane to be laid has at the least
     * @param  int  $vineCrept  times the nodes of a spur, from which its lowest cane has crept out
     * @param  float  $rank  of the longest shoot of its kind, above which a shoot bears no more for being longer
     */
    private function __construct(
        public float $keptAlive,
        public float $tires,
        public float $leastTip,
        public float $rootsGain,
        public float $rootsLose,
        public float $hard,
        public float $answer,
        public float $fromAStub,
        public float $leader,
        public float $shadedBelow,
        public float $upright,
        public float $level,
        public int $spurNodes,
        public int $strongNodes,
        public float $rank,
        public float $fruitingLateral,
        public float $hangs,
        public int $clearMm,
        public int $vineSpurBuds,
        public int $vineSpursApartMm,
        public float $vineLeastCane,
        public int $vineCrept,
    ) {
    }

    /** @throws Fault for one that is missing */
    public static function read(Entry $all): self
    {
        return new self(
            keptAlive: (float) $all->number('kept_alive'),
            tires: (float) $all->number('tires'),
            leastTip: (float) $all->number('least_tip'),
            rootsGain: (float) $all->number('roots_gain'),
            rootsLose: (float) $all->number('roots_lose'),
            hard: (float) $all->number('hard_cut'),
            answer: (float) $all->number('answer'),
            fromAStub: (float) $all->number('stub_answer'),
            leader: (float) $all->number('leader'),
            shadedBelow: (float) $all->number('shaded_below'),
            upright: (float) $all->number('upright_to'),
            level: (float) $all->number('level_from'),
            spurNodes: $all->whole('spur_nodes'),
            strongNodes: $all->whole('strong_nodes'),
            rank: (float) $all->number('rank'),
            fruitingLateral: (float) $all->number('fruiting_lateral'),
            hangs: (float) $all->number('hangs'),
            clearMm: $all->whole('clear_mm'),
            vineSpurBuds: $all->whole('vine_spur_buds', 1),
            vineSpursApartMm: $all->whole('vine_spurs_apart_mm', 0),
            vineLeastCane: (float) $all->number('vine_least_cane'),
            vineCrept: $all->whole('vine_crept', 1),
        );
    }
}
