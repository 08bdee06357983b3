<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** The oldest stems out at the base, the young left to replace them. */
final readonly class RenewByThirds implements Method
{
    public function key(): string
    {
        return 'renew-by-thirds';
    }

    public function name(): string
    {
        return 'Renew by thirds';
    }

    public function rank(): int
    {
        return 40;
    }

    public function cleansFirst(): bool
    {
        return true;
    }

    public function steps(Kind $kind): array
    {
        return [
            'Take out {old of all} at the base, the oldest first, where young ones stand ready beside them.',
            'Count the old stems and take out one in three at the base, the oldest first: {share of the stems to take out} of them at the most.',
            'Leave the {=young stems to leave} of young wood as they are.',
            CutRule::toTheBase(),
        ];
    }
}
