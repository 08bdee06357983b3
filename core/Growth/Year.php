<?php

declare(strict_types=1);

namespace PruningHook\Core\Growth;

/**
 * A plant's year: cut in winter, in flower on old wood, cut after bloom, grown, in flower on the new wood, cut in
 * summer, and what winter leaves of it.
 */
final readonly class Year
{
    private function __construct(
        /** at the end of the winter after */
        public LivingPlant $plant,
        public Bloom $bloom,
        /** nodes that were cut off */
        public int $removed,
        /** as it stood in late summer, before it lost anything */
        public LivingPlant $summer,
        /** as it stood in flower */
        public LivingPlant $inBloom,
    ) {
    }

    /**
     * @param  list<Cut>  $winter  made before it flowers or grows
     * @param  list<Cut>  $afterBloom  made when the flowers on old wood are over and before it has grown
     * @param  list<Cut>  $summer  made when it has grown
     *
     * @throws \PruningHook\Core\Fault for a cut on wood that is not there
     */
    public static function of(
        LivingPlant $plant,
        array $winter = [],
        array $afterBloom = [],
        array $summer = [],
    ): self {
        $stands = Cutting::of($plant, $winter);
        $old = Bloom::onOld($stands->plant);
        $flowered = Cutting::of($stands->plant, $afterBloom);
        $grown = Season::grow($flowered->plant);
        $new = Bloom::onNew($grown);
        $cut = Cutting::of($grown, $summer);

        return new self(
            Losses::after($cut->plant), $old->and($new), $stands->removed + $flowered->removed + $cut->removed,
            $cut->plant, $old->flowers > 0.0 && $new->flowers <= $old->flowers ? $stands->plant : $grown,
        );
    }
}
