<?php

declare(strict_types=1);

namespace App\Office\Messages;

/** A notification that can go as a text message. */
interface GoesByText
{
    public function toText(): string;
}
