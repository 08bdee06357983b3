<?php

declare(strict_types=1);

// A mark of the rules in core/: what was worked out by others than these is worked out anew. Kept by `artisan
// optimize`.
$rules = static function (): string {
    $marks = [];
    $files = new RecursiveIteratorIterator(
        new RecursiveDirectoryIterator(dirname(__DIR__).'/core', FilesystemIterator::SKIP_DOTS),
    );
    foreach ($files as $file) {
        assert($file instanceof SplFileInfo);
        $marks[] = $file->getPathname().$file->getSize().$file->getMTime();
    }
    sort($marks);

    return hash('xxh128', implode('|', $marks));
};

return [
    'rules' => $rules(),

    // The day the product takes for today (yyyy-mm-dd), for tests and for looking at a demo in another season.
    'today' => env('HOOK_TODAY'),

    // The station of the plant book round which the demo's gardens lie; where they were drawn, if nobody says.
    'demo_at' => env('HOOK_DEMO_AT'),

    // Other names the office answers under beside that of APP_URL, and the proxies in front of it; with commas between.
    'hosts' => env('HOOK_HOSTS'),
    'proxies' => env('HOOK_PROXIES'),

    // Hosts in our own network that webhooks may be sent to, with commas between; over http too.
    'webhook_hosts' => env('HOOK_WEBHOOK_HOSTS'),

    // What backups are encrypted with; they are not where it is empty.
    'backup_passphrase' => env('HOOK_BACKUP_PASSPHRASE'),

    // The firm's time zone: when its days begin, and what its clocks say.
    'time_zone' => env('HOOK_TIME_ZONE', 'Europe/London'),
];
