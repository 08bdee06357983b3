<?php

declare(strict_types=1);

namespace App\Ground\Support;

/**
 * What may take minutes, files and plans, waits in a queue of its own: a second worker takes it, so that letters and
 * what is due never wait for it.
 */
final readonly class LongQueue
{
    public const NAME = 'long';
}
