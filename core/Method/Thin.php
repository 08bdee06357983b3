<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** Crossing, rubbing, inward and twiggy wood out, nothing shortened. */
final readonly class Thin implements Method
{
    public function key(): string
    {
        return 'thin';
    }

    public function name(): string
    {
        return 'Thin';
    }

    public function rank(): int
    {
        return 30;
    }

    public function cleansFirst(): bool
    {
        return true;
    }

    public function steps(Kind $kind): array
    {
        return [
            'Take out crossing, rubbing, inward and twiggy wood: follow each down to where one cut cures both the rub and the crowding.',
            CutRule::toTheBase(),
            'Shorten nothing that stays: cut to a fork or to the trunk.',
        ];
    }
}
