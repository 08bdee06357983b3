<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription;

use PruningHook\Core\Method\Kit;
use PruningHook\Core\Reason;
use PruningHook\Core\Working;

/** What a crew is told of a task beside its days, amounts, minutes and cautions. */
final readonly class Told
{
    /**
     * @param  list<string>  $steps
     * @param  list<Reason>  $reasons
     * @param  list<Working>  $workings  how its numbers came about
     */
    public function __construct(
        public array $steps,
        public array $reasons,
        public Kit $kit,
        public array $workings,
    ) {
    }
}
