<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use Closure;
use Illuminate\Support\Str;
use PDO;
use PruningHook\Core\Calendar\Day;
use RuntimeException;
use Symfony\Component\Process\Process;

/**
 * What befalls a machine: the database held by others, the disk full or write-protected, a worker killed, a clock set
 * back, assets missing, an odd path. Pages that only read must be shown, what is sent must be answered in words, and
 * nothing that was acknowledged may be gone after it. A disk of its own, small enough to be filled, wants root.
 */
final class StormFaults
{
    private const DISK_MB = 96;

    /** Seconds for which another holds the database. */
    private const HELD_S = 30;

    /** Seconds until what a killed worker left is taken up: the queue gives it out again after sixty. */
    private const TAKEN_UP_S = 120;

    private const PLANNER = 'planner@hollowbrook.test';

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
        $this->worker = $this->work();
        $person = new StormPerson($this->office->address(), self::PLANNER);
        $person->signIn();
        // Every page once, while all is well.
        foreach (self::READ as $page) {
            $person->fetch($page);
        }
        $held = $this->odd($tell) && $this->locked($person, $tell);
        $held = $this->killed($person, $tell) && $held;
        if ($this->isMounted) {
            $held = $this->full($person, $tell) && $held;
            $held = $this->shut($person, $tell) && $held;
        } else {
            $tell('a full and a write-protected disk: not tried, they want root');
        }
        $held = $this->setBack($tell) && $held;
        $held = $this->unbuilt($tell) && $held;
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
        $until = microtime(true) + self::HELD_S;
        $reads = $writes = [];
        do {
            $reads[$this->read($person)] = true;
            [$status, $text] = $this->write($person);
            $writes[$status.(str_contains($text, 'busy') ? ' busy' : '')] = true;
        } while (microtime(true) < $until);
        $holder->exec('rollback');
        [$after] = $this->write($person);
        $tell(sprintf(
            'held by another for %d s: pages %s; what is sent %s; after it %d', self::HELD_S,
            implode(', ', array_keys($reads)), implode(', ', array_keys($writes)), $after,
        ));

