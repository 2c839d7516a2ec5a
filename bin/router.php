<?php

declare(strict_types=1);

// The front door of PHP's own server: files of the built screens are sent as they are, all else is the application's.

$path = (string) parse_url((string) ($_SERVER['REQUEST_URI'] ?? '/'), PHP_URL_PATH);
$public = dirname(__DIR__).'/public';
$types = ['js' => 'text/javascript', 'css' => 'text/css', 'woff2' => 'font/woff2', 'woff' => 'font/woff', 'svg' => 'image/svg+xml', 'png' => 'image/png', 'json' => 'application/json'];
$file = realpath($public.rawurldecode($path));
$type = $types[strtolower(pathinfo($path, PATHINFO_EXTENSION))] ?? null;
if ($type !== null && $file !== false && str_starts_with($file, $public.'/build/') && is_file($file)) {
    header('Content-Type: '.$type);
    header('X-Content-Type-Options: nosniff');
    header('Cross-Origin-Resource-Policy: same-origin');
    header('Cache-Control: public, max-age=31536000, immutable');
    header('Content-Length: '.filesize($file));
    readfile($file);

    return true;
}

$_SERVER['SCRIPT_FILENAME'] = $public.'/index.php';
$_SERVER['SCRIPT_NAME'] = '/index.php';
require $public.'/index.php';
