<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

/** The wood a kind carries its flowers or fruit on. */
enum FloweringWood: string
{
    case Old = 'old';
    case New = 'new';
    case Both = 'both';
    case None = 'none';

    public function inWords(): string
    {
        return match ($this) {
            self::Old => "flowers on last year's wood",
            self::New => "flowers on this year's growth",
            self::Both => "flowers on last year's wood and again on new growth",
            self::None => 'is grown for green, not for flowers',
        };
    }
}
