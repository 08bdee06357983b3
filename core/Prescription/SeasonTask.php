<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription;

use PruningHook\Core\Calendar\Window;

/**
 * When one task of one plant falls in a season, how long it takes and who can do it: all that planning asks for,
 * without the steps, amounts and reasons of the full prescription.
 */
final readonly class SeasonTask
{
    /**
     * @param  string  $key  as the plant book has it
     * @param  int  $minutes  for one gardener
     * @param  int  $people  who must be there at once
     * @param  list<string>  $skills  what the hands must be able to handle: `ladder`, `saw`, `shears`
     * @param  ?string  $handsOff  why the crew leaves it to an arborist; null where it is theirs
     */
    public function __construct(
        public string $key,
        public string $name,
        public string $methodKey,
        public int $season,
        public Window $window,
        public int $minutes,
        public int $people,
        public array $skills,
        public ?string $handsOff = null,
    ) {
    }
}
