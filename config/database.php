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
            // A change that was answered is on the disk, whatever happens to the current.
            'synchronous' => 'FULL',
            'busy_timeout' => 5000,
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],
];
