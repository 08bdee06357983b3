<?php

declare(strict_types=1);

namespace Tests\Bench;

use Closure;
use Illuminate\Support\Str;
use PDO;
use RuntimeException;
use Symfony\Component\Process\Process;

/**
 * What befalls a machine: the database held by others, the disk full, everything write-protected, an odd path. Pages
 * that only read must be shown, what is sent must be answered in words, and nothing that was acknowledged may be gone
 * after it. A disk of its own, small enough to be filled, wants root.
 */
final class StormFaults
{
    private const DISK_MB = 96;

    /** What is only read, and must be shown whatever is the matter. */
    private const READ = ['/', '/gardens', '/gardens/1', '/round', '/plan', '/record', '/plant-book', '/account'];

    private readonly string $disk;

    private readonly Office $office;

    private bool $isMounted = false;

    private ?Process $worker = null;

    public function __construct(int $port)
    {
        $this->disk = storage_path('bench/disk');
        $this->office = new Office("$this->disk/data/firm.sqlite", $port, [
            'LARAVEL_STORAGE_PATH' => "$this->disk/storage", 'HOOK_FILES' => "$this->disk/files",
        ]);
    }

    /** @param  Closure(string): mixed  $tell */
    public function befall(Closure $tell): bool
    {
        $this->mount();
        $this->office->make();
        $this->office->optimize();
        $this->office->open();
        // As it is served: the worker has the database open all the time.
        $this->worker = $this->office->start([PHP_BINARY, 'artisan', 'queue:work', '--sleep=1', '--quiet'], quiet: true);
        $person = new StormPerson($this->office->address(), 'planner@hollowbrook.test');
        $person->signIn();
        // Every page once, while all is well.
        foreach (self::READ as $page) {
            $person->fetch($page);
        }
        $held = $this->odd($tell) && $this->locked($person, $tell);
        if ($this->isMounted) {
            $held = $this->full($person, $tell) && $held;
        } else {
            $tell('a full disk: not tried, that wants root');
        }
        $sound = (string) $this->office->rows('pragma integrity_check')[0]['integrity_check'];
        $tell("after all of it: integrity_check $sound");

        return $held && $sound === 'ok';
    }

    public function end(): void
    {
        $this->worker?->stop(1);
        $this->office->kill();
        if ($this->isMounted) {
            (new Process(['umount', '-l', $this->disk]))->run();
        }
    }

    private function mount(): void
    {
        is_dir($this->disk) || mkdir($this->disk, 0777, true);
        $mounted = new Process([
            'mount', '-t', 'tmpfs', '-o', 'size='.self::DISK_MB.'M', 'tmpfs', $this->disk,
        ]);
        $this->isMounted = $mounted->run() === 0;
        foreach (['data', 'files', 'storage/logs', 'storage/framework/cache/data', 'storage/framework/sessions',
            'storage/framework/views'] as $folder) {
            is_dir("$this->disk/$folder") || mkdir("$this->disk/$folder", 0777, true);
        }
    }

    /** @param  Closure(string): mixed  $tell */
    private function odd(Closure $tell): bool
    {
        $nobody = new StormPerson($this->office->address(), '');
        $answers = [];
        foreach (['/%00', '/gardens/%00', '/%ff', '/..%2f..%2fetc%2fpasswd'] as $path) {
            [$status, $text] = $this->ask($nobody->open($path));
            $answers[] = $status;
            if (! str_contains($text, 'Content-Security-Policy')) {
                throw new RuntimeException("$path is answered without the headers of a page");
            }
        }
        $tell('odd paths: '.implode(', ', $answers));

        return max($answers) < 500;
    }

    /** @param  Closure(string): mixed  $tell */
    private function locked(StormPerson $person, Closure $tell): bool
    {
        $holder = new PDO("sqlite:{$this->office->file}");
        $holder->exec('begin immediate');
        $read = $this->read($person);
        [$status, $text] = $this->write($person);
        $holder->exec('rollback');
        [$after] = $this->write($person);
        $tell("held by another: pages $read; what is sent $status; after it $after");

        return $read === 'all 200' && $status === 503 && str_contains($text, 'busy') && $after === 302;
    }

    /** @param  Closure(string): mixed  $tell */
    private function full(StormPerson $person, Closure $tell): bool
    {
        $before = $this->plants();
        $task = $this->task();
        (new Process(['dd', 'if=/dev/zero', "of=$this->disk/filler", 'bs=64k']))->run();
        (new Process(['dd', 'if=/dev/zero', "of=$this->disk/filler2", 'bs=512']))->run();
        $read = $this->read($person);
        [$status, $text] = $this->write($person);
        [$entry, $says] = $this->ask($person->json('/entries', ['entries' => [[
            'v' => 1, 'id' => (string) Str::uuid(), 'kind' => 'log', ...$task, 'said_at' => gmdate('c'),
            'corrects' => [], 'body' => ['outcome' => 'done', 'minutes' => 20],
        ]]]));
        unlink("$this->disk/filler");
        unlink("$this->disk/filler2");
        [$after] = $this->write($person);
        $there = $this->plants() - $before;
        $tell(sprintf(
            'disk full: pages %s; a form %d, an entry %d; room again: %d, %d of 1 acknowledged there', $read, $status,
            $entry, $after, $there,
        ));

        return $read === 'all 200' && $status === 507 && str_contains($text, 'The disk is full') && $entry === 507
            && str_contains($says, 'disk is full') && $after === 302 && $there === 1;
    }

    /** @return array{visit: int, task: int} */
    private function task(): array
    {
        $row = $this->office->rows(
            'select visit_id as visit, id as task from visit_tasks where standing = 1 limit 1',
        )[0];

        return ['visit' => (int) $row['visit'], 'task' => (int) $row['task']];
    }

    private function plants(): int
    {
        return (int) $this->office->rows('select count(*) as n from plants')[0]['n'];
    }

    /** @return string how the pages were answered, in words */
    private function read(StormPerson $person): string
    {
        $statuses = [];
        foreach (self::READ as $page) {
            [$status] = $this->ask($person->open($page));
            if ($status !== 200) {
                $statuses[] = "$page $status";
            }
        }

        return $statuses === [] ? 'all 200' : implode(', ', $statuses);
    }

    /** @return array{int, string} status and text */
    private function write(StormPerson $person): array
    {
        return $this->ask($person->post('/gardens/1/plants', [
            'kind' => 'bush-rose', 'label' => 'Fault '.Str::random(8), 'count' => '1',
            '_once' => Str::uuid()->toString(),
        ]));
    }

    /** @return array{int, string} status, and head and text */
    private function ask(\CurlHandle $call): array
    {
        $text = (string) curl_exec($call);

        return [(int) curl_getinfo($call, CURLINFO_RESPONSE_CODE), $text];
    }
}
