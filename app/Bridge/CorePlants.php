<?php

declare(strict_types=1);

namespace App\Bridge;

use App\Models\Firm;
use App\Models\Garden;
use App\Models\Observation;
use App\Models\Plant;
use App\Models\WorkLog;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use PruningHook\Core\Amount\FloweringHeight;
use PruningHook\Core\Amount\Thirds;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\MonthDay;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\Observation as CoreObservation;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\PlantBook\SeasonReader;
use PruningHook\Core\Practice\Practice;
use PruningHook\Core\Prescription\LoggedWork;
use PruningHook\Core\Prescription\Plant as CorePlant;
use PruningHook\Core\Prescription\StemCount;

/** Turns rows into the core's values. Nothing else does. */
final class CorePlants
{
    private ?Firm $firm = null;

    /** @var ?Collection<int, Observation> */
    private ?Collection $observations = null;

    /** @var array<int, SiteYears> */
    private array $years = [];

    public function __construct(private readonly PlantBook $book)
    {
    }

    /** @throws \PruningHook\Core\Fault when the row holds what the core refuses */
    public function plant(Plant $row): CorePlant
    {
        return CorePlant::of(
            ref: (string) $row->id,
            kind: $row->kind,
            planted: $row->planted_on === null ? null : self::day($row->planted_on),
            heightMm: $row->height_mm,
            spreadMm: $row->spread_mm,
            runMm: $row->run_mm,
            count: $row->count,
            floweringHeightMm: $row->flowering_height_mm,
            stems: $row->stems_old === null && $row->stems_young === null ? null : StemCount::of($row->stems_old ?? 0, $row->stems_young ?? 0),
            form: $row->form,
            aim: $row->aim,
            grafted: $row->grafted,
            practice: $row->practice,
            hazards: $row->hazards,
            history: array_values($row->workLogs->map(static fn (WorkLog $log): LoggedWork => LoggedWork::of(
                $log->task, $log->season, self::day($log->on), $log->outcome, $log->minutes,
                $log->removed_percent, in_array('Nest', $log->findings, true) || $log->why === 'Nest found',
                collect($log->amounts)->contains(static fn (array $amount): bool => $amount['what'] === Thirds::TAKE && $amount['value'] > 0),
            ))->all()),
            pruningsG: $row->prunings_g,
            budMortalityPercent: $row->bud_mortality_percent,
            growthSeenMm: self::growthSeen($row),
        );
    }

    /**
     * Growth from the cut to the flowers in the seasons in which both were noted.
     *
     * @return list<int>
     */
    private static function growthSeen(Plant $row): array
    {
        $cuts = [];
        foreach ($row->workLogs->sortBy('on') as $log) {
            foreach ($log->amounts as $amount) {
                if ($amount['what'] === FloweringHeight::CUT) {
                    $cuts[$log->season] = $amount['value'];
                }
            }
        }
        $seen = [];
        foreach ($cuts === [] ? [] : $row->bloomNotes->sortBy('season') as $note) {
            if (isset($cuts[$note->season]) && $note->flowering_height_mm > $cuts[$note->season]) {
                $seen[] = $note->flowering_height_mm - $cuts[$note->season];
            }
        }

        return $seen;
    }

    public function site(Garden $row): Site
    {
        return Site::of(
            $row->latitude,
            $row->longitude,
            $row->elevation_m,
            $row->last_frost === null ? null : MonthDay::parse($row->last_frost),
            $row->first_frost === null ? null : MonthDay::parse($row->first_frost),
            WinterClass::from($row->winter),
        );
    }

    /** The garden's site through its seasons, with the signs its crew and its neighbours' have seen. */
    public function years(Garden $row): SiteYears
    {
        return $this->years[$row->id] ??= $this->readYears($row);
    }

    private function readYears(Garden $row): SiteYears
    {
        $site = $this->site($row);
        $reader = SeasonReader::with($this->book);
        $seasons = [];
        foreach ($this->observations()->groupBy('season') as $season => $seen) {
            $season = (int) $season;
            $average = SiteYear::of($site, $season);
            $near = [];
            foreach ($seen->where('garden_id', '!=', $row->id) as $observation) {
                $there = $this->site($observation->garden);
                if ($site->kilometresTo($there) <= $this->book->figures->number(Figure::NeighboursWithin)) {
                    $near[] = [self::observation($observation), SiteYear::of($there, $season), $observation->garden->name];
                }
            }
            $seasons[$season] = $reader->read(
                array_values($seen->where('garden_id', $row->id)->map(self::observation(...))->all()),
                $average,
                $near,
            );
        }

        return SiteYears::of($site, $seasons);
    }

    /** @return Collection<int, Observation> */
    private function observations(): Collection
    {
        return $this->observations ??= Observation::query()->with('garden')->get()->sortBy('on');
    }

    private static function observation(Observation $row): CoreObservation
    {
        return CoreObservation::of($row->event, self::day($row->on));
    }

    public function practice(Garden $row): Practice
    {
        $this->firm ??= Firm::ours();

        return Practice::of($this->book->questions, $this->firm->practice, $row->practice);
    }

    public static function day(Carbon $date): Day
    {
        return Day::parse($date->format('Y-m-d'));
    }
}
