<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use PruningHook\Core\PlantBook\NameMatch;

/** One line of a list of plants, and what was understood of it. */
final readonly class ListedPlant
{
    /**
     * @param  string  $said  the name as it was written
     * @param  list<NameMatch>  $matches  best first
     * @param  ?string  $kind  the one it stands for beyond doubt
     */
    public function __construct(
        public string $said,
        public int $count,
        public string $label,
        public string $bed,
        public array $matches,
        public ?string $kind,
    ) {
    }
}
