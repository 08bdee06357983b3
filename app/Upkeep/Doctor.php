<?php

declare(strict_types=1);

namespace App\Upkeep;

use App\Models\Photo;
use App\PlantBook\PlantBookFiles;
use App\Support\Today;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use PruningHook\Core\Fault;
use Throwable;

/** Looks at everything the office rests on, and says of each what is right with it or what to do. */
final readonly class Doctor
{
    private const EXTENSIONS = ['pdo_sqlite', 'mbstring', 'dom', 'intl', 'zip', 'zlib'];

    /** In MB: a day's pictures of a large firm. */
    private const ROOM_MB = 500;

    private const BACKUP_DAYS = 2;

    public function __construct(private PlantBookFiles $book)
    {
    }

    /**
     * @return list<array{string, ?string, string}> what was looked at, what is wrong with it, and what is right
     */
    public function look(): array
    {
        return array_map(
            fn (array $each): array => [$each[0], ...self::told($each[1])],
            [
                ['PHP', fn () => $this->php()], ['settings', fn () => $this->settings()],
                ['database', fn () => $this->database()], ['its shape', fn () => $this->shape()],
                ['its strokes', fn () => $this->strokes()], ['pictures', fn () => $this->pictures()],
                ['who may read', fn () => $this->modes()], ['room', fn () => $this->room()],
                ['plant book', fn () => $this->plantBook()], ['backups', fn () => $this->backups()],
                ['queue', fn () => $this->queue()],
            ],
        );
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
            PHP_VERSION.', SQLite '.DB::scalar('select sqlite_version()'),
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
        $faults = DatabaseFile::faults($file);

        return [
            $faults === [] ? null : implode('; ', array_slice($faults, 0, 5)).'. Restore a backup: ./hook restore FILE',
            sprintf('%s, %.1f MB, sound', $file, filesize($file) / 1e6),
        ];
    }

    /** @return array{?string, string} */
    private function shape(): array
    {
        $migrator = app('migrator');
        assert($migrator instanceof Migrator);
        $ran = $migrator->getRepository()->getRan();
        $waiting = array_diff(array_keys($migrator->getMigrationFiles(database_path('migrations'))), $ran);

        return [
            $waiting === [] ? null : count($waiting).' changes of its shape wait: php artisan migrate --force',
            count($ran).' changes made, none waits',
        ];
    }

    /** @return array{?string, string} */
    private function strokes(): array
    {
        $wrong = [];
        foreach (['journal_mode' => 'wal', 'foreign_keys' => '1', 'synchronous' => '2'] as $pragma => $wanted) {
            $is = DB::scalar("pragma $pragma");
            if (! is_scalar($is) || (string) $is !== $wanted) {
                $wrong[] = sprintf('%s is %s, not %s', $pragma, is_scalar($is) ? $is : 'nothing', $wanted);
            }
        }

        return [$wrong === [] ? null : implode('; ', $wrong), 'WAL, foreign keys, each on the disk before it is kept'];
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
    private function modes(): array
    {
        $open = [];
        foreach ([DatabaseFile::ours(), base_path('.env'), ...(array) glob(storage_path('logs/*.log'))] as $file) {
            $mode = is_string($file) && is_file($file) ? fileperms($file) : false;
            if ($mode !== false && ($mode & 0o007) !== 0) {
                $open[] = $file;
            }
        }

        return [
            $open === [] ? null : 'others on this machine can read '.implode(', ', $open).': chmod o= them',
            'nobody else on this machine',
        ];
    }

    /** @return array{?string, string} */
    private function room(): array
    {
        $folders = [storage_path(), dirname(DatabaseFile::ours()), base_path('bootstrap/cache')];
        $shut = array_filter($folders, static fn (string $folder): bool => ! is_writable($folder));
        $free = (int) (disk_free_space(dirname(DatabaseFile::ours())) / 1e6);

        return [
            match (true) {
                $shut !== [] => 'not writable: '.implode(', ', $shut),
                $free < self::ROOM_MB => "only $free MB are left on the disk",
                default => null,
            },
            "$free MB free",
        ];
    }

    /** @return array{?string, string} */
    private function plantBook(): array
    {
        return [null, count($this->book->read()->names).' kinds'];
    }

    /** @return array{?string, string} */
    private function backups(): array
    {
        $files = (array) glob(storage_path('backups/*.zip'));
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

    /** @return array{?string, string} */
    private function queue(): array
    {
        $oldest = DB::table('jobs')->min('available_at');
        $late = is_numeric($oldest) ? time() - (int) $oldest : 0;
        $failed = DB::table('failed_jobs')->count();

        return [
            match (true) {
                $late > 3600 => 'work waits since '.date('Y-m-d H:i', (int) $oldest).': is the worker running?',
                $failed > 0 => "$failed pieces of work failed: php artisan queue:failed",
                default => null,
            },
            'nothing waits for long',
        ];
    }
}
