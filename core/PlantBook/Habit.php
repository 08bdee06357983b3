<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

/** What a kind is grown as. */
enum Habit: string
{
    case Shrub = 'shrub';
    case Subshrub = 'subshrub';
    case Climber = 'climber';
    case Tree = 'tree';
    case Hedge = 'hedge';
    case Cane = 'cane';
    case Vine = 'vine';
    case Grass = 'grass';
    case Perennial = 'perennial';

    /** True where no wood of it lasts for years. */
    public function isSoft(): bool
    {
        return in_array($this, [self::Grass, self::Perennial, self::Cane], true);
    }

    /** True where it stands as high each summer as the last: held to a line, or grown anew from the ground. */
    public function keepsItsHeight(): bool
    {
        return $this === self::Hedge || $this->isSoft();
    }

    /** The figure for its thickest wood, by its height. */
    public function thickness(): Figure
    {
        return match ($this) {
            self::Tree => Figure::ThickTree,
            self::Shrub, self::Climber, self::Vine => Figure::ThickShrub,
            default => Figure::ThickCane,
        };
    }
}
