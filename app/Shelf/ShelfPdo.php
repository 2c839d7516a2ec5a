<?php

declare(strict_types=1);

namespace App\Shelf;

/**
 * Begins every transaction as the one that will write. SQLite's own beginning takes the lock only at the first write;
 * when another wrote meanwhile that write fails at once instead of waiting. The framework's setting for it needs a
 * newer PHP.
 */
final class ShelfPdo extends \PDO
{
    private bool $isInside = false;

    public function beginTransaction(): bool
    {
        $this->exec('BEGIN IMMEDIATE');

        return $this->isInside = true;
    }

    public function commit(): bool
    {
        $this->exec('COMMIT');
        $this->isInside = false;

        return true;
    }

    public function rollBack(): bool
    {
        $this->isInside = false;
        try {
            $this->exec('ROLLBACK');
        } catch (\PDOException) {
            // A full disk ends the transaction by itself.
        }

        return true;
    }

    public function inTransaction(): bool
    {
        return $this->isInside;
    }
}
