<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

/** Works out how much, for one plant of a kind. */
interface AmountRule
{
    public function for(AmountCase $case): Amounts;
}
