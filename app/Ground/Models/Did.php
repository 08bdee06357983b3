<?php

declare(strict_types=1);

namespace App\Ground\Models;

/** What a change did to a row. */
enum Did: string
{
    case Made = 'made';
    case Changed = 'changed';
    case TakenOut = 'taken-out';
    case BroughtBack = 'back';

    public function inWords(): string
    {
        return match ($this) {
            self::Made => 'made',
            self::Changed => 'changed',
            self::TakenOut => 'taken out',
            self::BroughtBack => 'brought back',
        };
    }
}
