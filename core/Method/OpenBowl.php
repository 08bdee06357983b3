<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** A ring of outward stems round an empty centre, each cut low to an outward bud. */
final readonly class OpenBowl implements Method
{
    public function key(): string
    {
        return 'open-bowl';
    }

    public function name(): string
    {
        return 'Open the bowl';
    }

    public function rank(): int
    {
        return 50;
    }

    public function cleansFirst(): bool
    {
        return true;
    }

    public function steps(Kind $kind): array
    {
        return [
            'Take out the oldest and the weakest until {stems to keep} stand in a ring, as seen from above.',
            'Clear the centre: nothing crosses it and nothing grows in.',
            'Shorten the ones that stay to {stem length}.',
            CutRule::overBud($kind),
        ];
    }
}
