<?php

declare(strict_types=1);

// For PHP's built-in server: files of the build as they are, scripts and styles compressed where the reader takes it,
// everything else through the application.

$path = rawurldecode((string) parse_url((string) ($_SERVER['REQUEST_URI'] ?? '/'), PHP_URL_PATH));
if ($path !== '' && $path !== '/' && ! str_contains($path, '..') && ! str_contains($path, "\0") && ! str_ends_with($path, '.php') && is_file(__DIR__.'/../public'.$path)) {
    $packed = __DIR__.'/../public'.$path.'.gz';
    $types = ['js' => 'text/javascript; charset=utf-8', 'css' => 'text/css; charset=utf-8'];
    $type = $types[pathinfo($path, PATHINFO_EXTENSION)] ?? null;
    if ($type === null || ! is_file($packed) || ! str_contains((string) ($_SERVER['HTTP_ACCEPT_ENCODING'] ?? ''), 'gzip')) {
        return false;
    }
    header('Content-Type: '.$type);
    header('Content-Encoding: gzip');
    header('Content-Length: '.filesize($packed));
    header('Vary: Accept-Encoding');
    header('X-Content-Type-Options: nosniff');
    // A file of the build is named by what is in it.
    header('Cache-Control: public, max-age=31536000, immutable');
    readfile($packed);

    return true;
}

$_SERVER['SCRIPT_NAME'] = '/index.php';
require __DIR__.'/../public/index.php';
