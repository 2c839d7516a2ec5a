<?php

declare(strict_types=1);

// One SQLite file holds everything a quilter makes. WAL lets several requests read while one writes.
return [
    'default' => 'sqlite',
    'connections' => [
        'sqlite' => [
            'driver' => 'sqlite',
            'database' => env('DB_DATABASE', storage_path('keen-seam.sqlite')),
            'prefix' => '',
            'foreign_key_constraints' => true,
            'journal_mode' => 'WAL',
            'synchronous' => 'NORMAL',
            'busy_timeout' => 5000,
            'transaction_mode' => 'IMMEDIATE',
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],
];
