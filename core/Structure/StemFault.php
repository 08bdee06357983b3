<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

/** What can be wrong with a stem, as the eye sees it at the base. */
enum StemFault: string
{
    case Dead = 'dead';
    case Diseased = 'diseased';
    case Damaged = 'damaged';
    /** From below a graft, or where nobody wants one. */
    case Sucker = 'sucker';
    /** Seen to rub another already. */
    case Rubbing = 'rubbing';
    case Inward = 'inward';
    case Weak = 'weak';
    /** Going nowhere useful: along the ground, into a path, behind a wire. */
    case Nowhere = 'nowhere';
    /** All-green on a variegated plant. */
    case Reverted = 'reverted';
    /** A spike bolting through the middle. */
    case Watershoot = 'watershoot';
    /** Forked where one leader is enough. */
    case Forked = 'forked';
    /** A fork too narrow to hold. */
    case NarrowFork = 'narrow-fork';
    /** StemCut at one height year after year, until it is a knuckle. */
    case Lopped = 'lopped';

    public function inWords(): string
    {
        return str_replace('-', ' ', $this->value);
    }
}
