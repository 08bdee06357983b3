<?php

declare(strict_types=1);

namespace App\Ground\Upkeep;

use RuntimeException;
use ZipArchive;

/**
 * A backup as it lies there: a ZIP with the database, the pictures, and `about.json` that says of each what it must be.
 * It is read through and held against that before anything is written.
 *
 * @phpstan-type About array{version: int, made_at: string, sha256: string, files: array<string, string>,
 *     missing: list<string>}
 */
final readonly class BackupFile
{
    public const DATABASE = 'database.sqlite';

    public const ABOUT = 'about.json';

    public const FILES = 'files/';

    /** From 2 on the digest of every picture stands in it. */
    public const VERSION = 2;

    private const READ = 1 << 18;

    /**
     * @param  About  $about  digests of pictures by path; those that were missing when it was made
     * @param  array<string, int>  $pictures  bytes by path, as the ZIP has them
     */
    private function __construct(
        private ZipArchive $zip,
        private string $path,
        public array $about,
        public array $pictures,
    ) {
    }

    /** @throws RuntimeException where it is no backup, is damaged, or was made by a newer version */
    public static function open(string $path): self
    {
        $zip = new ZipArchive;
        if (! is_file($path) || $zip->open($path, ZipArchive::RDONLY) !== true) {
            throw new RuntimeException("$path is no backup: it cannot be opened");
        }
        $about = self::about($zip) ?? throw new RuntimeException("$path is no backup of Pruning Hook");
        if ($about['version'] > self::VERSION) {
            throw new RuntimeException("$path was made by a newer version of Pruning Hook: update this one first");
        }
        $pictures = [];
        for ($index = 0; $index < $zip->numFiles; $index++) {
            $entry = $zip->statIndex($index);
            if ($entry !== false
                && preg_match('#^'.self::FILES.'(photos/[0-9a-f-]{36}\.jpg)$#', $entry['name'], $found) === 1) {
                $pictures[$found[1]] = (int) $entry['size'];
            }
        }

        return new self($zip, $path, $about, $pictures);
    }

    /** @return ?About null where it is no backup of ours */
    private static function about(ZipArchive $zip): ?array
    {
        $about = json_decode((string) $zip->getFromName(self::ABOUT), true);
        if (! is_array($about) || ($about['product'] ?? null) !== 'Pruning Hook'
            || ! is_string($about['sha256'] ?? null) || $zip->locateName(self::DATABASE) === false) {
            return null;
        }
        $text = static fn (mixed $value): string => is_string($value) ? $value : '';

        return [
            'version' => is_int($about['version'] ?? null) ? $about['version'] : 0,
            'made_at' => $text($about['made_at'] ?? ''), 'sha256' => $about['sha256'],
            'files' => array_filter((array) ($about['files'] ?? []), is_string(...)),
            'missing' => array_values(array_filter((array) ($about['missing'] ?? []), is_string(...))),
        ];
    }

    /** Bytes of all of it, unpacked. */
    public function bytes(): int
    {
        $database = $this->zip->statName(self::DATABASE);

        return ($database === false ? 0 : (int) $database['size']) + array_sum($this->pictures);
    }

    /** @throws RuntimeException where the database or a picture is not what was put into it */
    public function check(): void
    {
        if ($this->digest(self::DATABASE) !== $this->about['sha256']) {
            throw new RuntimeException("$this->path is damaged: its database is not what was put into it");
        }
        $expected = $this->about['version'] < 2
            ? array_fill_keys(array_keys($this->pictures), null)
            : $this->about['files'];
        foreach ($expected as $picture => $digest) {
            $is = $this->digest(self::FILES.$picture);
            if ($is === null || ($digest !== null && $is !== $digest)) {
                throw new RuntimeException("$this->path is damaged: the picture $picture is not what was put into it");
            }
        }
    }

    /** @throws RuntimeException where there is no room for it */
    public function unpackDatabase(string $to): void
    {
        $from = $this->zip->getStream(self::DATABASE);
        if ($from === false || @file_put_contents($to, $from) === false
            || hash_file('sha256', $to) !== $this->about['sha256']) {
            throw new RuntimeException("$to cannot be written: is there room on the disk?");
        }
    }

    /** @return resource */
    public function picture(string $picture): mixed
    {
        $from = $this->zip->getStream(self::FILES.$picture);

        return $from === false ? throw new RuntimeException("the picture $picture cannot be read") : $from;
    }

    /** The digest of a picture's content; null where it cannot be read to its end. */
    public function pictureDigest(string $picture): ?string
    {
        return $this->digest(self::FILES.$picture);
    }

    /** Read without writing it anywhere. */
    private function digest(string $name): ?string
    {
        $entry = $this->zip->statName($name);
        $from = $entry === false ? false : $this->zip->getStream($name);
        if ($entry === false || $from === false) {
            return null;
        }
        $hash = hash_init('sha256');
        $sum = hash_init('crc32b');
        $bytes = 0;
        while (! feof($from) && $bytes <= $entry['size']) {
            $piece = @fread($from, self::READ);
            if ($piece === false || $piece === '') {
                break;
            }
            $bytes += strlen($piece);
            hash_update($hash, $piece);
            hash_update($sum, $piece);
        }
        fclose($from);
        // A broken entry ends early, or is not what the ZIP itself says of it.
        $whole = $bytes === (int) $entry['size'] && hexdec(hash_final($sum)) === ((int) $entry['crc'] & 0xFFFFFFFF);

        return $whole ? hash_final($hash) : null;
    }
}
