<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription;

use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\PlantBook\PairedTask;
use PruningHook\Core\Reason;

/** The pass before was missed: what that costs this one. */
final readonly class MissedPass
{
    private function __construct(
        public float $factor,
        public string $step,
        public Reason $reason,
    ) {
    }

    /** @param  ?LoggedWork  $other what the record says of the other pass, if anything */
    public static function of(PairedTask $pair, string $name, int $season, ?LoggedWork $other): self
    {
        // Half done leaves half of the extra work.
        $factor = $other?->outcome === Outcome::Partly ? 1 + ($pair->factor - 1) / 2 : $pair->factor;

        return new self($factor, $pair->step, new Reason('Missed pass', sprintf(
            '%s of season %d was %s, so this pass takes about %s times as long',
            lcfirst($name),
            $season,
            $other?->outcome->inWords() ?? 'not done: the record has no line for it',
            rtrim(rtrim(number_format($factor, 1), '0'), '.'),
        ), $pair->source));
    }
}
