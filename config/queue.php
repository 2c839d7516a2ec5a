<?php

declare(strict_types=1);

return [
    // Long planning goes through it. bin/start serves "database" with one worker; with "sync" each request plans by itself.
    'default' => env('QUEUE_CONNECTION', 'sync'),
    'connections' => [
        'sync' => ['driver' => 'sync'],
        'database' => ['driver' => 'database', 'table' => 'jobs', 'queue' => 'planning', 'retry_after' => 150, 'after_commit' => false],
    ],
    // What fails is asked for again by whoever looks at it; a list of failures would help nobody.
    'failed' => ['driver' => 'null'],
];
