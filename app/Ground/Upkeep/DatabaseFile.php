<?php

declare(strict_types=1);

namespace App\Ground\Upkeep;

use App\Ground\Support\Dialect;
use Illuminate\Support\Facades\DB;
use PDO;
use RuntimeException;

/**
 * The file the firm's rows lie in where they lie in SQLite, and others of its sort; backups hold such a file whatever
 * database they come from.
 */
final readonly class DatabaseFile
{
    /** @return ?string null where the rows lie on a database server */
    public static function ours(): ?string
    {
        $file = DB::connection()->getConfig('database');

        return Dialect::of(DB::connection())->isSqlite() && is_string($file) ? $file : null;
    }

    /**
     * All rows as they stand at one moment, in a new file, without holding up whoever writes.
     *
     * @throws RuntimeException where it cannot be written
     */
    public static function copy(string $to, MoveFirm $move): void
    {
        if (self::ours() === null) {
            $move->to("sqlite:$to", static fn (string $step): null => null);

            return;
        }
        DB::statement('vacuum into ?', [$to]);
    }

    /**
     * What is wrong with a file, in words; empty where it is sound.
     *
     * @return list<string>
     */
    public static function faults(string $file): array
    {
        try {
            $database = new PDO("sqlite:$file", options: [
                PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION, PDO::SQLITE_ATTR_OPEN_FLAGS => PDO::SQLITE_OPEN_READONLY,
            ]);
            $faults = array_filter(
                self::column($database, 'pragma integrity_check'), static fn (string $line): bool => $line !== 'ok',
            );
            $astray = count(self::column($database, 'pragma foreign_key_check'));
            $tables = self::column($database, "select name from sqlite_master where type = 'table'");
        } catch (\PDOException $fault) {
            return ['it cannot be read as a database: '.$fault->getMessage()];
        }

        return [
            ...array_values($faults),
            ...($astray === 0 ? [] : ["$astray rows point at rows that are not there"]),
            ...(in_array('gardens', $tables, true) ? [] : ['it holds no gardens: it is no database of Pruning Hook']),
        ];
    }

    /** @return list<string> */
    public static function column(PDO $database, string $sql): array
    {
        $found = $database->query($sql);

        return $found === false ? [] : array_values(array_map(strval(...), $found->fetchAll(PDO::FETCH_COLUMN)));
    }
}
