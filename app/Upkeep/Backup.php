<?php

declare(strict_types=1);

namespace App\Upkeep;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use RuntimeException;
use ZipArchive;

/**
 * One file with everything of the firm: its database as it stood at one moment, whoever was writing, and its pictures.
 */
final readonly class Backup
{
    public const DATABASE = 'database.sqlite';

    public const ABOUT = 'about.json';

    public const FILES = 'files/';

    /**
     * @return list<string> what it holds, in words
     *
     * @throws RuntimeException where it cannot be written, or what was written is not sound
     */
    public function make(string $to): array
    {
        if (file_exists($to)) {
            throw new RuntimeException("$to is there already; a backup never takes the place of another");
        }
        $copy = $to.'.database';
        $old = umask(0077);
        try {
            // One moment of it, without holding up whoever writes.
            DB::statement('vacuum into ?', [$copy]);
            $faults = DatabaseFile::faults($copy);
            if ($faults !== []) {
                throw new RuntimeException('the copy is not sound: '.implode('; ', $faults));
            }
            $files = $this->pack($copy, "$to.part");
            if (! rename("$to.part", $to)) {
                throw new RuntimeException("$to cannot be written");
            }
        } finally {
            umask($old);
            foreach ([$copy, "$to.part"] as $left) {
                is_file($left) && unlink($left);
            }
        }

        return [
            sprintf('%d gardens, %d plants, %d lines of the record', ...array_map(
                static fn (string $table): int => DB::table($table)->count(), ['gardens', 'plants', 'work_logs'],
            )),
            "$files pictures", sprintf('%.1f MB', filesize($to) / 1e6),
        ];
    }

    private function pack(string $copy, string $to): int
    {
        $zip = new ZipArchive;
        if ($zip->open($to, ZipArchive::CREATE | ZipArchive::EXCL) !== true) {
            throw new RuntimeException("$to cannot be written");
        }
        $zip->addFile($copy, self::DATABASE);
        $disk = Storage::disk('local');
        $files = $disk->allFiles('photos');
        foreach ($files as $file) {
            $zip->addFile($disk->path($file), self::FILES.$file);
            // They are small already.
            $zip->setCompressionName(self::FILES.$file, ZipArchive::CM_STORE);
        }
        $zip->addFromString(self::ABOUT, json_encode([
            'product' => 'Pruning Hook', 'version' => 1, 'made_at' => Carbon::now()->toIso8601String(),
            'sha256' => hash_file('sha256', $copy),
        ], JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR));
        if (! $zip->close()) {
            throw new RuntimeException("$to cannot be written: is the disk full?");
        }

        return count($files);
    }
}
