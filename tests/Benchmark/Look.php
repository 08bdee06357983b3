<?php

declare(strict_types=1);

namespace Tests\Benchmark;

/** One look at a page: what it took and what it asked the database. */
final readonly class Look
{
    /** @param  list<array{sql: string, bindings: array<array-key, mixed>}>  $queries */
    public function __construct(
        public int $status,
        public float $ms,
        public int $bytes,
        public int $peakBytes,
        public array $queries,
    ) {
    }

    /**
     * The queries that only read, with what a word found put aside for those that ask for it.
     *
     * @return list<array{sql: string, bindings: array<array-key, mixed>}>
     */
    public function reads(): array
    {
        return array_values(
            array_filter(
                $this->queries,
                static fn (array $query): bool => preg_match('/^\s*select|\bfound_/i', $query['sql']) === 1,
            ),
        );
    }
}
