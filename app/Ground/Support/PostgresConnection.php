<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Closure;
use Illuminate\Database\PostgresConnection as FrameworkConnection;
use Throwable;

/**
 * PostgreSQL kept to the rules that SQLite has: of two transactions that write, one waits until the other is through,
 * and one that only reads sees one state and keeps nobody waiting. What the product promises then rests on the same
 * ground on either.
 */
final class PostgresConnection extends FrameworkConnection implements ReadsTogether
{
    /** The lock of whoever writes, among those the database server keeps for its users. */
    private const WRITES = 1_346_914_116;

    /** As long as SQLite waits. */
    private const PATIENCE = '5s';

    private bool $reads = false;

    public function reading(Closure $read): mixed
    {
        if ($this->transactions > 0) {
            return $read();
        }
        $this->reads = true;
        try {
            $this->beginTransaction();
        } finally {
            $this->reads = false;
        }
        try {
            return $read();
        } finally {
            // Nothing was written: there is nothing to commit.
            $this->rollBack();
        }
    }

    protected function executeBeginTransactionStatement()
    {
        parent::executeBeginTransactionStatement();
        try {
            $this->getPdo()->exec($this->reads
                ? 'set transaction isolation level repeatable read read only'
                : sprintf(
                    "set local lock_timeout = '%s'; select pg_advisory_xact_lock(%d); set local lock_timeout = 0",
                    self::PATIENCE, self::WRITES,
                ));
        } catch (Throwable $busy) {
            $this->getPdo()->rollBack();

            throw $busy;
        }
    }
}
