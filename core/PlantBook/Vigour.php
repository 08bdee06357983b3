<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

/** How strongly a kind grows. */
enum Vigour: string
{
    case Weak = 'weak';
    case Medium = 'medium';
    case Strong = 'strong';

    /** A season's growth in length. */
    public function extension(): Figure
    {
        return match ($this) {
            self::Weak => Figure::ExtensionWeak,
            self::Medium => Figure::ExtensionMedium,
            self::Strong => Figure::ExtensionStrong,
        };
    }

    /** A season's growth in thickness. */
    public function thickening(): Figure
    {
        return match ($this) {
            self::Weak => Figure::ThickeningWeak,
            self::Medium => Figure::ThickeningMedium,
            self::Strong => Figure::ThickeningStrong,
        };
    }

    /** The most new stems from the base in a season. */
    public function basalShoots(): Figure
    {
        return match ($this) {
            self::Weak => Figure::BasalWeak,
            self::Medium => Figure::BasalMedium,
            self::Strong => Figure::BasalStrong,
        };
    }
}
