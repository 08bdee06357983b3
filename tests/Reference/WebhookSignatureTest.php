<?php

declare(strict_types=1);

namespace Tests\Reference;

use App\Io\Webhooks\WebhookSignature;
use PHPUnit\Framework\TestCase;

/** Signed messages against the package standardwebhooks, from the npm registry, which receivers use. */
final class WebhookSignatureTest extends TestCase
{
    private const VERIFY = 'import { Webhook } from "standardwebhooks"; import { readFileSync } from "node:fs";
        console.log(JSON.stringify(JSON.parse(readFileSync(0, "utf8")).map(({ secret, headers, body }) => {
            try { return new Webhook(secret).verify(body, headers); } catch (error) { return error.message; }
        })));';

    public function test_a_receiver_takes_what_we_sign_and_nothing_else(): void
    {
        $key = WebhookSignature::key();
        $secret = WebhookSignature::shown($key);
        $now = time();
        $body = '{"type":"visit.planned","data":{"on":"2027-02-20","note":"Größe"}}';
        $headers = WebhookSignature::headers($key, 'msg-1', $now, $body);
        $wrong = 'No matching signature found';
        self::assertSame([
            json_decode($body, true), $wrong, $wrong, $wrong, 'Message timestamp too old',
        ], Node::run(self::VERIFY, [
            ['secret' => $secret, 'headers' => $headers, 'body' => $body],
            ['secret' => $secret, 'headers' => $headers, 'body' => str_replace('20', '21', $body)],
            ['secret' => $secret, 'headers' => ['webhook-id' => 'msg-2'] + $headers, 'body' => $body],
            ['secret' => WebhookSignature::shown(WebhookSignature::key()), 'headers' => $headers, 'body' => $body],
            ['secret' => $secret, 'headers' => WebhookSignature::headers($key, 'msg-1', $now - 400, $body),
                'body' => $body],
        ]));
    }
}
