<?php

declare(strict_types=1);

namespace App\Office\Reports;

/** What the hours of a season report are added up by: a chart, a table and a file each. */
enum HoursBy: string
{
    case Garden = 'garden';
    case Kind = 'kind';
    case Crew = 'crew';
    case Season = 'season';

    /** What a group is called, in SQL that every database speaks. */
    public function sql(): string
    {
        return match ($this) {
            self::Garden => 'gardens.name',
            self::Kind => 'plants.kind',
            self::Crew => "coalesce(crews.name, 'No crew')",
            self::Season => 'work_logs.season',
        };
    }

    public function heading(): string
    {
        return 'By '.$this->value;
    }
}
