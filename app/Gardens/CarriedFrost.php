<?php

declare(strict_types=1);

namespace App\Gardens;

use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Garden;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Hopkins;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\Stations;
use PruningHook\Core\PlantBook\PlantBook;

/** Frost dates carried to a new garden from the nearest one that has them, by Hopkins' law. */
final readonly class CarriedFrost
{
    private const CANDIDATES = 8;

    public function __construct(private CorePlants $bridge, private PlantBook $book)
    {
    }

    /**
     * @return array{last_frost: ?string, first_frost: ?string, winter: ?string,
     *     says: string} nulls where neither a garden nor the nearest station has frost dates
     */
    public function to(Site $site, ?Garden $besides): array
    {
        $nearest = null;
        $away = INF;
        foreach ($this->candidates($site, $besides) as $garden) {
            $km = $this->bridge->site($garden)->kilometresTo($site);
            if ($km < $away) {
                [$nearest, $away] = [$garden, $km];
            }
        }
        $carried = $nearest === null ? null : Hopkins::carry($this->bridge->site($nearest), $site);
        if ($nearest === null || $carried === null) {
            return $this->fromStation($site);
        }
        $delay = Hopkins::delay($this->bridge->site($nearest), $site);

        return [
            'last_frost' => (string) $carried['last'],
            'first_frost' => (string) $carried['first'],
            'winter' => $nearest->winter,
            'says' => sprintf(
                'From %s, %d km away: %s there and %s. By Hopkins\' law spring comes %s here, and the first frost '
                    .'as much %s. Correct them by what you see.',
                $nearest->name,
                (int) round($away),
                $nearest->last_frost,
                $nearest->first_frost,
                $delay === 0 ? 'on the same day' : sprintf('%d days %s', abs($delay), $delay > 0 ? 'later' : 'earlier'),
                $delay > 0 ? 'earlier' : 'later',
            ),
        ];
    }

    /**
     * The firm's first garden has no neighbour: the nearest station of the plant book stands in.
     *
     * @return array{last_frost: ?string, first_frost: ?string, winter: ?string, says: string}
     */
    private function fromStation(Site $site): array
    {
        $station = $this->book->stations->nearest($site);
        $km = (int) round($station->site->kilometresTo($site));
        $carried = $km > Stations::FAR_KM ? null : Hopkins::carry($station->site, $site);

        return [
            'last_frost' => $carried === null ? null : (string) $carried['last'],
            'first_frost' => $carried === null ? null : (string) $carried['first'],
            'winter' => null,
            'says' => sprintf(
                $carried === null
                    ? 'The nearest station, %s, %d km away, has no frost to carry over: say that the winter is warm, '
                        .'or write the dates.'
                    : 'From the station of %s, %d km away, by Hopkins\' law. Correct them by what you see.',
                $station->name, $km,
            ),
        ];
    }

    /**
     * The few gardens with frost dates that lie nearest on a flat map: one of them is the nearest on the globe.
     *
     * @return Collection<int, Garden>
     */
    private function candidates(Site $site, ?Garden $besides): Collection
    {
        $narrower = cos(deg2rad($site->latitude));
        $ids = DB::table('gardens')
            ->whereNotNull('last_frost')
            ->where('id', '!=', $besides->id ?? 0)
            ->orderByRaw('(latitude - ?) * (latitude - ?) + (longitude - ?) * (longitude - ?) * ?', [
                $site->latitude, $site->latitude, $site->longitude, $site->longitude, $narrower ** 2,
            ])
            ->limit(self::CANDIDATES)
            ->pluck('id')
            ->all();

        return Garden::query()->whereKey($ids)->get();
    }
}
