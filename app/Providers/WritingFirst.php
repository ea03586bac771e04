<?php

declare(strict_types=1);

namespace App\Providers;

use Illuminate\Database\SQLiteConnection;
use PDOException;

/**
 * A transaction takes the right to write when it begins, and waits for it: begun as a reader and made a writer later, it
 * would be thrown out where another wrote in between. PDO begins as a reader, and asks for nothing else before PHP 8.4.
 */
final class WritingFirst extends SQLiteConnection
{
    protected function executeBeginTransactionStatement(): void
    {
        $pdo = $this->getPdo();
        // PDO keeps account of the transaction it began; what is under it is begun anew.
        $pdo->beginTransaction();
        $pdo->exec('COMMIT');
        try {
            $pdo->exec('BEGIN IMMEDIATE TRANSACTION');
        } catch (PDOException $e) {
            $pdo->exec('BEGIN');
            $pdo->rollBack();
            throw $e;
        }
    }
}
