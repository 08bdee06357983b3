<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** A top cut at one height year after year: at each knuckle the best shoots stay, and the stubs go. */
final readonly class RestoreLopped implements Method
{
    public function key(): string
    {
        return 'restore-lopped';
    }

    public function name(): string
    {
        return 'Restore a lopped top';
    }

    public function rank(): int
    {
        return 42;
    }

    public function cleansFirst(): bool
    {
        return true;
    }

    public function steps(Kind $kind): array
    {
        return [
            'At each knuckle keep the best one or two shoots, strong and going on the way the limb goes; take the others off.',
            'Shorten the stub into the shoot that stays, so that no dead peg is left.',
            'At each fork keep one leader. Leave half of the knuckles for next year: step back after each and look.',
            CutRule::threeCuts(),
        ];
    }
}
