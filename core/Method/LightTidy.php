<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** Only what offends the eye. */
final readonly class LightTidy implements Method
{
    public function key(): string
    {
        return 'light-tidy';
    }

    public function name(): string
    {
        return 'Light tidy';
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
            'Shorten only the shoots that spoil the outline, each back inside it.',
            CutRule::overBud($kind),
        ];
    }
}
