<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** All stems to the height from which the new growth flowers where it is wanted. */
final readonly class CutToFloweringHeight implements Method
{
    public function key(): string
    {
        return 'cut-to-flowering-height';
    }

    public function name(): string
    {
        return 'Cut to a flowering height';
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
            'Check each stem from the tip back: green under the bark is alive; brown all the way comes out at the base.',
            'Cut every stem at {=cut height} from the ground.',
            'Step back: it should flower at about {=expected flowering height}.',
            CutRule::overBud($kind),
        ];
    }
}
