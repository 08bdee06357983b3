<?php

declare(strict_types=1);

namespace App\Ground\Models;

/** Why work was not, or not fully, done; taps on the sheet. The value is what is kept, the words are what is shown. */
enum Hindrance: string
{
    case Weather = 'weather';
    case Nest = 'nest';
    case Time = 'time';
    case Client = 'client';
    case Reach = 'reach';
    case Tools = 'tools';
    case PowerLine = 'power-line';
    case ProtectedTree = 'protected-tree';
    case BudBreak = 'bud-break';
    case Frost = 'frost';
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
            self::PowerLine => 'Power line near',
            self::ProtectedTree => 'Protected tree',
            self::BudBreak => 'Buds have broken',
            self::Frost => 'Frost tonight',
            self::Other => 'Other',
        };
    }

    /** Whether the work must stop for it, whatever anybody would like, and somebody be told. */
    public function isStop(): bool
    {
        return in_array($this, [self::Nest, self::PowerLine, self::ProtectedTree, self::BudBreak, self::Frost], true);
    }

    /** What the crew does about a stop, before anything else. */
    public function whatToDo(): string
    {
        return match ($this) {
            self::Nest => 'Nobody cuts near a nest in use: leave it quietly and mark the place.',
            self::PowerLine => 'Keep well away, with poles and ladders too: the line\'s owner clears it.',
            self::ProtectedTree => 'It needs consent first: the office asks for it.',
            self::BudBreak => 'The buds have broken: shortened now it bleeds or loses its flowers.',
            self::Frost => 'Fresh cuts and frozen wood suffer: wait until it has passed.',
            default => '',
        };
    }

    /** @return list<self> */
    public static function stops(): array
    {
        return array_values(array_filter(self::cases(), static fn (self $why): bool => $why->isStop()));
    }
}
