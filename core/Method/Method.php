<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** A way of pruning that gardeners have a name for. */
interface Method
{
    public function key(): string;

    public function name(): string;

    /** Place in the order of work on one plant, low first: clean, suckers, thin, renew, shape, tie. */
    public function rank(): int;

    /** True where the plant is cleaned of dead, diseased and damaged wood before anything else. */
    public function cleansFirst(): bool;

    /**
     * What the method asks for on any plant of the kind, in order. `{buds per lateral}` stands for that amount in
     * words, `{=buds per lateral}` for its target alone; a step whose amount is not known is left out.
     *
     * @return list<string>
     */
    public function steps(Kind $kind): array;
}
