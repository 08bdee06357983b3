<?php

declare(strict_types=1);

namespace App\Ground\Upkeep;

use App\Ground\Models\Photo;
use App\Ground\Models\SecurityEvent;
use App\Ground\Models\SecurityEventKind;
use App\Ground\Models\Webhook;
use App\Ground\Support\Busy;
use App\Ground\Support\CannotWrite;
use App\Ground\Support\Dialect;
use App\Ground\Support\Heartbeat;
use App\Ground\Support\Today;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use PDOException;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\PlantBook;
use Throwable;

/** Looks at everything the office rests on, and says of each what is right with it or what to do. */
final readonly class Doctor
{
    private const EXTENSIONS = ['pdo_sqlite', 'mbstring', 'dom', 'gd', 'intl', 'zip', 'zlib'];

    /** What the database must hold to, by what it is asked with. */
    private const KEEPS = [
        'sqlite' => ['pragma journal_mode' => 'wal', 'pragma foreign_keys' => '1', 'pragma synchronous' => '2'],
        'pgsql' => ['show synchronous_commit' => 'on', 'show fsync' => 'on', 'show server_encoding' => 'UTF8'],
    ];

    /** In MB: a day's pictures of a large firm. */
    private const ROOM_MB = 500;

    private const BACKUP_DAYS = 2;

    /** Seconds a job may wait. */
    private const LATE_S = 600;

    /** Files of a folder whose modes are looked at. */
    private const LOOKED_AT = 50;

    /**
     * @return list<array{string, ?string, string}> what was looked at, what is wrong with it, and what is right
     */
    public function look(): array
    {
        $looked = [];
        foreach ([
            ['PHP', fn () => $this->php()], ['settings', fn () => $this->settings()],
            ['database', fn () => $this->database()], ['migrations', fn () => $this->migrations()],
            ['transactions', fn () => $this->transactions()], ['folders', fn () => $this->folders()],
            ['pictures', fn () => $this->pictures()], ['secrets', fn () => $this->secrets()],
            ['disk', fn () => $this->disk()], ['site', fn () => $this->site()],
            ['assets', fn () => $this->assets()], ['plant book', fn () => $this->plantBook()],
            ['backups', fn () => $this->backups()],
            ['worker', fn () => $this->worker()], ['scheduler', fn () => $this->scheduler()],
            ['queue', fn () => $this->queue()], ['webhooks', fn () => $this->webhooks()],
            ['sign-ins', fn () => $this->signIns()],
        ] as [$name, $look]) {
            $looked[] = [$name, ...self::told($look)];
        }

        return $looked;
    }

    /**
     * @param  callable(): array{?string, string}  $look
     * @return array{?string, string}
     */
    private static function told(callable $look): array
    {
        try {
            return $look();
        } catch (Throwable $fault) {
            return [$fault->getMessage(), ''];
        }
    }

    /** @return array{?string, string} */
    private function php(): array
    {
        $missing = array_filter(self::EXTENSIONS, static fn (string $name): bool => ! extension_loaded($name));

        return [
            $missing === [] ? null : 'install the PHP extensions '.implode(', ', $missing),
            PHP_VERSION.', '.Dialect::of(DB::connection())->version(),
        ];
    }

    /** @return array{?string, string} */
    private function settings(): array
    {
        $wrong = array_keys(array_filter([
            'APP_KEY is missing: php artisan key:generate' => config('app.key') === null || config('app.key') === '',
            'APP_DEBUG is on: it tells strangers how the product works' => config('app.debug') === true,
            'HOOK_TODAY is set: the office lives on that one day' => (string) config('hook.today') !== ''
                && app()->environment('production'),
            'APP_URL is no address' => parse_url((string) config('app.url'), PHP_URL_HOST) === null,
        ]));
        try {
            $zone = Today::zone()->getName();
        } catch (Fault $fault) {
            return [$fault->getMessage(), ''];
        }

        return [$wrong === [] ? null : implode('; ', $wrong), config('app.url').", $zone, today ".Today::day()];
    }

    /** @return array{?string, string} */
    private function database(): array
    {
        $file = DatabaseFile::ours();
        if ($file === null) {
            $server = (string) DB::connection()->getConfig('host');

            return [$this->writing("the database on $server"), sprintf('%s, it answers', $server)];
        }
        if (! is_readable($file)) {
            return ["$file cannot be read: is it there, and does it belong to the user the office runs as?", ''];
        }
        $faults = DatabaseFile::faults($file);

        return [
            $faults !== []
                ? implode('; ', array_slice($faults, 0, 5)).'. Restore a backup: ./hook restore FILE'
                : $this->writing($file),
            sprintf('%s, %.1f MB, sound', $file, filesize($file) / 1e6),
        ];
    }

    /** What keeps the database from being written to, and what to do; null where nothing does. */
    private function writing(string $file): ?string
    {
        try {
            DB::beginTransaction();
            DB::table('firms')->increment('revision', 0);
            DB::rollBack();

            return null;
        } catch (PDOException $fault) {
            return match (true) {
                Busy::is($fault) => 'somebody has held it for longer than five seconds: look for a process that hangs',
                CannotWrite::isFull($fault) => 'the disk is full: make room, then restart the worker',
                str_contains($fault->getMessage(), 'readonly') => "$file and its folder cannot be written to: give "
                    .'them back to the user the office runs as (chown, chmod u+w)',
                default => 'it cannot be written to: '.$fault->getMessage(),
            };
        }
    }

    /** @return array{?string, string} */
    private function migrations(): array
    {
        $migrator = app('migrator');
        $ran = $migrator->getRepository()->getRan();
        $waiting = array_diff(array_keys($migrator->getMigrationFiles(database_path('migrations'))), $ran);

        return [
            $waiting === [] ? null : count($waiting).' migrations have not been run: php artisan migrate --force',
            count($ran).' run, none is left',
        ];
    }

    /** @return array{?string, string} */
    private function transactions(): array
    {
        $wrong = [];
        $driver = DB::connection()->getDriverName();
        foreach (self::KEEPS[$driver] ?? [] as $asked => $wanted) {
            $is = DB::scalar($asked);
            if (! is_scalar($is) || (string) $is !== $wanted) {
                $wrong[] = sprintf(
                    '%s is %s, not %s', Str::after($asked, ' '), is_scalar($is) ? $is : 'nothing', $wanted,
                );
            }
        }

        return [
            $wrong === [] ? null : implode('; ', $wrong),
            ($driver === 'sqlite' ? 'WAL, ' : '').'foreign keys, each on the disk before it is kept',
        ];
    }

    /** @return array{?string, string} */
    private function pictures(): array
    {
        $disk = Storage::disk('local');
        $missing = $there = 0;
        foreach (Photo::query()->lazyById(500) as $photo) {
            $disk->exists($photo->path()) ? $there++ : $missing++;
        }

        return [$missing === 0 ? null : "$missing pictures are in the record and not on the disk", "$there, all there"];
    }

    /** @return array{?string, string} */
    private function secrets(): array
    {
        $open = [];
        $ours = DatabaseFile::ours();
        foreach ([
            ...($ours === null ? [] : [$ours, "$ours-wal", ...(array) glob("$ours.before-*")]),
            base_path('.env'), ...(array) glob(storage_path('logs/*.log')),
            ...(array) glob(storage_path('backups/*.zip*')),
            ...array_slice((array) glob(storage_path('framework/sessions/*')), 0, self::LOOKED_AT),
            ...array_slice((array) glob(Storage::disk('local')->path('photos/*.jpg')), 0, self::LOOKED_AT),
        ] as $file) {
            $mode = is_string($file) && is_file($file) ? fileperms($file) : false;
            if ($mode !== false && ($mode & 0o007) !== 0 && ! self::isShut(dirname((string) $file))) {
                $open[] = $file;
            }
        }

        return [
            $open === [] ? null : sprintf(
                'others on this machine can read %s%s: chmod o= them', implode(', ', array_slice($open, 0, 5)),
                count($open) > 5 ? ' and '.(count($open) - 5).' more' : '',
            ),
            'nobody else on this machine',
        ];
    }

    /** @return array{?string, string} */
    private function disk(): array
    {
        $free = (int) (disk_free_space(dirname(DatabaseFile::ours() ?? storage_path('logs'))) / 1e6);

        return [$free < self::ROOM_MB ? "only $free MB are left on the disk: make room" : null, "$free MB free"];
    }

    /**
     * A file is written and deleted in each folder that the office writes to.
     *
     * @return array{?string, string}
     */
    private function folders(): array
    {
        $shut = [];
        $folders = [
            storage_path('logs'), storage_path('framework'), storage_path('framework/views'),
            storage_path('framework/cache'), storage_path('framework/sessions'), base_path('bootstrap/cache'),
            dirname(DatabaseFile::ours() ?? storage_path('logs')), Storage::disk('local')->path(''),
            ...array_filter([Storage::disk('local')->path('photos'), storage_path('backups')], is_dir(...)),
        ];
        foreach (array_unique($folders) as $folder) {
            $file = rtrim($folder, '/').'/.doctor-'.bin2hex(random_bytes(4));
            if (@file_put_contents($file, 'written') !== 7) {
                $shut[] = is_dir($folder) ? $folder : "$folder (missing)";
            }
            @unlink($file);
        }

        return [
            $shut === [] ? null : 'nothing can be written in '.implode(', ', $shut)
                .': make them, and give them to the user the office runs as',
            count(array_unique($folders)).', all can be written to',
        ];
    }

    /** @return array{?string, string} */
    private function site(): array
    {
        return [app()->isDownForMaintenance() ? 'it was taken down: php artisan up' : null, 'not taken down'];
    }

    /**
     * Built files are there, and a web server that runs as somebody else can read them.
     *
     * @return array{?string, string}
     */
    private function assets(): array
    {
        $manifest = public_path('build/manifest.json');
        if (! is_file($manifest)) {
            return ["$manifest is missing: npm ci && npm run build", ''];
        }
        $files = [$manifest, ...(array) glob(public_path('build/assets/*')), public_path('sw.js')];
        $shut = array_filter($files, static fn (mixed $file): bool => is_string($file) && is_file($file)
            && (fileperms($file) & 0o004) === 0);

        return [
            app()->environment('production') && ($shut !== [] || self::isShut(public_path('build/assets')))
                ? 'the web server cannot read '.public_path().': chmod -R o+rX it, and chmod o+x the folders above it'
                : null,
            count($files).' files',
        ];
    }

    /** Whether the folder, or one above it, keeps others out. */
    private static function isShut(string $folder): bool
    {
        for (; $folder !== '/' && $folder !== '.'; $folder = dirname($folder)) {
            if (is_dir($folder) && (fileperms($folder) & 0o001) === 0) {
                return true;
            }
        }

        return false;
    }

    /** @return array{?string, string} */
    private function plantBook(): array
    {
        return [null, count(app(PlantBook::class)->names).' kinds'];
    }

    /** @return array{?string, string} */
    private function backups(): array
    {
        $files = (array) glob(storage_path('backups/*.zip*'));
        $last = $files === [] ? 0 : (int) max(array_map(
            static fn (mixed $file): int => (int) filemtime((string) $file), $files,
        ));

        return [
            $last >= time() - self::BACKUP_DAYS * 86_400
                ? null
                : ($last === 0 ? 'there is none' : 'the last is of '.date('Y-m-d', $last)).': ./hook backup',
            count($files).' kept, the last of '.date('Y-m-d H:i', $last),
        ];
    }

    /** @return array{?string, string} the security log of a week */
    private function signIns(): array
    {
        $count = static fn (SecurityEventKind ...$kinds): int => SecurityEvent::query()->whereIn('kind', $kinds)
            ->where('at', '>=', Carbon::now()->subWeek())->count();

        return [null, sprintf(
            'past 7 days: %d sign-ins, %d failed, %d lock-outs, %d exports, %d API tokens created',
            $count(SecurityEventKind::SignedIn), $count(
                SecurityEventKind::SignInFailed, SecurityEventKind::CodeFailed, SecurityEventKind::PinFailed,
            ),
            $count(SecurityEventKind::LockedOut), $count(SecurityEventKind::Exported),
            $count(SecurityEventKind::TokenMade),
        )];
    }

    /** @return array{?string, string} */
    private function webhooks(): array
    {
        $failing = Webhook::query();
        $failing->whereNotNull('failing_since');
        $told = [];
        foreach ($failing->get() as $webhook) {
            $told[] = sprintf(
                '%s fails since %s%s: %s', parse_url($webhook->url, PHP_URL_HOST),
                $webhook->failing_since?->toDateString(), $webhook->active ? '' : ' and is off',
                lcfirst(rtrim((string) $webhook->last_error, '.')),
            );
        }

        return [$told === [] ? null : implode('; ', $told), Webhook::query()->where('active', true)->count().' active'];
    }

    /** @return array{?string, string} */
    private function worker(): array
    {
        return self::alive(Heartbeat::WORKER, 'start it: systemctl start pruning-hook-worker, or ./hook serve');
    }

    /** @return array{?string, string} */
    private function scheduler(): array
    {
        return self::alive(
            Heartbeat::SCHEDULER, 'no backup is made at night. Start it: systemctl start pruning-hook-scheduler',
        );
    }

    /** @return array{?string, string} */
    private static function alive(string $of, string $cure): array
    {
        $since = Heartbeat::since($of);

        return [
            Heartbeat::isAlive($of) ? null : ($since === null
                ? "never seen at work: $cure"
                : 'last seen at work at '.date('Y-m-d H:i', time() - $since).": $cure"),
            "at work $since seconds ago",
        ];
    }

    /** @return array{?string, string} */
    private function queue(): array
    {
        $oldest = DB::table('jobs')->min('available_at');
        $late = is_numeric($oldest) ? time() - (int) $oldest : 0;
        $failed = DB::table('failed_jobs')->count();

        return [
            match (true) {
                $late > self::LATE_S => DB::table('jobs')->count().' jobs wait, the oldest since '
                    .date('Y-m-d H:i', (int) $oldest).': is the worker running?',
                $failed > 0 => "$failed pieces of work failed: php artisan queue:failed",
                default => null,
            },
            'nothing waits for long',
        ];
    }
}
