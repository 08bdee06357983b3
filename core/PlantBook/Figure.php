<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

/**
 * The figures of the trade that hold for every kind and that a gardener may argue with. `plant-book/figures.yaml` gives
 * each its value and its source: `Figures::of(...)->number(Figure::BudsSetAfterBloom)` is 42 days.
 */
enum Figure: string
{
    /** Days from the end of bloom until next year's buds are set. */
    case BudsSetAfterBloom = 'buds-set-after-bloom';
    /** Days before the first frost from which nothing may set growth going. */
    case StopBeforeFirstFrost = 'stop-before-first-frost';
    /** Days after the first frost by which growth has stopped, where the kind has no leaf fall to tell by. */
    case RestAfterFirstFrost = 'rest-after-first-frost';
    /** Days before bud break from which buds are swollen. */
    case SwollenBeforeBudBreak = 'swollen-before-bud-break';
    /** Days after bud break until which a knock takes the shoots off. */
    case TenderAfterBudBreak = 'tender-after-bud-break';
    /** The nesting season, in days after midwinter. */
    case NestingFrom = 'nesting-from';
    case NestingTo = 'nesting-to';
    /** Days for which a nest that was found closes a plant. */
    case NestingPeakFrom = 'nesting-peak-from';
    case NestingPeakTo = 'nesting-peak-to';
    case DiebackHeavy = 'dieback-heavy';
    case NestCloses = 'nest-closes';
    /** Height above which a ladder comes out, in mm. */
    case Reach = 'reach';
    /** Frost that harms fresh cuts, in degrees Celsius. */
    case HardFrost = 'hard-frost';
    /** Days after the cut over which frost still matters. */
    case FrostAfterCut = 'frost-after-cut';
    /** Heat in which people and fresh-cut green suffer, in degrees Celsius. */
    case Heat = 'heat';
    /** Rain that carries disease and makes ladders slip, in mm a day. */
    case Rain = 'rain';
    /** Signs that move a season: fewer say too little. */
    case SignsNeeded = 'signs-needed';
    /** Days by which a sign may be early or late before its date is questioned. */
    case CredibleDays = 'credible-days';
    /** Converging stems with less air than this between them rub within the year, in mm. */
    case RubsWithin = 'rubs-within';
    /** A season's growth in length, in mm, and in thickness, in per cent, by vigour. */
    case ExtensionWeak = 'extension-weak';
    case ExtensionMedium = 'extension-medium';
    case ExtensionStrong = 'extension-strong';
    case ThickeningWeak = 'thickening-weak';
    case ThickeningMedium = 'thickening-medium';
    case ThickeningStrong = 'thickening-strong';
    /** As thick as a pencil, in mm. */
    case Pencil = 'pencil';
    /** Thinner than this share of the usual stem, in per cent, and than a pencil, a stem is weak. */
    case StemThin = 'stem-thin';
    /** Leaning less than this, in degrees, a stem stands in the middle of a bowl. */
    case StemUpright = 'stem-upright';
    /** Stems up to this many years old are young. */
    case YoungStem = 'young-stem';
    /** Thickness of the oldest wood, in mm for each metre of height. */
    case ThickTree = 'thick-tree';
    case ThickShrub = 'thick-shrub';
    case ThickCane = 'thick-cane';
    /** The thickest wood for secateurs and for loppers, in mm. */
    case SecateursTo = 'secateurs-to';
    case LoppersTo = 'loppers-to';
    /** A tie about every so many mm. */
    case TieSpacing = 'tie-spacing';
    /** Loose cuttings, in per cent of the room the wood took on the plant. */
    case CuttingsPerRoom = 'cuttings-per-room';
    /** Loose cuttings of a trim, in litres for each square metre of a hedge's faces and top. */
    case HedgeCuttings = 'hedge-cuttings';
    /** Depth of a trained plant, in mm. */
    case TrainedDepth = 'trained-depth';
    /** Minutes of a hard cut, and of the next cut after a year left out, in per cent of the usual ones. */
    case HardCutTime = 'hard-cut-time';
    case LeftOutTime = 'left-out-time';
    /** Days by which a hard cut delays the flowers of the year's growth. */
    case HardCutLater = 'hard-cut-later';
    /** Years to recover from a hard cut, by how the kind answers it. */
    case RecoverWell = 'recover-well';
    case RecoverSlowly = 'recover-slowly';
    case RecoverBadly = 'recover-badly';
    /** Days between a sign by warmth and by the plant book, above which the published sum does not fit the climate. */
    case WarmthFits = 'warmth-fits';
    /** How far a neighbour's season still tells something, in km. */
    case NeighboursWithin = 'neighbours-within';
    /** Days after midwinter until which the first frost may still come where winters are mild. */
    case LateFirstFrost = 'late-first-frost';
    /** Height of a tree, and thickness of wood, above which the work is an arborist's, in mm. */
    case HandsOffTree = 'hands-off-tree';
    case HandsOffWood = 'hands-off-wood';
    /** Seasons in the ground for which a tree nobody has measured is taken to be small. */
    case YoungTree = 'young-tree';
    /** The most new stems from the base in a season, by vigour. */
    case BasalWeak = 'basal-weak';
    case BasalMedium = 'basal-medium';
    case BasalStrong = 'basal-strong';
    /** What a plant's state is kept by: see `Plant/Keeping`. */
    case StateHolds = 'state-holds';
    case LatePlanting = 'late-planting';
    case BroughtBack = 'brought-back';
    case HedgeTop = 'hedge-top';
    case DoubtSeasons = 'doubt-seasons';
    case DoubtShorter = 'doubt-shorter';
}
