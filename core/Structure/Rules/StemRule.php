<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure\Rules;

use PruningHook\Core\Structure\Candidate;
use PruningHook\Core\Structure\Rub;
use PruningHook\Core\Structure\StemAim;
use PruningHook\Core\Structure\Survey;

/** One reason for which a skilled eye takes a stem out. The judge asks the rules in the order of work. */
interface StemRule
{
    /** As the reason is headed: "Dead". */
    public function name(): string;

    /** True where it takes what is ill: the lead's word is taken once the plant is clean. */
    public function cleans(): bool;

    /** True where a cut made by a later rule may give it something to say again. */
    public function looksAgain(): bool;

    /**
     * @param  list<Rub>  $rubs  among the stems that still stand
     * @return iterable<Candidate> the one that goes first first; none where the rule finds nothing
     */
    public function candidates(Survey $survey, StemAim $aim, array $rubs): iterable;
}
