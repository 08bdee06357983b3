<?php

declare(strict_types=1);

namespace App\Office\Reports;

use App\Ground\Support\Say;

/**
 * The columns of the hours in a season report: each says here what it adds up, what heads it on the page and how it is
 * shown. Its value heads it in files. The first two are drawn as bars.
 */
enum HoursColumn: string
{
    case Planned = 'planned_minutes';
    case Took = 'took_minutes';
    case Lines = 'lines';

    /** Over the lines of a group, in SQL that every database speaks. */
    public function sql(): string
    {
        return match ($this) {
            self::Planned => 'sum(visit_tasks.minutes)',
            self::Took => 'sum(work_logs.minutes)',
            self::Lines => 'count(*)',
        };
    }

    public function heading(): string
    {
        return match ($this) {
            self::Planned => 'Forecast',
            self::Took => 'Took',
            self::Lines => 'Lines',
        };
    }

    public function shown(int $value): string
    {
        return match ($this) {
            self::Planned, self::Took => Say::minutes($value),
            self::Lines => (string) $value,
        };
    }

    /** All of them, each named as in files. */
    public static function select(): string
    {
        return implode(', ', array_map(
            static fn (self $column): string => $column->sql().' as '.$column->value, self::cases(),
        ));
    }
}
