<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Amounts were told apart by their words; each is kept with what it does, so that the words may change. */
return new class extends Migration
{
    /** By the words of that day. */
    private const EFFECTS = [
        'old stems to take out' => 'old-stems-out',
        'stems to take out' => 'stems-out', 'canes to take out' => 'stems-out', 'mains to take out' => 'stems-out',
        'trunks to take out' => 'stems-out', 'share of the stems to take out' => 'stems-share',
        'cut height' => 'cut-height', 'height after the cut' => 'height-after',
        'expected flowering height' => 'flowering-height', 'clear stem' => 'clear-stem',
        'live growth taken' => 'live-share', 'live crown taken' => 'live-share', 'live wood taken' => 'live-share',
    ];

    private const KEPT = ['work_logs' => 'amounts', 'visit_tasks' => 'prescribed'];

    public function up(): void
    {
        foreach (self::EFFECTS as $what => $effect) {
            self::replace($what, "{\"what\":\"$what\",\"unit\"", "{\"effect\":\"$effect\",\"what\":\"$what\",\"unit\"");
        }
    }

    public function down(): void
    {
        foreach (self::EFFECTS as $what => $effect) {
            self::replace($what, "{\"effect\":\"$effect\",\"what\":\"$what\",\"unit\"", "{\"what\":\"$what\",\"unit\"");
        }
    }

    private static function replace(string $what, string $was, string $is): void
    {
        foreach (self::KEPT as $table => $column) {
            if (DB::table($table)->exists()) {
                DB::update(
                    "update $table set $column = replace($column, ?, ?) where $column like ?",
                    [$was, $is, "%\"$what\"%"],
                );
            }
        }
    }
};
