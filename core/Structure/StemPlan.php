<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

/** What the stems are chosen for. */
enum StemPlan: string
{
    /** An open ring of a few stems round an empty middle. */
    case Bowl = 'bowl';
    /** The oldest third out each year. */
    case Thirds = 'thirds';
    /** The old out at once, as far as may go. */
    case AtOnce = 'at-once';
    /** Canes that have fruited out, this year's kept. */
    case Canes = 'canes';
    /** A few mains that are replaced one by one. */
    case Mains = 'mains';
    /** Everything to a low framework or to the ground. */
    case Whole = 'whole';
    /** Only what is wrong comes out; nothing goes for its age. */
    case Tidy = 'tidy';

    /** True where young stems take the place of old ones. */
    public function renews(): bool
    {
        return in_array($this, [self::Bowl, self::Thirds, self::AtOnce, self::Canes, self::Mains], true);
    }

    /** True where so many of the old go by number, whatever they weigh. */
    public function goesByNumber(): bool
    {
        return $this === self::Thirds || $this === self::AtOnce;
    }

    /** True where what goes is weighed against the budget, and not counted. */
    public function isWeighed(): bool
    {
        return in_array($this, [self::Bowl, self::Mains, self::Tidy], true);
    }

    public function inWords(): string
    {
        return match ($this) {
            self::Bowl => 'an open bowl',
            self::Thirds => 'renewal by thirds',
            self::Canes => 'renewal of the canes',
            self::Mains => 'a few mains, replaced one by one',
            self::AtOnce => 'the old out at once',
            self::Whole => 'cutting everything down',
            self::Tidy => 'tidying: nothing goes for its age',
        };
    }
}
