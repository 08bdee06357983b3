<?php

declare(strict_types=1);

namespace App\Office\Messages;

/** Sends text messages. A real service takes the place of the simulated one in AppServiceProvider. */
interface TextMessages
{
    /** @param  string  $number  as the firm wrote it */
    public function send(string $number, string $text): void;
}
