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
    /** Canes that have fruited out, this year's kept. */
    case Canes = 'canes';
    /** A few mains that are replaced one by one. */
    case Mains = 'mains';
    /** Only what is wrong comes out; nothing goes for its age. */
    case Tidy = 'tidy';

    public function inWords(): string
    {
        return match ($this) {
            self::Bowl => 'an open bowl',
            self::Thirds => 'renewal by thirds',
            self::Canes => 'renewal of the canes',
            self::Mains => 'a few mains, replaced one by one',
            self::Tidy => 'tidying: nothing goes for its age',
        };
    }
}
