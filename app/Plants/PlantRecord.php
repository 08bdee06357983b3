<?php

declare(strict_types=1);

namespace App\Plants;

use App\Bridge\CorePlants;
use App\Models\Plant;
use App\Models\WorkLog;
use Illuminate\Support\Collection;
use PruningHook\Core\Amount\Budget;
use PruningHook\Core\Amount\Effect;

/** A plant's record by seasons: what was done, what it took, and what came of it. */
final readonly class PlantRecord
{
    /** Of the share taken; what may go is not asked here. */
    private const WHOLE = 100;

    /**
     * @return list<RecordSeason> the latest first
     */
    public function of(Plant $plant): array
    {
        $plant->load([
            'garden', 'bloomNotes', 'workLogs' => ['loggedBy', 'visitTask:id,visit_id,prescribed', 'visitTask.photos'],
        ]);
        $history = CorePlants::history($plant);
        $blooms = $plant->bloomNotes->keyBy('season');
        $seasons = [];
        foreach ($plant->workLogs->sortByDesc('on')->groupBy('season')->sortKeysDesc() as $season => $logs) {
            $season = (int) $season;
            $seasons[] = new RecordSeason(
                $season,
                $logs,
                (int) $logs->sum('minutes'),
                Budget::of(self::WHOLE, '', $history, $season)->usedPercent,
                self::foretold($logs),
                $blooms->get($season),
                array_merge(...array_values($logs->map(
                    static fn (WorkLog $log): array => $log->visitTask->photos->all(),
                )->all())),
            );
        }

        return $seasons;
    }

    /** @param  Collection<int, WorkLog>  $logs */
    private static function foretold(Collection $logs): ?string
    {
        foreach ($logs as $log) {
            $height = $log->visitTask->prescribed->amount(Effect::FloweringHeight);
            if ($height !== null) {
                return $height->inWords();
            }
        }

        return null;
    }
}
