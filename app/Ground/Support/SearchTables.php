<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Finding plants and gardens by any piece of what they are called. On SQLite by full-text tables of three-letter
 * pieces, which triggers keep up with the rows; elsewhere by comparing plainly. This is the one place for what only
 * SQLite says.
 */
final readonly class SearchTables
{
    /** What each table is found by. */
    private const COLUMNS = ['plants' => ['label', 'bed'], 'gardens' => ['name', 'client', 'address'],
        'changes' => ['label']];

    /** Shorter texts than this are looked for at the beginnings of words. */
    private const PIECE = 3;

    /** So many rows that hold a text make it a common one. */
    private const COMMON = ['plants' => 1000, 'gardens' => 25, 'changes' => 1000];

    /** The full-text tables of each: three-letter pieces anywhere, and words by their first letters. */
    private const SORTS = ['search' => "tokenize = 'trigram'", 'words' => "tokenize = 'unicode61', prefix = '1 2'"];

    /**
     * Makes the full-text tables and fills them; nothing where the database has none.
     *
     * @param  list<string>  $tables
     */
    public static function create(array $tables = ['plants', 'gardens']): void
    {
        if (! self::fullText()) {
            return;
        }
        foreach (array_intersect_key(self::COLUMNS, array_flip($tables)) as $table => $columns) {
            $text = static fn (string $row): string => implode(
                " || ' ' || ",
                array_map(static fn (string $column): string => "coalesce($row.$column, '')", $columns),
            );
            foreach (self::SORTS as $sort => $options) {
                $full = "{$sort}_$table";
                DB::statement("create virtual table $full using fts5(text, $options)");
                DB::statement("insert into $full (rowid, text) select id, {$text($table)} from $table");
                DB::statement("create trigger {$full}_insert after insert on $table begin
                    insert into $full (rowid, text) values (new.id, {$text('new')}); end");
                DB::statement(
                    "create trigger {$full}_update after update of ".
                        implode(', ', $columns).
                        " on $table begin
                    update $full set text = {$text('new')} where rowid = new.id; end",
                );
                DB::statement("create trigger {$full}_delete after delete on $table begin
                    delete from $full where rowid = old.id; end");
            }
        }
    }

    /** Whether a table is one of these, or of those the database keeps them in. */
    public static function areIn(string $table): bool
    {
        [$sorts, $of] = [implode('|', array_keys(self::SORTS)), implode('|', array_keys(self::COLUMNS))];

        return preg_match("/^($sorts)_($of)/", $table) === 1;
    }

    /**
     * The ids of the rows in which the text stands, in any writing of case.
     *
     * @param  'plants'|'gardens'|'changes'  $table
     */
    public static function ids(string $table, string $text): Builder
    {
        if (! self::fullText()) {
            return self::plain($table, $text);
        }
        [$full, $match] = self::match($table, $text);

        return DB::table($full)
            ->select('rowid as id')
            ->whereRaw("$full match ?", [$match]);
    }

    /**
     * Narrows rows to those that point, by a column, at a row in which the text stands. Of a rare text all it stands in
     * are looked up; of a common one the rows are looked at in their order, which ends once a page is full: neither
     * grows with the firm.
     *
     * @param  'plants'|'gardens'|'changes'  $table
     */
    public static function narrow(Builder $rows, string $table, string $column, string $text): void
    {
        self::isCommon($table, $text)
            ? $rows->whereExists(self::holds($table, $column, $text))
            : $rows->whereIn($column, self::ids($table, $text));
    }

    /** @param  'plants'|'gardens'|'changes'  $table */
    public static function isCommon(string $table, string $text): bool
    {
        return DB::query()->fromSub(self::ids($table, $text)->limit(self::COMMON[$table] + 1), 'some')->count()
            > self::COMMON[$table];
    }

    /**
     * Looks plants and gardens up once for all that is asked of them: a page that lists, counts and draws what a text
     * found would look for it a dozen times.
     */
    public static function find(string $text): void
    {
        foreach (['plants', 'gardens'] as $table) {
            DB::statement("create temporary table if not exists found_$table (id integer primary key)");
            DB::table("found_$table")->delete();
            DB::table("found_$table")->insertUsing(['id'], self::ids($table, $text));
        }
    }

    /**
     * The ids of those that were looked up last.
     *
     * @param  'plants'|'gardens'  $table
     */
    public static function found(string $table): Builder
    {
        return DB::table("found_$table")->select('id');
    }

    /** @param  'plants'|'gardens'|'changes'  $table */
    private static function holds(string $table, string $column, string $text): Builder
    {
        if (! self::fullText() || mb_strlen($text) >= self::PIECE) {
            return self::plain($table, $text)->whereColumn("$table.id", $column);
        }
        [$full, $match] = self::match($table, $text);

        return DB::table($full)->whereRaw("$full match ?", [$match])->whereColumn("$full.rowid", $column);
    }

    /**
     * @param  'plants'|'gardens'|'changes'  $table
     * @return array{string, string} the full-text table, and what it is asked for
     */
    private static function match(string $table, string $text): array
    {
        $quoted = '"'.str_replace('"', '""', $text).'"';

        return mb_strlen($text) < self::PIECE ? ["words_$table", "$quoted*"] : ["search_$table", $quoted];
    }

    /**
     * The same by plain comparison, for databases without full-text tables of this sort.
     *
     * @param  'plants'|'gardens'|'changes'  $table
     */
    public static function plain(string $table, string $text): Builder
    {
        return DB::table($table)->select('id')
            ->where(static fn (Builder $any) => self::hold($any, self::COLUMNS[$table], $text));
    }

    /**
     * Narrows rows to those with the text in one of their columns, by plain comparison.
     *
     * @param  list<string>  $columns
     */
    public static function hold(Builder $any, array $columns, string $text): void
    {
        $like = mb_strtolower(str_replace(['!', '%', '_'], ['!!', '!%', '!_'], $text));
        foreach ($columns as $column) {
            $of = 'lower('.$any->getGrammar()->wrap($column).") like ? escape '!'";
            if (mb_strlen($text) < self::PIECE) {
                $any->orWhereRaw($of, ["$like%"])->orWhereRaw($of, ["% $like%"]);
            } else {
                $any->orWhereRaw($of, ["%$like%"]);
            }
        }
    }

    private static function fullText(): bool
    {
        return DB::connection()->getDriverName() === 'sqlite';
    }
}
