<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Io\Webhooks\CallsOut;
use App\Io\Webhooks\NotDelivered;

/** A program elsewhere, as a test has it. */
final class RecordedCalls implements CallsOut
{
    /** @var list<array{string, array<string, string>, string}> */
    public array $made = [];

    /** Why it takes nothing; null where it does. */
    public ?string $answers = null;

    public function post(string $url, array $headers, string $body): void
    {
        $this->made[] = [$url, $headers, $body];
        $this->answers === null ?: throw new NotDelivered($this->answers);
    }

    /** @return list<string> */
    public function types(): array
    {
        return array_map(static fn (array $call): string => json_decode($call[2], true)['type'], $this->made);
    }
}
