<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

/** What a stretch of time asks for against what it holds: a column, with a line where it is full. */
final readonly class LoadBar
{
    /** From this share on a stretch is tight: a wet week, and it is too full. Common practice, no source. */
    private const TIGHT = 0.85;

    /** The line, and the ground, in a picture 32 high; a column ends halfway above the line however much is asked. */
    public const FULL = 10.0;

    public const GROUND = 30.0;

    private const MOST = 1.5;

    /**
     * @param  int  $need  minutes asked for, and `$can` those there are
     * @param  ?string  $week  its Monday, where the stretch is a week
     */
    public function __construct(public string $label, public int $need, public int $can, public ?string $week = null)
    {
    }

    public function isOver(): bool
    {
        return $this->need > $this->can;
    }

    public function isTight(): bool
    {
        return $this->need > self::TIGHT * $this->can;
    }

    /** Of the column, in the picture's units. */
    public function height(): float
    {
        $share = $this->can > 0 ? $this->need / $this->can : ($this->need > 0 ? self::MOST : 0.0);

        return round((self::GROUND - self::FULL) * min(self::MOST, $share), 1);
    }

    public function top(): float
    {
        return self::GROUND - $this->height();
    }

    /** "8 of 40", and whether that is much. */
    public function inWords(): string
    {
        return intdiv($this->need, 60).' of '.intdiv($this->can, 60)
            .($this->isOver() ? ', too much' : ($this->isTight() ? ', tight' : ''));
    }
}
