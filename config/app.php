<?php

declare(strict_types=1);

return [
    'name' => 'Keen Seam',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    'url' => env('APP_URL', 'http://127.0.0.1:8000'),
    'timezone' => 'UTC',
    'locale' => 'en',
    'fallback_locale' => 'en',
    // Nothing is encrypted: the application keeps no sessions and sets no cookies.
    'key' => null,
    'cipher' => 'AES-256-CBC',
    'maintenance' => ['driver' => 'file'],
];
