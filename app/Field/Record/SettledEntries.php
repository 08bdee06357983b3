<?php

declare(strict_types=1);

namespace App\Field\Record;

use App\Ground\Models\Entry;
use App\Ground\Models\EntryKind;

/**
 * The entries that are in force. One is set aside when another corrects it, and counts again when that one is taken
 * back. Two phones that did not know of each other leave two in force: both are shown, and the record's line is
 * put together from them.
 *
 * @phpstan-import-type Said from LogRules
 */
final readonly class SettledEntries
{
    /** What the last is silent on, and somebody said before. */
    private const FILLED = ['left_for_next_year', 'left_stem', 'over_cap_reason', 'blades'];

    /**
     * @param  iterable<Entry>  $entries  of one task or one visit
     * @return list<Entry> those that stand, as they were said; withdrawals are not among them
     */
    public static function of(iterable $entries): array
    {
        $entries = [...$entries];
        usort($entries, static fn (Entry $a, Entry $b): int => $b->id <=> $a->id);
        $back = $corrected = $standing = [];
        // A word can only point at those before it: from the last one back, each is settled when it is reached.
        foreach ($entries as $entry) {
            if (isset($back[$entry->uuid])) {
                continue;
            }
            if ($entry->kind === EntryKind::Withdraw) {
                $back += array_fill_keys($entry->corrects, true);

                continue;
            }
            if (! isset($corrected[$entry->uuid])) {
                $standing[] = $entry;
            }
            $corrected += array_fill_keys($entry->corrects, true);
        }
        usort($standing, static fn (Entry $a, Entry $b): int => [$a->said_at, $a->id] <=> [$b->said_at, $b->id]);

        return $standing;
    }

    /**
     * One line from all that stands of a task: what was said last counts, what it is silent on is taken from those
     * before, findings and notes are everybody's, and of minutes the most that anybody said.
     *
     * @param  non-empty-list<Entry>  $standing  as they were said
     * @return Said
     */
    public static function together(array $standing): array
    {
        $words = array_map(static function (Entry $entry): array {
            /** @var Said $said */
            $said = $entry->body;

            return $said;
        }, $standing);
        $together = array_pop($words);
        $notes = [$together['note'] ?? null];
        foreach (array_reverse($words) as $before) {
            $notes[] = $before['note'] ?? null;
            $together = self::filled($together, $before);
        }
        $together['note'] = implode(' / ', array_unique(array_filter($notes, is_string(...)))) ?: null;

        return $together;
    }

    /**
     * @param  Said  $last
     * @param  Said  $before  said before it, by somebody who did not know of it
     * @return Said
     */
    private static function filled(array $last, array $before): array
    {
        $last = $last['outcome'] === 'not-done' ? $last : self::measured($last, $before);
        $last['findings'] = array_values(array_unique([...($last['findings'] ?? []), ...($before['findings'] ?? [])]));
        $silent = array_filter(
            array_intersect_key($last, array_flip(self::FILLED)), static fn (mixed $value): bool => $value === null,
        );

        return [...$last, ...array_intersect_key($before, $silent)];
    }

    /**
     * @param  Said  $last
     * @param  Said  $before
     * @return Said
     */
    private static function measured(array $last, array $before): array
    {
        $last['amounts'] = array_values(array_column(
            [...($before['amounts'] ?? []), ...($last['amounts'] ?? [])], null, 'what',
        ));
        $last['minutes'] = max($last['minutes'] ?? null, $before['minutes'] ?? null);
        $last['removed_percent'] ??= $before['removed_percent'] ?? null;

        return $last;
    }
}
