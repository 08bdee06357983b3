<?php

declare(strict_types=1);

namespace App\Season\Weather;

use App\Ground\Bridge\CorePlants;
use App\Ground\Bridge\ReadsRain;
use App\Ground\Models\Garden;
use App\Season\Due\Revisions;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\PlantBook\PlantBook;
use stdClass;

/**
 * Writes into the record how much rain came in the days after each cut, once these days are over: what has been watered
 * by the sky need not be watered in.
 */
final readonly class RainRead implements ReadsRain
{
    /** Cuts before that have nothing due any more that rain could spare. */
    private const LOOKED_BACK = 45;

    public function __construct(private Outlook $outlook, private CorePlants $bridge, private PlantBook $book)
    {
    }

    public function readIfDue(Day $today): void
    {
        $logs = DB::table('work_logs')
            ->join('plants', 'plants.id', '=', 'work_logs.plant_id')
            ->whereNull('rain_mm')
            ->whereBetween('on', [
                (string) $today->minus(self::LOOKED_BACK), (string) $today->minus(LoggedWork::RAIN_DAYS),
            ])
            ->get(['work_logs.id', 'on', 'garden_id']);
        if ($logs->isNotEmpty()) {
            $this->read($logs);
        }
    }

    /** @param  Collection<int, stdClass>  $logs */
    private function read(Collection $logs): void
    {
        $gardens = Garden::query()->whereKey($logs->pluck('garden_id')->unique()->all())->get()->keyBy('id');
        $spares = $this->book->recipes->leastRain;
        foreach ($logs->groupBy(['garden_id', 'on']) as $garden => $days) {
            foreach ($days as $on => $cut) {
                if (! isset($gardens[$garden])) {
                    continue;
                }
                $first = Day::parse((string) $on);
                $rain = (int) floor($this->outlook->rain(
                    $this->bridge->site($gardens[$garden]), $first, $first->plus(LoggedWork::RAIN_DAYS - 1),
                ));
                DB::transaction(static function () use ($garden, $cut, $on, $rain, $spares): void {
                    // A log that was moved to another day meanwhile had other rain.
                    DB::table('work_logs')->whereIn('id', $cut->pluck('id')->all())->where('on', $on)
                        ->update(['rain_mm' => $rain]);
                    if ($spares !== null && $rain >= $spares) {
                        Revisions::gardens((int) $garden);
                    }
                });
            }
        }
    }
}
