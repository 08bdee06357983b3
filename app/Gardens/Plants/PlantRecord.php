<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Ground\Bridge\CorePlants;
use App\Ground\Models\BloomNote;
use App\Ground\Models\Plant;
use App\Ground\Models\WorkLog;
use App\Ground\Support\Say;
use Illuminate\Support\Collection;
use PruningHook\Core\Amount\Budget;
use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Amount\LoggedAmounts;
use PruningHook\Core\Amount\YearsBudget;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Plant\Taken;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Prescriber;

/** A plant's record by seasons: what was done, what it took, and what came of it. */
final readonly class PlantRecord
{
    /** Of the share taken; what may go is not asked here. */
    private const WHOLE = 100;

    public function __construct(
        private PlantBook $book,
        private CorePlants $bridge,
        private Drawings $drawings,
    ) {
    }

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
                array_values($logs->flatMap(static fn (WorkLog $log) => $log->visitTask->photos)
                    ->sortBy('taken_at')->all()),
                $this->drawn($plant, $logs, $blooms->get($season), $blooms->get($season - 1)),
            );
        }

        return $seasons;
    }

    /**
     * The share of its live growth that went by the years, and what may go.
     *
     * @return list<array{season: int, used: ?int, cap: int, planned: ?int}> empty where its kind is not known
     */
    public function shares(Plant $plant, int $season, Day $today): array
    {
        if (! $this->book->has($plant->kind)) {
            return [];
        }

        return YearsBudget::of(
            $this->bridge->plant($plant, $today),
            $season,
            $this->book->keeping,
            // By what was done last: a renewal may take more than a shaping.
            ...$this->book->caps->for(
                $this->book->kind($plant->kind), $plant->workLogs->sortBy('on')->last()?->recipe,
            ),
        );
    }

    /**
     * Then and after; null where nobody counted or measured what came off.
     *
     * @param  Collection<int, WorkLog>  $logs  the latest first
     */
    private function drawn(Plant $plant, Collection $logs, ?BloomNote $bloom, ?BloomNote $before): ?Drawn
    {
        $taken = new Taken;
        $stood = null;
        foreach ($logs->reverse() as $log) {
            $taken = $taken->then(LoggedAmounts::taken($log->amounts));
            $stood ??= LoggedAmounts::beforeMm($log->amounts);
        }
        $first = $logs->last();
        if ($first === null || ($taken->heightMm === null && $taken->stems() === 0)
            || ! $this->book->has($plant->kind)) {
            return null;
        }
        $kind = $this->book->kind($plant->kind);
        $then = (clone $plant)->forceFill([
            // Where nobody measured it that day, it stood where it had flowered, or as tall as it is known.
            'height_mm' => $stood ?? $before->flowering_height_mm ?? $plant->height_mm ?? $kind->typicalHeightMm,
            'height_on' => null, 'stems_old' => null, 'stems_young' => null,
        ]);
        $year = $this->bridge->years($plant->garden)->season($first->season);
        $core = $this->bridge->plant($then, $first->on);
        $tasks = Prescriber::with($this->book)
            ->prescribe($core, $year, $this->bridge->practice($plant->garden))->tasks;

        return $this->drawings->ofRecord(
            $core, $year, Likenesses::drawable($tasks)[0] ?? null, $taken, $bloom?->flowering_height_mm,
        );
    }

    /** @param  Collection<int, WorkLog>  $logs */
    private static function foretold(Collection $logs): ?string
    {
        foreach ($logs as $log) {
            $height = $log->visitTask->prescribed->amount(Effect::FloweringHeight);
            if ($height !== null) {
                return Say::amount($height);
            }
        }

        return null;
    }
}
