<?php

declare(strict_types=1);

namespace App\Season;

use App\Ground\Models\Plant;
use PruningHook\Core\Planning\PlantYear;
use PruningHook\Core\Planning\Urgency;
use PruningHook\Core\PlantBook\PlantBook;

/** What the rows of the wall are gathered by. */
enum Grouping: string
{
    case Garden = 'garden';
    case Kind = 'kind';
    case Crew = 'crew';
    /** The most pressing of what a plant is due for. */
    case Urgency = 'urgency';

    /** The key a plant's group goes by in an address. */
    public function key(Plant $plant, PlantYear $year): string
    {
        return (string) match ($this) {
            self::Garden => $plant->garden_id,
            self::Kind => $plant->kind,
            self::Crew => $plant->garden->crew_id ?? 0,
            self::Urgency => $year->mostPressing()->value,
        };
    }

    /** The heading a plant stands under. */
    public function heading(Plant $plant, PlantYear $year, PlantBook $book): string
    {
        return match ($this) {
            self::Garden => $plant->garden->name,
            self::Kind => $book->nameOf($plant->kind),
            self::Crew => $plant->garden->crew->name ?? 'No crew yet',
            self::Urgency => self::pressing($year->mostPressing()),
        };
    }

    public static function pressing(Urgency $urgency): string
    {
        return match ($urgency) {
            Urgency::Closing => 'Closing within two weeks',
            Urgency::Missed => 'Passed and not logged',
            Urgency::Open => 'Open now',
            Urgency::Coming => 'Coming in six weeks',
            Urgency::Done => 'Done',
            Urgency::Later => 'Later',
        };
    }

    /** Groups by urgency stand in a planner's order, all others by name. */
    public function order(string $key, string $heading): string
    {
        return $this === self::Urgency
            ? (string) array_search($key, ['closing', 'missed', 'open', 'coming', 'done', 'later'], true)
            : mb_strtolower($heading);
    }
}
