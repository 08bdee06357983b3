<?php

declare(strict_types=1);

namespace App\Due;

use App\Models\Garden;
use App\Support\Quietly;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * Where signs were noted or taken back, or gardens moved, and who is near has not been weighed yet. It is written with
 * the sign itself, so that nothing is forgotten; the weighing follows once the sign is kept and nobody waits for it.
 */
final class SignsToWeigh
{
    /** So many gardens are weighed by the page that changed them; more are left to the worker. */
    private const AT_ONCE = 12;

    /** @var array<int, int> gardens this request has changed */
    private array $changed = [];

    /** A sign was noted or taken back in a garden: whoever is near enough hears of it. */
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
            // A garden that has seen nothing tells nobody anything.
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
     * Holds them in the transaction that writes what they came to.
     *
     * @param  non-empty-list<stdClass>  $marks
     * @return bool false where another has dealt with any of them
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

    /** The gardens that were changed themselves are looked at next: they do not wait for the worker. */
    private function weighChanged(): void
    {
        $changed = array_slice($this->changed, 0, self::AT_ONCE);
        $this->changed = [];
        if ($changed !== []) {
            Quietly::write(static fn () => app(SignShifts::class)->weighHere($changed));
        }
    }
}
