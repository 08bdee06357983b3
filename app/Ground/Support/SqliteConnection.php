<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Closure;
use Illuminate\Database\SQLiteConnection as FrameworkConnection;
use PDOException;
use RuntimeException;
use Throwable;

/**
 * SQLite as several processes share it. A transaction that writes takes the write lock as it begins, so that of two at
 * once one waits and neither is turned away half-way through. A transaction that only reads never takes the lock. A
 * connection that SQLite has rolled back by itself (disk full, I/O error) is thrown away: its counter and SQLite's own
 * state no longer agree, and whatever it wrote from then on would never be committed.
 */
final class SqliteConnection extends FrameworkConnection implements ReadsTogether
{
    private string $mode = 'IMMEDIATE';

    public function reading(Closure $read): mixed
    {
        if ($this->transactions > 0) {
            return $read();
        }
        $this->mode = 'DEFERRED';
        try {
            $this->beginTransaction();
        } finally {
            $this->mode = 'IMMEDIATE';
        }
        try {
            $this->getPdo()->exec('PRAGMA query_only = 1');

            return $read();
        } finally {
            // Nothing was written: there is nothing to commit.
            $this->rollBack();
            $this->pdo === null || $this->getPdo()->exec('PRAGMA query_only = 0');
        }
    }

    /** PDO before 8.4 can only begin a deferred transaction of its own: ours is begun in its place. */
    protected function executeBeginTransactionStatement()
    {
        $pdo = $this->getPdo();
        if ($pdo->inTransaction()) {
            $this->reconnect();
            $pdo = $this->getPdo();
        }
        if (PHP_VERSION_ID >= 80400) {
            $pdo->exec("BEGIN $this->mode TRANSACTION");

            return;
        }
        $pdo->beginTransaction();
        $pdo->exec('ROLLBACK');
        try {
            $pdo->exec("BEGIN $this->mode TRANSACTION");
        } catch (PDOException $busy) {
            $pdo->exec('BEGIN');
            $pdo->rollBack();

            throw $busy;
        }
    }

    /** A failed COMMIT leaves PDO and SQLite of different minds about whether a transaction is open. */
    public function commit(): void
    {
        try {
            parent::commit();
        } catch (Throwable $failed) {
            $this->discard();

            throw $failed;
        }
    }

    protected function handleCommitTransactionException(Throwable $e, $currentAttempt, $maxAttempts)
    {
        $this->discard();

        throw $e;
    }

    protected function performRollBack($toLevel)
    {
        try {
            parent::performRollBack($toLevel);
        } catch (PDOException $gone) {
            // SQLite has rolled back the whole transaction already.
            $this->discard();
            if ($toLevel > 0) {
                throw new RuntimeException('the transaction was rolled back as a whole', previous: $gone);
            }
        }
    }

    /** The next query opens a new connection. */
    private function discard(): void
    {
        $this->disconnect();
        $this->transactions = 0;
        $this->transactionsManager?->rollback((string) $this->getName(), 0);
    }
}
