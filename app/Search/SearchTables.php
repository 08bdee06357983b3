<?php

declare(strict_types=1);

namespace App\Search;

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
    private const COLUMNS = ['plants' => ['label', 'bed'], 'gardens' => ['name', 'client', 'address']];

    /** Shorter texts than this are looked for at the beginnings of words. */
    private const PIECE = 3;

    /** The full-text tables of each: three-letter pieces anywhere, and words by their first letters. */
    private const SORTS = ['search' => "tokenize = 'trigram'", 'words' => "tokenize = 'unicode61', prefix = '1 2'"];

    /** Makes the full-text tables and fills them; nothing where the database has none. */
    public static function create(): void
    {
        if (! self::fullText()) {
            return;
        }
        foreach (self::COLUMNS as $table => $columns) {
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

    /**
     * The ids of the rows in which the text stands, in any writing of case.
     *
     * @param  'plants'|'gardens'  $table
     */
    public static function ids(string $table, string $text): Builder
    {
        if (! self::fullText()) {
            return self::plain($table, $text);
        }
        $quoted = '"'.str_replace('"', '""', $text).'"';
        [$full, $match] = mb_strlen($text) < self::PIECE ? ["words_$table", "$quoted*"] : ["search_$table", $quoted];

        return DB::table($full)
            ->select('rowid as id')
            ->whereRaw("$full match ?", [$match]);
    }

    /**
     * The same by plain comparison, for databases without full-text tables of this sort.
     *
     * @param  'plants'|'gardens'  $table
     */
    public static function plain(string $table, string $text): Builder
    {
        return DB::table($table)
            ->select('id')
            ->where(static function (Builder $any) use ($table, $text): void {
                foreach (self::COLUMNS[$table] as $column) {
                    $any->orWhereRaw("lower($column) like ? escape '!'", [
                        '%'.mb_strtolower(str_replace(['!', '%', '_'], ['!!', '!%', '!_'], $text)).'%',
                    ]);
                }
            });
    }

    private static function fullText(): bool
    {
        return DB::connection()->getDriverName() === 'sqlite';
    }
}
