<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use RuntimeException;
use Symfony\Component\Process\Process;

/**
 * An office as it is served: behind nginx and php-fpm, with the very files that docs/deploying.md puts in place, on
 * loopback and on a database of its own. As root, with Debian's packages.
 */
final class ServedOffice
{
    private readonly string $at;

    /** @var list<Process> */
    private array $beside = [];

    public function __construct(private readonly string $database, private readonly int $port)
    {
        $this->at = sys_get_temp_dir().'/served-'.bin2hex(random_bytes(4));
    }

    public function address(): string
    {
        return "https://localhost:$this->port";
    }

    public function open(): void
    {
        foreach ([$this->at, "$this->at/storage", ...array_map(
            fn (string $each): string => "$this->at/storage/$each",
            ['logs', 'framework', 'framework/cache', 'framework/cache/data', 'framework/sessions', 'framework/views'],
        )] as $folder) {
            mkdir($folder, 0777, true);
        }
        $this->run([
            'openssl', 'req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '2', '-subj', '/CN=localhost',
            '-keyout', "$this->at/key.pem", '-out', "$this->at/cert.pem",
        ]);
        $this->run([PHP_BINARY, 'artisan', 'optimize', '--quiet']);
        file_put_contents("$this->at/fpm.conf", "[global]\npid = $this->at/fpm.pid\nerror_log = $this->at/fpm.log\n"
            .$this->filled('php-fpm.conf').implode('', array_map(
                static fn (string $name, string $value): string => "env[$name] = '$value'\n",
                array_keys($this->settings()), $this->settings(),
            )));
        file_put_contents("$this->at/nginx.conf", implode("\n", [
            'user root;', "pid $this->at/nginx.pid;", "error_log $this->at/nginx.log;", 'events {}', 'http {',
            'include /etc/nginx/mime.types;', 'access_log off;', "client_body_temp_path $this->at/body;",
            $this->filled('nginx.conf'), '}', '',
        ]));
        $this->run(['php-fpm'.PHP_MAJOR_VERSION.'.'.PHP_MINOR_VERSION, '-R', '--fpm-config', "$this->at/fpm.conf"]);
        $this->run(['nginx', '-q', '-c', "$this->at/nginx.conf"]);
        foreach (['default', 'long'] as $queue) {
            $worker = new Process(
                [PHP_BINARY, 'artisan', 'queue:work', "--queue=$queue", '--sleep=1', '--quiet'], base_path(),
                $this->settings(), null, null,
            );
            $worker->disableOutput()->start();
            $this->beside[] = $worker;
        }
    }

    public function close(): void
    {
        foreach ($this->beside as $worker) {
            $worker->stop(1);
        }
        foreach (['nginx', 'fpm'] as $server) {
            $pid = @file_get_contents("$this->at/$server.pid");
            $pid === false || posix_kill((int) $pid, SIGTERM);
        }
        usleep(300_000);
        (new Process(['rm', '-rf', $this->at]))->run();
    }

    /** @return array<string, string> */
    private function settings(): array
    {
        return [
            'APP_ENV' => 'production', 'APP_DEBUG' => 'false', 'APP_URL' => $this->address(),
            'APP_KEY' => (string) config('app.key'), 'DB_DATABASE' => $this->database, 'HOOK_TODAY' => Office::DAY,
            'LARAVEL_STORAGE_PATH' => "$this->at/storage", 'HOOK_FILES' => "$this->at/storage",
            'APP_CONFIG_CACHE' => "$this->at/config.php", 'APP_ROUTES_CACHE' => "$this->at/routes.php",
            'APP_EVENTS_CACHE' => "$this->at/events.php",
        ];
    }

    /** A file of docs/deploying with its names in capitals filled in. */
    private function filled(string $file): string
    {
        $names = [
            'PLAINPORT' => (string) ($this->port + 1), 'TLSPORT' => (string) $this->port,
            'ORIGIN' => $this->address(), 'ROOT' => base_path(), 'SOCKET' => "$this->at/fpm.sock",
            'CERT' => "$this->at/cert.pem", 'KEY' => "$this->at/key.pem", 'USER' => 'root', 'WWW' => 'root',
            'HOST' => 'localhost',
        ];

        return (string) preg_replace_callback(
            '/\b('.implode('|', array_keys($names)).')\b/', static fn (array $found): string => $names[$found[1]],
            (string) file_get_contents(base_path("docs/deploying/$file")),
        );
    }

    /** @param  list<string>  $command */
    private function run(array $command): void
    {
        $process = new Process($command, base_path(), $this->settings(), null, 120);
        if ($process->run() !== 0) {
            throw new RuntimeException(implode(' ', $command).': '.$process->getErrorOutput().$process->getOutput());
        }
    }
}
