<?php

declare(strict_types=1);

namespace PruningHook\Core\Method;

use PruningHook\Core\PlantBook\Kind;

/**
 * Where exactly the blade goes. Over a bud no more than 5 mm above it, sloping away (RHS rose pruning, from memory);
 * to a parent branch outside the branch collar (ANSI A300 Part 1, from memory).
 */
final readonly class CutRule
{
    public static function overBud(Kind $kind): string
    {
        return $kind->has('opposite-buds')
            ? 'Cut straight across, just above a pair of buds.'
            : 'Cut 5 mm above an outward bud, sloping gently away from it.';
    }

    /** ANSI A300 Part 1 and ISA best practice (from memory): limbs over about 25 mm. */
    public static function threeCuts(): string
    {
        return 'Limbs over about 25 mm come off in three cuts: from below, from above further out, then the stub outside the collar.';
    }

    public static function toTheBase(): string
    {
        return 'Take each out at the base or at its parent, just outside the branch collar: no stub, and not into the collar.';
    }
}
