<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Fault;

/** What an amount does to the plant: by this it is told apart and kept, whatever it is called. */
enum Effect: string
{
    case OldStemsOut = 'old-stems-out';
    case StemsOut = 'stems-out';
    /** Of this year and the last. */
    case YoungStemsOut = 'young-stems-out';
    /** A share of the stems, where nobody has counted them. */
    case StemsShare = 'stems-share';
    /** The height it is cut to, so that it flowers at another. */
    case CutHeight = 'cut-height';
    /** The height it stood at that day; only ever logged. */
    case HeightBefore = 'height-before';
    case HeightAfter = 'height-after';
    case FloweringHeight = 'flowering-height';
    case ClearStem = 'clear-stem';
    case StemsKept = 'stems-kept';
    case BudsOnLaterals = 'buds-on-laterals';
    case BudsOnCanes = 'buds-on-canes';
    /** Needed on an arm, and kept for each that is needed: the rest are insurance. */
    case CanesPerArm = 'canes-per-arm';
    case CanesKept = 'canes-kept';
    /** On a cane laid down in place of an old one. */
    case BudsOnNewCanes = 'buds-on-new-canes';
    case NodesOnSpurs = 'nodes-on-spurs';
    /** In mm, as wires are. */
    case LateralsApart = 'laterals-apart';
    case WiresApart = 'wires-apart';
    case FirstWire = 'first-wire';
    case Wires = 'wires';
    /** A share of the live growth, which draws on the season's budget. */
    case LiveShare = 'live-share';

    /** @throws Fault where there is no such */
    public static function named(string $name): self
    {
        return self::tryFrom($name) ?? throw new Fault(
            "there is no effect \"$name\"; there are ".implode(', ', array_column(self::cases(), 'value')),
        );
    }
}
