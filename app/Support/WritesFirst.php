<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Database\SQLiteConnection;
use PDOException;

/**
 * Every stroke begins by writing: of two that come at the same moment one waits for the other, where else the second
 * would be turned away in the middle, having read what is no longer so.
 */
final class WritesFirst extends SQLiteConnection
{
    /** PHP before 8.4 knows only of strokes it began itself: it begins one, which is put in another's place. */
    protected function executeBeginTransactionStatement()
    {
        if (PHP_VERSION_ID >= 80400) {
            parent::executeBeginTransactionStatement();

            return;
        }
        $pdo = $this->getPdo();
        $pdo->beginTransaction();
        $pdo->exec('ROLLBACK');
        try {
            $pdo->exec('BEGIN IMMEDIATE TRANSACTION');
        } catch (PDOException $busy) {
            $pdo->exec('BEGIN');
            $pdo->rollBack();

            throw $busy;
        }
    }
}
