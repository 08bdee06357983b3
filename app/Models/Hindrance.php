<?php

declare(strict_types=1);

namespace App\Models;

/** Why work was not, or not fully, done; taps on the sheet. The value is what is kept, the words are what is shown. */
enum Hindrance: string
{
    case Weather = 'weather';
    case Nest = 'nest';
    case Time = 'time';
    case Client = 'client';
    case Reach = 'reach';
    case Tools = 'tools';
    case Other = 'other';

    public function inWords(): string
    {
        return match ($this) {
            self::Weather => 'Weather',
            self::Nest => 'Nest found',
            self::Time => 'Ran out of time',
            self::Client => 'Client asked',
            self::Reach => 'Could not reach',
            self::Tools => 'Tool or supplies',
            self::Other => 'Other',
        };
    }
}
