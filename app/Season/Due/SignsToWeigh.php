<?php

declare(strict_types=1);

namespace App\Season\Due;

use App\Ground\Models\Garden;
use App\Ground\Support\Quietly;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * Pending work for `SignShifts`: where signs were noted or removed, or gardens moved. A row is written in the same
 * transaction as the change, so that nothing is forgotten; the weighing follows after the commit.
 */
final class SignsToWeigh
{
    /** Gardens weighed by the request that changed them; the rest is left to the worker. */
    private const AT_ONCE = 12;

    /** @var array<int, int> ids of the gardens this request has changed */
    private array $changed = [];

    /** A sign was noted or removed in a garden: it counts for all gardens within reach. */
    public function noted(Garden $at, int $season): void
    {
        $this->add($at->id, [[$at->latitude, $at->longitude, $season]]);
    }

    /**
     * A garden was moved, or its frost dates were changed: its own signs are late by another figure now, and it has
     * other neighbours.
     *
     * @param  ?array{float, float}  $before  where it lay, where it lies elsewhere now
     */
    public function moved(Garden $garden, ?array $before): void
    {
        $place = [$garden->latitude, $garden->longitude];
        $places = match (true) {
            // Without signs of its own it affects no neighbour.
            $garden->observations()->doesntExist() => [[null, null]],
            $before === null || $before === $place => [$place],
            default => [$place, $before],
        };
        $this->add($garden->id, array_map(static fn (array $at): array => [...$at, null], $places));
    }

    public static function areLeft(): bool
    {
        return DB::table('signs_to_weigh')->exists();
    }

    /** @return list<stdClass> oldest first */
    public static function all(): array
    {
        return array_values(DB::table('signs_to_weigh')->orderBy('id')->get()->all());
    }

    /**
     * @param  list<int>  $gardens
     * @return list<stdClass>
     */
    public static function of(array $gardens): array
    {
        return array_values(DB::table('signs_to_weigh')->whereIn('garden_id', $gardens)->orderBy('id')->get()->all());
    }

    /**
     * Locks the rows for the rest of the transaction.
     *
     * @param  non-empty-list<stdClass>  $marks
     * @return bool false if another process has already dealt with any of them
     */
    public static function hold(array $marks): bool
    {
        $held = DB::table('signs_to_weigh')->whereIn('id', array_column($marks, 'id'));

        return $held->update(['garden_id' => DB::raw('garden_id')]) === count($marks);
    }

    /** @param  list<stdClass>  $marks */
    public static function done(array $marks): void
    {
        foreach (array_chunk(array_column($marks, 'id'), 500) as $ids) {
            DB::table('signs_to_weigh')->whereIn('id', $ids)->delete();
        }
    }

    /** @param  list<array{?float, ?float, ?int}>  $places  latitude, longitude and season; null for all seasons */
    private function add(int $garden, array $places): void
    {
        DB::table('signs_to_weigh')->insert(array_map(static fn (array $place): array => [
            'garden_id' => $garden, 'latitude' => $place[0], 'longitude' => $place[1], 'season' => $place[2],
        ], $places));
        RenewDue::ask();
        $this->changed[$garden] = $garden;
        DB::afterCommit($this->weighChanged(...));
    }

    /** The changed gardens themselves are looked at next, so they do not wait for the worker. */
    private function weighChanged(): void
    {
        $changed = array_slice($this->changed, 0, self::AT_ONCE);
        $this->changed = [];
        if ($changed !== []) {
            Quietly::write(static fn () => app(SignShifts::class)->weighHere($changed));
        }
    }
}
