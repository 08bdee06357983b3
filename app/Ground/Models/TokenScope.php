<?php

declare(strict_types=1);

namespace App\Ground\Models;

/** What a token lets a program read. */
enum TokenScope: string
{
    case Gardens = 'gardens:read';
    case Plants = 'plants:read';
    case Due = 'due:read';
    case Visits = 'visits:read';
    case Logs = 'logs:read';
    case Hours = 'hours:read';

    public function inWords(): string
    {
        return match ($this) {
            self::Gardens => 'Gardens, with client names and addresses',
            self::Plants => 'Plants',
            self::Due => 'Work due',
            self::Visits => 'Visits',
            self::Logs => 'Work logs, with notes',
            self::Hours => 'Hours by crew',
        };
    }

    /** @return array<string, string> in words, by value */
    public static function named(): array
    {
        $named = [];
        foreach (self::cases() as $each) {
            $named[$each->value] = $each->inWords();
        }

        return $named;
    }
}
