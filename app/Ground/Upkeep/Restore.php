<?php

declare(strict_types=1);

namespace App\Ground\Upkeep;

use Closure;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use PDO;
use RuntimeException;
use SensitiveParameter;
use SQLite3;
use Throwable;

/**
 * Puts a backup in the place of what is there. It is wholly checked, unpacked beside and brought up to date first; then
 * it is written over the database in one transaction of SQLite's own, so that whoever reads or writes meanwhile sees
 * the old or the new and is never turned away for long, and a restore that is killed leaves what was there.
 */
final class Restore
{
    /** Milliseconds others may take with what they are writing. */
    private const PATIENCE_MS = 30_000;

    /** Whether the database is the backup's by now: nothing was changed before. */
    public bool $done = false;

    /**
     * @param  Closure(string): mixed  $tell  what is being done, step by step
     * @return list<string> what was done, in words
     *
     * @throws RuntimeException where the backup is not whole or cannot be put in place; `$done` says whether it was
     */
    public function from(string $backup, Closure $tell, #[SensitiveParameter] string $passphrase = ''): array
    {
        $ours = DatabaseFile::ours() ?? throw new RuntimeException(
            'a backup cannot be restored straight into PostgreSQL: restore it into an SQLite file, with '
                .'DB_CONNECTION=sqlite, then run ./hook move-to',
        );
        $new = $ours.'.restoring';
        $old = umask(0077);
        $lock = $this->alone("$new.lock");
        try {
            self::clear($new);
            $backup = self::readable($backup, "$new.zip", $tell, $passphrase);
            $tell('checking the backup');
            $file = BackupFile::open($backup);
            $this->room($file, $ours);
            $file->check();
            $tell('unpacking it beside what is there');
            $file->unpackDatabase($new);
            $this->sound($new, $backup);
            $this->known($new, $backup);
            $this->pictures($new, $file, $backup);
            $tell('bringing it up to date');
            $this->migrate($new);
            $tell('adding pictures');
            $added = $this->add($file);
            $tell('keeping what is there');
            $beside = $this->keep($ours);
            $tell('putting it in place');
            $this->swap($ours, $new);
            $this->done = true;
            $tell('putting pictures right');
            $this->replace($file);
        } finally {
            umask($old);
            self::clear($new);
            flock($lock, LOCK_UN);
            @unlink("$new.lock");
        }
        Artisan::call('queue:restart');

        return self::told($beside, $file, $added);
    }

    /** The backup itself, or where it is encrypted what it was decrypted to. */
    private static function readable(
        string $backup,
        string $decrypted,
        Closure $tell,
        #[SensitiveParameter] string $passphrase,
    ): string {
        if (! EncryptedFile::is($backup)) {
            return $backup;
        }
        $tell('decrypting the backup');
        $passphrase !== '' || throw new RuntimeException(
            "$backup is encrypted: set HOOK_BACKUP_PASSPHRASE in .env to what it was made with",
        );
        EncryptedFile::decrypt($backup, $decrypted, $passphrase);

        return $decrypted;
    }

    /** @return list<string> */
    private static function told(?string $beside, BackupFile $file, int $added): array
    {
        return [
            ...($beside === null ? [] : ["what was there is kept as $beside"]),
            sprintf(
                '%d gardens, %d plants, %d pictures are back', DB::table('gardens')->count(),
                DB::table('plants')->count(), count($file->pictures),
            ).($added === 0 ? '' : ", $added of them were missing here"),
            ...array_map(
                static fn (string $picture): string => "$picture was missing when the backup was made",
                $file->about['missing'],
            ),
        ];
    }

    /** @return resource held while it lasts */
    private function alone(string $path): mixed
    {
        $lock = @fopen($path, 'ce');
        if ($lock === false) {
            throw new RuntimeException("$path cannot be written");
        }
        if (! flock($lock, LOCK_EX | LOCK_NB)) {
            throw new RuntimeException('another restore is under way');
        }

        return $lock;
    }

    /** What there is is kept, the new lies beside it and is written over it: three times the room. */
    private function room(BackupFile $file, string $ours): void
    {
        $wanted = 2 * $file->bytes() + (is_file($ours) ? (int) filesize($ours) : 0);
        $free = @disk_free_space(dirname($ours));
        if ($free !== false && $free < $wanted) {
            throw new RuntimeException(sprintf(
                'there is no room for it: %d MB are free, and it takes %d MB', $free / 1e6, ceil($wanted / 1e6),
            ));
        }
    }

    private function sound(string $new, string $backup): void
    {
        $faults = DatabaseFile::faults($new);
        if ($faults !== []) {
            throw new RuntimeException("the database in $backup is not sound: ".implode('; ', $faults));
        }
    }

    /** A newer version may have given the database a shape that this one would misread. */
    private function known(string $new, string $backup): void
    {
        $ran = DatabaseFile::column(new PDO("sqlite:$new"), 'select migration from migrations');
        $known = array_map(
            static fn (mixed $file): string => basename((string) $file, '.php'),
            (array) glob(database_path('migrations/*.php')),
        );
        if (array_diff($ran, $known, require database_path('before-1.0.0.php')) !== []) {
            throw new RuntimeException("$backup was made by a newer version of Pruning Hook: update this one first");
        }
    }

    /** Every picture of its record is in it, but for those that were missing when it was made. */
    private function pictures(string $new, BackupFile $file, string $backup): void
    {
        $uuids = DatabaseFile::column(new PDO("sqlite:$new"), 'select uuid from photos');
        foreach ($uuids as $uuid) {
            $picture = "photos/$uuid.jpg";
            if (! isset($file->pictures[$picture]) && ! in_array($picture, $file->about['missing'], true)
                && ! Storage::disk('local')->exists($picture)) {
                throw new RuntimeException("$backup is damaged: the picture $picture of its record is not in it");
            }
        }
    }

    /**
     * A backup may be older than the product. Letters it had not sent yet are long sent, or out of date. It is done in
     * this process: another would outlive it where it is killed, and write on into what the next restore unpacks.
     */
    private function migrate(string $file): void
    {
        config(['database.connections.restoring' => [
            ...(array) config('database.connections.sqlite'), 'database' => $file,
        ]]);
        try {
            Artisan::call('migrate', ['--database' => 'restoring', '--force' => true]);
        } catch (Throwable $fault) {
            throw new RuntimeException('it cannot be brought up to date: '.$fault->getMessage(), previous: $fault);
        } finally {
            DB::purge('restoring');
        }
        $database = new PDO("sqlite:$file");
        $database->exec("delete from jobs where payload like '%SendQueuedNotifications%'");
        // All of it lies in the one file.
        $database->exec('pragma wal_checkpoint(truncate)');
        $database->exec('pragma journal_mode = delete');
        unset($database);
        $faults = DatabaseFile::faults($file);
        if ($faults !== []) {
            throw new RuntimeException('brought up to date it is not sound: '.implode('; ', $faults));
        }
    }

    /** Pictures that are not here yet: one without a line in the record does no harm. */
    private function add(BackupFile $file): int
    {
        $disk = Storage::disk('local');
        $added = 0;
        foreach (array_keys($file->pictures) as $picture) {
            if (! $disk->exists($picture)) {
                $this->put($file, $picture);
                $added++;
            }
        }

        return $added;
    }

    /** Pictures that are not what the record was made with; what lay there is kept beside. */
    private function replace(BackupFile $file): void
    {
        $disk = Storage::disk('local');
        foreach (array_keys($file->pictures) as $picture) {
            if (hash_file('sha256', $disk->path($picture)) !== $file->pictureDigest($picture)) {
                rename($disk->path($picture), self::beside($disk->path($picture)));
                $this->put($file, $picture);
            }
        }
    }

    private function put(BackupFile $file, string $picture): void
    {
        $to = Storage::disk('local')->path($picture);
        is_dir(dirname($to)) || mkdir(dirname($to), 0700, true);
        if (@file_put_contents("$to.part", $file->picture($picture)) !== $file->pictures[$picture]
            || ! rename("$to.part", $to)) {
            @unlink("$to.part");
            throw new RuntimeException("the picture $picture cannot be written: is there room on the disk?");
        }
    }

    /** @return ?string where what is there is kept; null where nothing is */
    private function keep(string $ours): ?string
    {
        if (! is_file($ours) || filesize($ours) === 0) {
            return null;
        }
        $beside = self::beside($ours);
        try {
            DB::statement('vacuum into ?', [$beside]);
        } catch (\PDOException) {
            // What is damaged is kept as it lies there.
            @unlink($beside);
            foreach (['', '-wal'] as $part) {
                if (is_file($ours.$part) && ! @copy($ours.$part, $beside.$part)) {
                    throw new RuntimeException("$beside cannot be written: is there room on the disk?");
                }
            }
        }
        DB::disconnect();

        return $beside;
    }

    private function swap(string $ours, string $new): void
    {
        if (is_file($ours) && DatabaseFile::faults($ours) === []) {
            $from = new SQLite3($new, SQLITE3_OPEN_READONLY);
            $into = new SQLite3($ours);
            $into->busyTimeout(self::PATIENCE_MS);
            // Until it is all there, whoever reads sees the old; where it is cut off, the old is what is there.
            $copied = @$from->backup($into);
            $says = $into->lastErrorMsg();
            $from->close();
            $into->close();
            if (! $copied) {
                throw new RuntimeException("it cannot be written over $ours ($says): is there room, or who holds it?");
            }
            (new PDO("sqlite:$ours"))->exec('pragma journal_mode = wal');

            return;
        }
        // Over what is no sound database nothing can be written: nobody can be working with it either.
        foreach (['-wal', '-shm'] as $part) {
            @unlink($ours.$part);
        }
        if (! rename($new, $ours)) {
            throw new RuntimeException("$ours cannot be put in place");
        }
    }

    /** A name of its own: two restores within one second keep both of what they found. */
    private static function beside(string $path): string
    {
        $name = $path.'.before-'.Carbon::now()->format('Ymd-His');
        for ($nth = 2, $free = $name; file_exists($free); $nth++) {
            $free = "$name-$nth";
        }

        return $free;
    }

    private static function clear(string $new): void
    {
        foreach (['', '-wal', '-shm', '-journal', '.zip'] as $part) {
            is_file($new.$part) && unlink($new.$part);
        }
    }
}
