<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use PruningHook\Core\Drawing\Limb;
use PruningHook\Core\Drawing\Portrait;

/** A plant as it is and as a task leaves it: what goes, the height it is cut at, and where it will flower. */
final readonly class Drawn
{
    /**
     * @param  ?int  $cutMm  where the cut runs, of a task that names a height
     * @param  ?int  $flowersMm  where the flowers are prescribed for
     */
    public function __construct(
        public Portrait $portrait,
        public ?int $cutMm,
        public ?int $flowersMm,
        public string $says,
        public string $restsOn,
        /** true where anything of it goes */
        public bool $isCut,
    ) {
    }

    /** True where wood is kept only in case other wood dies. */
    public function isInsured(): bool
    {
        return array_filter($this->portrait->limbs, static fn (Limb $limb): bool => $limb->isInsurance) !== [];
    }
}
