<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** Every branch to a little above last year's cut. */
final readonly class HeadingBack implements Method
{
    public function key(): string
    {
        return 'heading-back';
    }

    public function name(): string
    {
        return 'Head back to last year\'s point';
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
            'Cut each branch {length left above last year\'s cut} above last year\'s cut.',
            'Where the ends have grown into knuckles, cut under the knuckle.',
        ];
    }
}
