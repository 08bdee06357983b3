<?php

declare(strict_types=1);

namespace App\Io\Webhooks;

use Illuminate\Http\Client\ConnectionException;
use Illuminate\Support\Facades\Http;

/** Sends messages over HTTP, to public addresses only, and follows no redirects. */
final readonly class HttpCalls implements CallsOut
{
    private const CONNECT_S = 3;

    private const TIMEOUT_S = 5;

    public function post(string $url, array $headers, string $body): void
    {
        $address = OutsideAddress::of($url);
        try {
            $status = Http::withHeaders(['User-Agent' => 'PruningHook'])
                ->withHeaders($headers)
                ->withBody($body, 'application/json')
                ->connectTimeout(self::CONNECT_S)
                ->timeout(self::TIMEOUT_S)
                ->withoutRedirecting()
                // The address that was checked, whatever the name leads to a moment later.
                ->withOptions(['curl' => [CURLOPT_RESOLVE => [$address->pinned()]], 'stream' => false])
                ->post($url)
                ->status();
        } catch (ConnectionException $failed) {
            throw new NotDelivered(self::inWords($failed->getMessage()), previous: $failed);
        }
        if ($status < 200 || $status > 299) {
            throw new NotDelivered("It answered with status $status.");
        }
    }

    private static function inWords(string $message): string
    {
        return match (true) {
            str_contains($message, 'timed out') => 'It did not answer in time.',
            str_contains($message, 'SSL') || str_contains($message, 'certificate') => 'Its certificate is not valid.',
            default => 'It could not be reached.',
        };
    }
}
