<?php

declare(strict_types=1);

// For PHP's built-in server: files of the build as they are, scripts and styles compressed where the reader takes it,
// everything else through the application.

const TYPES = [
    'js' => 'text/javascript; charset=utf-8', 'css' => 'text/css; charset=utf-8', 'svg' => 'image/svg+xml', 'png' => 'image/png', 'ico' => 'image/x-icon', 'woff2' => 'font/woff2', 'woff' => 'font/woff',
    'json' => 'application/json', 'txt' => 'text/plain; charset=utf-8', 'map' => 'application/json', 'webmanifest' => 'application/manifest+json',
];

$path = rawurldecode((string) parse_url((string) ($_SERVER['REQUEST_URI'] ?? '/'), PHP_URL_PATH));
$port = (int) ($_SERVER['SERVER_PORT'] ?? 0);
// Any other name is refused by the application, for files as for answers.
$isOurs = in_array(strtolower((string) ($_SERVER['HTTP_HOST'] ?? '')), ["127.0.0.1:{$port}", "localhost:{$port}", "[::1]:{$port}"], true);
$type = TYPES[pathinfo($path, PATHINFO_EXTENSION)] ?? null;
$reads = in_array($_SERVER['REQUEST_METHOD'] ?? '', ['GET', 'HEAD'], true);
if ($isOurs && $reads && $type !== null && ! str_contains($path, '..') && ! str_contains($path, "\0") && is_file(__DIR__.'/../public'.$path)) {
    $file = __DIR__.'/../public'.$path;
    $packed = is_file($file.'.gz') && str_contains((string) ($_SERVER['HTTP_ACCEPT_ENCODING'] ?? ''), 'gzip');
    header_remove('X-Powered-By');
    foreach (require __DIR__.'/../config/headers.php' as $name => $value) {
        header("{$name}: {$value}");
    }
    header("Content-Security-Policy: default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'none'");
    header('Content-Type: '.$type);
    if ($packed) {
        header('Content-Encoding: gzip');
        $file .= '.gz';
    }
    header('Content-Length: '.filesize($file));
    header('Vary: Accept-Encoding');
    // A file of the build is named by what is in it; what is not is asked for again.
    header(str_starts_with($path, '/build/') ? 'Cache-Control: public, max-age=31536000, immutable' : 'Cache-Control: no-cache');
    if ($_SERVER['REQUEST_METHOD'] === 'GET') {
        readfile($file);
    }

    return true;
}

$_SERVER['SCRIPT_NAME'] = '/index.php';
require __DIR__.'/../public/index.php';
