<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

/** One bar of a strip: where it begins, how long it is, both in mm, and what it says. */
final readonly class Bar
{
    /** @param  string  $kind `open`, `best`, `closed`, `bloom` or `done` */
    public function __construct(
        public string $kind,
        public float $x,
        public float $width,
        public string $says,
    ) {
    }
}
