<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use PDO;
use RuntimeException;
use Symfony\Component\Process\Process;

/** An office of its own on a database of its own, with the demo's firm, that can be killed and begun anew. */
final class Office
{
    public const DAY = '2027-03-08';

    private ?Process $server = null;

    /**
     * @param  array<string, string>  $settings  of its own, beside the database and the day
     * @param  ?string  $folder  where it is installed; null is here
     */
    public function __construct(
        public readonly string $file,
        public readonly int $port,
        private readonly array $settings = [],
        private readonly ?string $folder = null,
    ) {
    }

    public function address(): string
    {
        return "http://127.0.0.1:$this->port";
    }

    public function make(): void
    {
        @mkdir(dirname($this->file), recursive: true);
        foreach (['', '-wal', '-shm'] as $part) {
            if (is_file($this->file.$part)) {
                unlink($this->file.$part);
            }
        }
        touch($this->file);
        foreach ((array) glob("$this->file.served/*.php") as $kept) {
            unlink((string) $kept);
        }
        foreach ([['migrate', '--force'], ['db:seed', '--class=DemoSeeder', '--force']] as $command) {
            $made = $this->start([PHP_BINARY, 'artisan', ...$command, '--quiet']);
            if ($made->wait() !== 0) {
                throw new RuntimeException($made->getErrorOutput().$made->getOutput());
            }
        }
    }

    /** Settings and routes are read once and compiled code is kept, as a server does it. */
    public function optimize(): void
    {
        $this->start([PHP_BINARY, 'artisan', 'optimize', '--quiet'])->wait();
    }

    public function open(): void
    {
        // A group of its own, so that its workers die with it.
        $this->server = $this->start([
            'setsid', PHP_BINARY, '-d', 'opcache.enable_cli=1', '-d', 'variables_order=EGPCS', '-S',
            "127.0.0.1:$this->port", '-t', 'public', 'server.php',
        ], quiet: true);
    }

    /** As power that goes. */
    public function kill(): void
    {
        while (($pid = $this->server?->getPid()) !== null && $this->server->isRunning()) {
            // Just begun, it has no group of its own yet.
            posix_kill(-$pid, 9) || posix_kill($pid, 9);
            usleep(10_000);
        }
        $this->server = null;
    }

    /** @return list<array<string, scalar>> */
    public function rows(string $sql): array
    {
        $found = (new PDO("sqlite:$this->file"))->query($sql);
        if ($found === false) {
            throw new RuntimeException("no answer to: $sql");
        }
        /** @var list<array<string, scalar>> $rows */
        $rows = $found->fetchAll(PDO::FETCH_ASSOC);

        return $rows;
    }

    /**
     * @param  list<string>  $command
     * @param  bool  $quiet  throws away what it says: a server writes a line a request, and stands still for good once
     *   nobody reads them
     */
    public function start(array $command, bool $quiet = false): Process
    {
        $kept = "$this->file.served";
        is_dir($kept) || mkdir($kept, 0777, true);
        $process = new Process($command, $this->folder ?? base_path(), [
            'DB_DATABASE' => $this->file, 'HOOK_TODAY' => self::DAY, 'PHP_CLI_SERVER_WORKERS' => '4',
            'APP_URL' => $this->address(), 'APP_CONFIG_CACHE' => "$kept/config.php",
            'APP_ROUTES_CACHE' => "$kept/routes.php", 'APP_EVENTS_CACHE' => "$kept/events.php", ...$this->settings,
        ], null, null);
        $quiet && $process->disableOutput();
        $process->start();

        return $process;
    }
}
