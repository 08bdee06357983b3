<?php

declare(strict_types=1);

namespace App\Ground\Upkeep;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use PDO;
use RuntimeException;
use SensitiveParameter;
use Throwable;
use ZipArchive;

/**
 * One file with everything of the firm: its database as it stood at one moment, whoever was writing, and the pictures
 * that stand in its record.
 */
final readonly class Backup
{
    public function __construct(private MoveFirm $move)
    {
    }

    /**
     * @param  string  $passphrase  to encrypt it with; empty for none
     * @return list<string> what it holds, in words
     *
     * @throws RuntimeException where it cannot be written, or what was written is not sound
     */
    public function make(string $to, #[SensitiveParameter] string $passphrase = ''): array
    {
        if (file_exists($to)) {
            throw new RuntimeException("$to is there already; a backup never takes the place of another");
        }
        $copy = $to.'.database';
        $old = umask(0077);
        try {
            DatabaseFile::copy($copy, $this->move);
            $faults = DatabaseFile::faults($copy);
            if ($faults !== []) {
                throw new RuntimeException('the copy is not sound: '.implode('; ', $faults));
            }
            [$files, $missing] = $this->pack($copy, "$to.part");
            // What cannot be read back is no backup.
            BackupFile::open("$to.part")->check();
            $made = "$to.part";
            if ($passphrase !== '') {
                EncryptedFile::encrypt($made, "$to.encrypted", $passphrase);
                $made = "$to.encrypted";
            }
            if (! rename($made, $to)) {
                throw new RuntimeException("$to cannot be written");
            }
        } finally {
            umask($old);
            foreach ([$copy, "$to.part", "$to.encrypted"] as $left) {
                is_file($left) && unlink($left);
            }
        }

        return [
            sprintf('%d gardens, %d plants, %d lines of the record', ...array_map(
                static fn (string $table): int => DB::table($table)->count(), ['gardens', 'plants', 'work_logs'],
            )),
            "$files pictures",
            ...($missing === 0 ? [] : ["$missing pictures of the record are missing on the disk"]),
            sprintf('%.1f MB', filesize($to) / 1e6),
        ];
    }

    /** @return array{int, int} how many pictures it holds, and how many were missing */
    private function pack(string $copy, string $to): array
    {
        $zip = new ZipArchive;
        if ($zip->open($to, ZipArchive::CREATE | ZipArchive::EXCL) !== true) {
            throw new RuntimeException("$to cannot be written");
        }
        $zip->addFile($copy, BackupFile::DATABASE);
        $disk = Storage::disk('local');
        $digests = $missing = [];
        foreach (DatabaseFile::column(new PDO("sqlite:$copy"), 'select uuid from photos order by id') as $uuid) {
            $file = "photos/$uuid.jpg";
            $digest = $disk->exists($file) ? hash_file('sha256', $disk->path($file)) : false;
            if ($digest === false) {
                $missing[] = $file;

                continue;
            }
            $digests[$file] = $digest;
            $zip->addFile($disk->path($file), BackupFile::FILES.$file);
            // They are small already.
            $zip->setCompressionName(BackupFile::FILES.$file, ZipArchive::CM_STORE);
        }
        $zip->addFromString(BackupFile::ABOUT, json_encode([
            'product' => 'Pruning Hook', 'version' => BackupFile::VERSION,
            'made_at' => Carbon::now()->toIso8601String(), 'sha256' => hash_file('sha256', $copy),
            'files' => (object) $digests, 'missing' => $missing,
        ], JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR));
        try {
            $closed = $zip->close();
        } catch (Throwable $fault) {
            throw new RuntimeException("$to cannot be written: is the disk full?", previous: $fault);
        }
        if (! $closed) {
            throw new RuntimeException("$to cannot be written: is the disk full?");
        }

        return [count($digests), count($missing)];
    }
}
