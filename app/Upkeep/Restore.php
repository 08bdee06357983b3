<?php

declare(strict_types=1);

namespace App\Upkeep;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use RuntimeException;
use Symfony\Component\Process\Process;
use ZipArchive;

/** Puts a backup in the place of what is there. It is looked at first, and what was there is kept beside. */
final readonly class Restore
{
    /**
     * @return list<string> what was done, in words
     *
     * @throws RuntimeException where the backup is not whole; nothing has changed then
     */
    public function from(string $backup): array
    {
        $ours = DatabaseFile::ours();
        $new = $ours.'.restoring';
        foreach (['', '-wal', '-shm'] as $part) {
            is_file($new.$part) && unlink($new.$part);
        }
        $old = umask(0077);
        try {
            $zip = $this->open($backup, $new);
            $this->migrate($new);
            $faults = DatabaseFile::faults($new);
            if ($faults !== []) {
                throw new RuntimeException('brought up to date it is not sound: '.implode('; ', $faults));
            }
            $beside = $this->swap($ours, $new);
            $files = $this->files($zip);
        } finally {
            umask($old);
            is_file($new) && unlink($new);
        }

        return [
            ...($beside === null ? [] : ["what was there is kept as $beside"]),
            sprintf('%d gardens, %d plants, %d pictures are back', ...[
                ...array_map(static fn (string $table): int => DB::table($table)->count(), ['gardens', 'plants']),
                $files,
            ]),
        ];
    }

    private function open(string $backup, string $to): ZipArchive
    {
        $zip = new ZipArchive;
        if (! is_file($backup) || $zip->open($backup, ZipArchive::RDONLY) !== true) {
            throw new RuntimeException("$backup is no backup: it cannot be opened");
        }
        $about = json_decode((string) $zip->getFromName(Backup::ABOUT), true);
        $from = $zip->getStream(Backup::DATABASE);
        if (! is_array($about) || ($about['product'] ?? null) !== 'Pruning Hook' || $from === false) {
            throw new RuntimeException("$backup is no backup of Pruning Hook");
        }
        if (file_put_contents($to, $from) === false) {
            throw new RuntimeException("$to cannot be written");
        }
        if (hash_file('sha256', $to) !== ($about['sha256'] ?? null)) {
            throw new RuntimeException("$backup is damaged: its database is not what was put into it");
        }
        $faults = DatabaseFile::faults($to);
        if ($faults !== []) {
            throw new RuntimeException("the database in $backup is not sound: ".implode('; ', $faults));
        }

        return $zip;
    }

    /** A backup may be older than the product. */
    private function migrate(string $file): void
    {
        $run = new Process([PHP_BINARY, 'artisan', 'migrate', '--force', '--quiet'], base_path(), [
            'DB_DATABASE' => $file, 'APP_CONFIG_CACHE' => "$file.config.php",
        ], timeout: null);
        if ($run->run() !== 0) {
            throw new RuntimeException('it cannot be brought up to date: '.trim($run->getErrorOutput()));
        }
        // All of it lies in the one file that is moved.
        $database = new \PDO("sqlite:$file");
        $database->exec('pragma wal_checkpoint(truncate)');
    }

    /** @return ?string where what was there lies now; null where nothing was */
    private function swap(string $ours, string $new): ?string
    {
        Artisan::call('queue:restart');
        DB::disconnect();
        $beside = null;
        if (is_file($ours) && filesize($ours) > 0) {
            $beside = $ours.'.before-'.Carbon::now()->format('Ymd-His');
            $present = new \PDO("sqlite:$ours");
            $present->exec('pragma wal_checkpoint(truncate)');
            unset($present);
            rename($ours, $beside);
        }
        foreach (['-wal', '-shm'] as $part) {
            is_file($ours.$part) && rename($ours.$part, ($beside ?? "$ours.gone").$part);
            is_file($new.$part) && unlink($new.$part);
        }
        if (! rename($new, $ours)) {
            $beside === null || rename($beside, $ours);

            throw new RuntimeException("$ours cannot be put in place");
        }

        return $beside;
    }

    /** Pictures are added; none that is there is overwritten, since each has a name of its own. */
    private function files(ZipArchive $zip): int
    {
        $disk = Storage::disk('local');
        $files = 0;
        for ($index = 0; $index < $zip->numFiles; $index++) {
            $name = (string) $zip->getNameIndex($index);
            if (preg_match('#^'.Backup::FILES.'(photos/[0-9a-f-]{36}\.jpg)$#', $name, $path) !== 1) {
                continue;
            }
            $files++;
            $from = $disk->exists($path[1]) ? null : $zip->getStream($name);
            if (is_resource($from)) {
                $disk->put($path[1], $from);
            }
        }

        return $files;
    }
}
