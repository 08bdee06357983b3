<?php

declare(strict_types=1);

namespace App\Season;

use App\Models\Plant;
use PruningHook\Core\PlantBook\PlantBook;

/** What the rows of the wall are gathered by. */
enum Grouping: string
{
    case Garden = 'garden';
    case Kind = 'kind';
    case Crew = 'crew';

    /** The heading a plant stands under. */
    public function heading(Plant $plant, PlantBook $book): string
    {
        return match ($this) {
            self::Garden => $plant->garden->name,
            self::Kind => $book->kind($plant->kind)->name,
            self::Crew => $plant->garden->crew->name ?? 'No crew yet',
        };
    }
}
