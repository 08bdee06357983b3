<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/** A neglected shrub brought back over three years: a third of the old stems, half of what is left, the rest. */
final readonly class Renovate implements Method
{
    public function key(): string
    {
        return 'renovate';
    }

    public function name(): string
    {
        return 'Renew over three years';
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
            'Take out {old of all} at the base this year, the oldest first and those in the middle before those outside.',
            'Count the old stems and take out one in three at the base: {share of the stems to take out} of them at the most.',
            'Leave the {=young stems to leave} of young wood whole: they carry the plant while the old goes.',
            'Mark the next to go with a soft tie, so that next year nobody has to choose again.',
            CutRule::toTheBase(),
        ];
    }
}
