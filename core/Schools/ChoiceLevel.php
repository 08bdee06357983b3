<?php

declare(strict_types=1);

namespace PruningHook\Core\Schools;

/** Who chose a school: the nearest to the plant has the last word. */
enum ChoiceLevel: string
{
    case Plant = 'plant';
    case Garden = 'garden';
    case Firm = 'firm';
    case Default = 'default';

    public function inWords(): string
    {
        return match ($this) {
            self::Plant => 'chosen for this plant',
            self::Garden => 'chosen for this garden',
            self::Firm => "the firm's house practice",
            self::Default => "the plant book's default; nobody has chosen otherwise",
        };
    }
}
