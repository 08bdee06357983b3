<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

/** One bar of a strip: where it begins, how long it is, both in mm, and what it says. */
final readonly class Bar
{
    private function __construct(
        public string $kind,
        public float $x,
        public float $width,
        public string $says,
    ) {
    }

    /** @param  string  $kind `open`, `best`, `closed`, `bloom` or `done` */
    public static function of(string $kind, float $x, float $width, string $says): self
    {
        return new self($kind, $x, $width, $says);
    }
}
