<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Closure;
use Illuminate\Database\Connection;
use Illuminate\Database\QueryException;

/**
 * What SQLite and PostgreSQL say each in its own way, but for finding words (`Search/SearchTables`) and for the file
 * that SQLite keeps its rows in (`Upkeep`). No other SQL of the product is one database's alone.
 */
final readonly class Dialect
{
    /** PostgreSQL's word for a key that points nowhere. */
    private const ASTRAY = '23503';

    private function __construct(private Connection $on)
    {
    }

    public static function of(Connection $on): self
    {
        return new self($on);
    }

    public function isSqlite(): bool
    {
        return $this->on->getDriverName() === 'sqlite';
    }

    /** Name and version of the database, for whoever looks after it. */
    public function version(): string
    {
        return $this->isSqlite()
            ? 'SQLite '.$this->text('select sqlite_version()')
            : 'PostgreSQL '.$this->text("select current_setting('server_version')");
    }

    /** How large all of it is. */
    public function bytes(): int
    {
        return $this->isSqlite()
            ? (int) $this->text('pragma page_count') * (int) $this->text('pragma page_size')
            : (int) $this->text('select pg_database_size(current_database())');
    }

    private function text(string $sql): string
    {
        $said = $this->on->scalar($sql);

        return is_scalar($said) ? (string) $said : '';
    }

    /**
     * Fills tables whose rows may name what comes after them, in one transaction: whether it came is asked at the end.
     *
     * @template T
     *
     * @param  Closure(): T  $fill
     * @return T
     *
     * @throws StrayKey where a row names one that never came; nothing is kept then
     */
    public function filling(Closure $fill): mixed
    {
        return $this->on->transaction(function () use ($fill): mixed {
            if ($this->isSqlite()) {
                $this->on->statement('pragma defer_foreign_keys = on');
                $filled = $fill();
                $astray = $this->on->select('pragma foreign_key_check');

                return $astray === [] ? $filled : throw new StrayKey((string) ($astray[0]->table ?? '?'));
            }
            $keys = $this->on->select("select conrelid::regclass::text as within, quote_ident(conname) as name,
                pg_get_constraintdef(oid) as says from pg_constraint
                where contype = 'f' and connamespace = current_schema()::regnamespace");
            foreach ($keys as $key) {
                $this->on->statement("alter table $key->within drop constraint $key->name");
            }
            $filled = $fill();
            foreach ($keys as $key) {
                try {
                    $this->on->statement("alter table $key->within add constraint $key->name $key->says");
                } catch (QueryException $thrown) {
                    throw $thrown->getCode() === self::ASTRAY ? new StrayKey((string) $key->within, $thrown) : $thrown;
                }
            }

            return $filled;
        });
    }

    /** @return array<string, 'truth'|'number'> of the columns that the two hand out in ways of their own */
    public function sorts(string $table): array
    {
        $sorts = [];
        foreach ($this->on->getSchemaBuilder()->getColumns($table) as $column) {
            $sort = match ($column['type_name']) {
                'bool', 'tinyint' => 'truth',
                'numeric', 'float8', 'double', 'float' => 'number',
                default => null,
            };
            $sort === null || $sorts[$column['name']] = $sort;
        }

        return $sorts;
    }

    /**
     * A row the same from either: a truth is 0 or 1, a number a number.
     *
     * @param  array<string, mixed>  $row
     * @param  array<string, 'truth'|'number'>  $sorts
     * @return array<string, mixed>
     */
    public static function plain(array $row, array $sorts): array
    {
        foreach ($sorts as $column => $sort) {
            $value = $row[$column] ?? null;
            if (is_scalar($value)) {
                $row[$column] = $sort === 'truth' ? (int) $value : (float) $value;
            }
        }

        return $row;
    }

    /** @return array<string, int> the last id given in each table; that of a row long gone is not given again */
    public function lastIds(): array
    {
        $last = [];
        $rows = $this->isSqlite()
            ? $this->on->select('select name as within, seq as last from sqlite_sequence')
            : $this->on->select("select t.relname as within, s.last_value as last from pg_sequences s
                join pg_class c on c.relname = s.sequencename and c.relnamespace = current_schema()::regnamespace
                join pg_depend d on d.objid = c.oid and d.deptype = 'a' join pg_class t on t.oid = d.refobjid
                where s.schemaname = current_schema() and s.last_value is not null");
        foreach ($rows as $row) {
            $last[(string) $row->within] = (int) $row->last;
        }

        return $last;
    }

    /**
     * Ids that are given from now on come after those that are there, and after those given elsewhere.
     *
     * @param  list<string>  $tables  each with an `id` that counts up
     * @param  array<string, int>  $given  the last one, by table
     */
    public function countOn(array $tables, array $given = []): void
    {
        foreach ($tables as $table) {
            $last = max((int) $this->on->table($table)->max('id'), $given[$table] ?? 0);
            if ($last === 0) {
                continue;
            }
            if (! $this->isSqlite()) {
                $this->on->select("select setval(pg_get_serial_sequence(?, 'id'), ?)", [$table, $last]);

                continue;
            }
            $this->on->table('sqlite_sequence')->where('name', $table)->delete();
            $this->on->table('sqlite_sequence')->insert(['name' => $table, 'seq' => $last]);
        }
    }
}
