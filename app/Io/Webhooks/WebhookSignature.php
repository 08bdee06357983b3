<?php

declare(strict_types=1);

namespace App\Io\Webhooks;

/**
 * Signs a message so that its receiver knows who sent it and that nobody changed it: HMAC-SHA256 (RFC 2104) over id,
 * time and body, as the open Standard Webhooks specification (1.0.0) writes it.
 */
final readonly class WebhookSignature
{
    private const KEY_BYTES = 32;

    private const PREFIX = 'whsec_';

    /** A new key, as it is kept: base64. */
    public static function key(): string
    {
        return base64_encode(random_bytes(self::KEY_BYTES));
    }

    /** The key as a receiver enters it. */
    public static function shown(string $key): string
    {
        return self::PREFIX.$key;
    }

    /**
     * @param  string  $key  base64
     * @param  int  $at  seconds since 1970
     * @return array<string, string>
     */
    public static function headers(string $key, string $id, int $at, string $body): array
    {
        $signature = hash_hmac('sha256', "$id.$at.$body", (string) base64_decode($key, true), true);

        return [
            'webhook-id' => $id, 'webhook-timestamp' => (string) $at,
            'webhook-signature' => 'v1,'.base64_encode($signature),
        ];
    }
}
