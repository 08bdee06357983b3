<?php

declare(strict_types=1);

/**
 * What PHP's own web server asks for each request: built files, whose names change with what is in them, are sent
 * compressed and kept by the browser for a year; other files of public/ as they are; all else is the application's.
 */
$path = urldecode((string) parse_url($_SERVER['REQUEST_URI'] ?? '/', PHP_URL_PATH));
$public = __DIR__.'/public';
// A path with a zero byte is no file's; the application says so in its own words.
$file = str_contains($path, "\0") ? false : realpath($public.$path);
if ($file === false || ! is_file($file) || ! str_starts_with($file, $public.'/') || str_ends_with($file, '.php')) {
    // The application must not take this script for its own front.
    $_SERVER['SCRIPT_NAME'] = $_SERVER['PHP_SELF'] = '/index.php';
    $_SERVER['SCRIPT_FILENAME'] = $public.'/index.php';
    require $public.'/index.php';

    return true;
}
$types = ['js' => 'text/javascript', 'css' => 'text/css', 'svg' => 'image/svg+xml', 'woff2' => 'font/woff2',
    'json' => 'application/json', 'ico' => 'image/x-icon', 'png' => 'image/png', 'txt' => 'text/plain',
    'webmanifest' => 'application/manifest+json'];
header('Content-Type: '.($types[pathinfo($file, PATHINFO_EXTENSION)] ?? 'application/octet-stream'));
$built = str_starts_with($file, $public.'/build/assets/');
// The service worker decides what a phone keeps: the phone asks for it anew each time.
$kept = $built ? 'public, max-age=31536000, immutable' : ($path === '/sw.js' ? 'no-cache' : 'public, max-age=3600');
header("Cache-Control: $kept");
$accepts = $_SERVER['HTTP_ACCEPT_ENCODING'] ?? '';
foreach ($built ? ['br' => 'br', 'gz' => 'gzip'] : [] as $ending => $encoding) {
    if (preg_match("/\\b$encoding\\b/", $accepts) === 1 && is_file("$file.$ending")) {
        header("Content-Encoding: $encoding");
        header('Vary: Accept-Encoding');
        $file .= ".$ending";
        break;
    }
}
header('Content-Length: '.filesize($file));
if (($_SERVER['REQUEST_METHOD'] ?? 'GET') !== 'HEAD') {
    readfile($file);
}

return true;
