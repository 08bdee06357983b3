<?php

declare(strict_types=1);

namespace App\Post;

/** A notification that can go as a text message. */
interface GoesByText
{
    public function toText(): string;
}
