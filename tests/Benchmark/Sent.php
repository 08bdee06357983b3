<?php

declare(strict_types=1);

namespace Tests\Benchmark;

/** What came back of odd requests. */
final class Sent
{
    /** @var array<int, int> answers by status */
    public array $statuses = [];

    /** @var array<string, int> what was not caught, and how often */
    public array $faults = [];

    public int $routes = 0;

    public function broken(): int
    {
        return array_sum($this->faults);
    }
}
