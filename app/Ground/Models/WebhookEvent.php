<?php

declare(strict_types=1);

namespace App\Ground\Models;

/** What other programs are told of. */
enum WebhookEvent: string
{
    case Planned = 'visit.planned';
    case Moved = 'visit.moved';
    case Cancelled = 'visit.cancelled';
    case Done = 'visit.done';
    case Stopped = 'visit.stopped';

    public function inWords(): string
    {
        return match ($this) {
            self::Planned => 'Visit planned',
            self::Moved => 'Visit moved to another day or crew',
            self::Cancelled => 'Visit cancelled',
            self::Done => 'Visit done: every task has its log',
            self::Stopped => 'Work stopped: a nest, a power line, a protected tree, bud break or frost',
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