        return array_keys($reads) === ['all 200'] && array_keys($writes) === ['503 busy'] && $after === 302;
    }

    /**
     * A worker is killed while it makes a plan; another takes it up.
     *
     * @param  Closure(string): mixed  $tell
     */
    private function killed(StormPerson $person, Closure $tell): bool
    {
        $this->ask($person->post('/plan/drafts', ['weeks' => '6', 'stay' => 'some']));
        $is = fn (): string => (string) $this->office->rows(
            'select status from plan_drafts order by id desc',
        )[0]['status'];
        $wait = static function (callable $until, float $seconds): float {
            $began = microtime(true);
            while (! $until() && microtime(true) - $began < $seconds) {
                usleep(5000);
            }

            return microtime(true) - $began;
        };
        $wait(static fn (): bool => $is() === 'looking', 10);
        $this->worker?->stop(0, 9);
        $left = $is();
        $this->worker = $this->work();
        $seconds = $wait(static fn (): bool => in_array($is(), ['ready', 'failed'], true), self::TAKEN_UP_S);
        $tell(sprintf('a worker killed: the plan was %s; %s after %.0f s', $left, $is(), $seconds));

        return $left === 'looking' && $is() === 'ready';
    }

    /** @param  Closure(string): mixed  $tell */
    private function full(StormPerson $person, Closure $tell): bool
    {
        $before = $this->plants();
        (new Process(['dd', 'if=/dev/zero', "of=$this->disk/filler", 'bs=64k']))->run();
        (new Process(['dd', 'if=/dev/zero', "of=$this->disk/filler2", 'bs=512']))->run();
        $read = $this->read($person);
        [$status, $text] = $this->write($person);
        [$entry, $says] = $this->ask($person->json('/entries', ['entries' => [$this->entry()]]));
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

    /**
     * Whatever is opened from now on cannot be written to; the worker has the database open, as it is served.
     *
     * @param  Closure(string): mixed  $tell
     */
    private function shut(StormPerson $person, Closure $tell): bool
    {
        $before = $this->plants();
        foreach ([['--bind', $this->disk, $this->disk], ['-o', 'remount,ro,bind', $this->disk]] as $options) {
            (new Process(['mount', ...$options]))->mustRun();
        }
        try {
            $read = $this->read($person);
            [$status, $text] = $this->write($person);
            [$entry] = $this->ask($person->json('/entries', ['entries' => [$this->entry()]]));
        } finally {
            (new Process(['umount', $this->disk]))->mustRun();
        }
        [$after] = $this->write($person);
        $tell(sprintf(
            'write-protected: pages %s; a form %d, an entry %d; writable again: %d, %d of 1 acknowledged there', $read,
            $status, $entry, $after, $this->plants() - $before,
        ));

        return $read === 'all 200' && $status === 503 && str_contains($text, 'cannot be written')
            && $entry === 503 && $after === 302 && $this->plants() - $before === 1;
    }

    /**
     * The clock of the machine is set back, by a day and by a year.
     *
     * @param  Closure(string): mixed  $tell
     */
    private function setBack(Closure $tell): bool
    {
        $held = true;
        foreach (['a day' => 1, 'a year' => 365] as $by => $days) {
            $this->office->kill();
            $office = $this->installed(['HOOK_TODAY' => (string) Day::parse(Office::DAY)->minus($days)]);
            [$read, $after] = $this->opened($office);
            $tell("the clock set back $by: pages $read; a form $after");
            $held = $held && $read === 'all 200' && $after === 302;
        }

        return $held;
    }

    /**
     * Styles and scripts were not built: each page says so.
     *
     * @param  Closure(string): mixed  $tell
     */
    private function unbuilt(Closure $tell): bool
    {
        $folder = "$this->disk/installed";
        mkdir($folder);
        foreach (['bootstrap', 'public', 'server.php'] as $own) {
            (new Process(['cp', '-r', base_path($own), "$folder/$own"]))->mustRun();
        }
        (new Process(['rm', '-r', "$folder/public/build"]))->mustRun();
        foreach (array_diff((array) scandir(base_path()), ['.', '..', 'bootstrap', 'public', 'server.php']) as $each) {
            symlink(base_path((string) $each), "$folder/$each");
        }
        $office = $this->installed([], $folder);
        $office->open();
        $nobody = new StormPerson($office->address(), '');
        $text = '';
        for ($status = 0, $tries = 0; $status === 0 && $tries < 100; $tries++) {
            usleep(50_000);
            [$status, $text] = $this->ask($nobody->open('/sign-in'));
        }
        $office->kill();
        $tell("assets missing: $status");

        return $status === 503 && str_contains($text, 'npm run build');
    }

    /** @param  array<string, string>  $settings */
    private function installed(array $settings, ?string $folder = null): Office
    {
        return new Office($this->office->file, $this->office->port + 1, [
            'LARAVEL_STORAGE_PATH' => "$this->disk/storage", 'HOOK_FILES' => "$this->disk/files", ...$settings,
        ], $folder);
    }

    /** @return array{string, int} how pages are answered, and a form */
    private function opened(Office $office): array
    {
        $office->optimize();
        $office->open();
        $person = new StormPerson($office->address(), self::PLANNER);
        $person->signIn();
        $answers = [$this->read($person), $this->write($person)[0]];
        $office->kill();

        return $answers;
    }

    private function work(): Process
    {
        return $this->office->start([
            PHP_BINARY, 'artisan', 'queue:work', '--queue=default,long', '--sleep=1', '--quiet',
        ], quiet: true);
    }

    /** @return array<string, mixed> */
    private function entry(): array
    {
        return [
            'v' => 1, 'id' => (string) Str::uuid(), 'kind' => 'log', ...$this->task(), 'said_at' => gmdate('c'),
            'corrects' => [], 'body' => ['outcome' => 'done', 'minutes' => 20],
        ];
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
