<?php

declare(strict_types=1);

namespace App\Field;

use App\Ground\Support\Today;

/** A day on which a visit may be planned, or to which it may be moved. */
final readonly class PlanDay
{
    public const MESSAGES = [
        'on.required' => 'Choose the day of the visit.',
        'on.date_format' => 'That is not a day of the calendar.',
        'on.after_or_equal' => 'A visit is planned for today or later.',
        'on.before_or_equal' => 'A visit is planned at most three years ahead.',
    ];

    private const AHEAD_DAYS = 1096;

    /** @return list<string> */
    public static function rules(): array
    {
        $today = Today::day();

        return [
            'bail', 'required', 'date_format:Y-m-d', "after_or_equal:$today",
            'before_or_equal:'.$today->plus(self::AHEAD_DAYS),
        ];
    }
}
