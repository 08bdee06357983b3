<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

/** The events a window hangs on: the first group belongs to the site, the second to the kind growing there. */
enum Anchor: string
{
    /** The midwinter that opens the season. */
    case Midwinter = 'midwinter';
    /** The worst of the winter's cold is over: the coldest day is past, and the normal mean above -2 C. */
    case ColdOver = 'cold-over';
    case LastFrost = 'last-frost';
    case Midsummer = 'midsummer';
    case FirstFrost = 'first-frost';
    /** The first frost of the autumn before the season. */
    case PreviousFirstFrost = 'previous-first-frost';
    /** Forsythia in flower: the crew's sign that early spring has come. */
    case ForsythiaBloom = 'forsythia-bloom';

    case BudBreak = 'bud-break';
    case BloomStart = 'bloom-start';
    case BloomEnd = 'bloom-end';
    case FruitEnd = 'fruit-end';
    case LeafFall = 'leaf-fall';
    /** The leaf fall of the autumn before the season. */
    case PreviousLeafFall = 'previous-leaf-fall';

    /** How a reason names the event. */
    public function inWords(): string
    {
        return match ($this) {
            self::ColdOver => 'the end of hard cold',
            self::LastFrost => 'the average last frost',
            self::FirstFrost => 'the average first frost',
            self::PreviousFirstFrost => 'the first frost of the autumn before',
            self::ForsythiaBloom => 'forsythia in flower',
            self::BloomStart => 'the start of bloom',
            self::BloomEnd => 'the end of bloom',
            self::FruitEnd => 'the end of the crop',
            self::PreviousLeafFall => 'leaf fall of the autumn before',
            default => str_replace('-', ' ', $this->value),
        };
    }
}
