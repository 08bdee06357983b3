<?php

declare(strict_types=1);

namespace App\Search;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Finding plants and gardens by any piece of what they are called. On SQLite by full-text tables of three-letter pieces,
 * which triggers keep up with the rows; elsewhere by comparing plainly. This is the one place for what only SQLite says.
 */
final readonly class SearchTables
{
    /** What each table is found by. */
    private const COLUMNS = ['plants' => ['label', 'bed'], 'gardens' => ['name', 'client', 'address']];

    /** Shorter pieces than this are not in the full-text tables, which are then looked through instead. */
    private const PIECE = 3;

    /** Makes the full-text tables and fills them; nothing where the database has none. */
    public static function create(): void
    {
        if (! self::fullText()) {
            return;
        }
        foreach (self::COLUMNS as $table => $columns) {
            $text = static fn (string $row): string => implode(" || ' ' || ", array_map(static fn (string $column): string => "coalesce($row.$column, '')", $columns));
            DB::statement("create virtual table search_$table using fts5(text, tokenize = 'trigram')");
            DB::statement("insert into search_$table (rowid, text) select id, {$text($table)} from $table");
            DB::statement("create trigger search_{$table}_insert after insert on $table begin
                insert into search_$table (rowid, text) values (new.id, {$text('new')}); end");
            DB::statement("create trigger search_{$table}_update after update of ".implode(', ', $columns)." on $table begin
                update search_$table set text = {$text('new')} where rowid = new.id; end");
            DB::statement("create trigger search_{$table}_delete after delete on $table begin
                delete from search_$table where rowid = old.id; end");
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
            return DB::table($table)->select('id')->where(static function (Builder $any) use ($table, $text): void {
                foreach (self::COLUMNS[$table] as $column) {
                    $any->orWhereLike($column, self::like($text));
                }
            });
        }
        $found = DB::table("search_$table")->select('rowid as id');

        return mb_strlen($text) < self::PIECE
            ? $found->whereRaw("text like ? escape '\\'", [self::like($text)])
            : $found->whereRaw("search_$table match ?", ['"'.str_replace('"', '""', $text).'"']);
    }

    private static function like(string $text): string
    {
        return '%'.addcslashes($text, '%_\\').'%';
    }

    private static function fullText(): bool
    {
        return DB::connection()->getDriverName() === 'sqlite';
    }
}
