<?php

declare(strict_types=1);

namespace App\Io\Webhooks;

/** Sends a message to a program elsewhere. */
interface CallsOut
{
    /**
     * @param  array<string, string>  $headers
     *
     * @throws NotDelivered where it was not accepted with a status of 200 to 299
     */
    public function post(string $url, array $headers, string $body): void;
}
