<?php

declare(strict_types=1);

namespace App\Upkeep;

use Illuminate\Support\Facades\DB;
use PDO;
use RuntimeException;

/** The file the firm's rows lie in, and others of its sort. */
final readonly class DatabaseFile
{
    public static function ours(): string
    {
        $file = DB::connection()->getConfig('database');

        return is_string($file) ? $file : throw new RuntimeException('the database is no file');
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
