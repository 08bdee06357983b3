<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** Canes that have fruited out, new ones kept. */
final readonly class CaneRenewal implements Method
{
    public function key(): string
    {
        return 'cane-renewal';
    }

    public function name(): string
    {
        return 'Renew the canes';
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
            'Untie the canes that have fruited and take them out at the base.',
            'Bring long thorny canes out in pieces of about 30 cm.',
            'Keep {canes to keep} to each plant, the strongest of this year.',
        ];
    }
}
