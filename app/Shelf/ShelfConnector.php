<?php

declare(strict_types=1);

namespace App\Shelf;

use Illuminate\Database\Connectors\SQLiteConnector;

/** Opens the shelf's database; see ShelfPdo. */
final class ShelfConnector extends SQLiteConnector
{
    /**
     * @param string                  $dsn
     * @param string|null             $username
     * @param string|null             $password
     * @param array<array-key, mixed> $options
     */
    protected function createPdoConnection($dsn, $username, #[\SensitiveParameter] $password, $options): \PDO
    {
        return new ShelfPdo($dsn, $username, $password, $options);
    }
}
