<?php

declare(strict_types=1);

namespace App\Ground\Bridge;

use App\Ground\Models\Finding;
use App\Ground\Models\Firm;
use App\Ground\Models\Garden;
use App\Ground\Models\Hindrance;
use App\Ground\Models\Plant;
use App\Ground\Models\WorkLog;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Amount\LoggedAmounts;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\GivenSite;
use PruningHook\Core\Calendar\Hemisphere;
use PruningHook\Core\Calendar\MonthDay;
use PruningHook\Core\Calendar\Normals;
use PruningHook\Core\Calendar\Region;
use PruningHook\Core\Calendar\SeasonSeen;
use PruningHook\Core\Calendar\Shift;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\Plant\Growing;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Plant as CorePlant;
use PruningHook\Core\Plant\State;
use PruningHook\Core\Plant\StemCount;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Schools\ChosenSchools;

/**
 * Turns rows into the core's values. Nothing else does. One serves a whole request, so that nothing is read twice.
 *
 * @phpstan-import-type Facts from StateFacts
 */
final class CorePlants
{
    private ?Firm $firm = null;

    /** @var array<int, SiteYears> */
    private array $years = [];

    /** @var array<string, Site> */
    private array $places = [];

    /** @var array<int, ChosenSchools> */
    private array $practices = [];

    public function __construct(private readonly PlantBook $book)
    {
    }

    /**
     * @param  ?list<LoggedWork>  $history  its record, where it is read already and only windows and minutes are asked
     *     for
     * @param  list<int>  $growthSeen  what it has shown of its growth, given with the record
     *
     * @throws \PruningHook\Core\Fault when the row holds what the core refuses
     */
    public function plant(Plant $row, Day $today, ?array $history = null, array $growthSeen = []): CorePlant
    {
        $plant = $this->read(
            $row, $history ?? self::history($row), $history === null ? self::growthSeen($row) : $growthSeen,
        );
        // What was measured is carried to today by the record and the growth since; what passes is forgotten with the
        // midwinters.
        if (
            ! $this->book->has($plant->kind)
            || ($plant->stemsOn === null && $plant->heightOn === null && $plant->state->seen === null)
        ) {
            return $plant;
        }

        return $plant->on(
            $today,
            Hemisphere::at($row->garden->latitude),
            $this->book->figures->growing($this->book->kind($plant->kind)),
            $this->book->keeping,
        );
    }

    /**
     * A plant as its row has it: of forty plants at once, reading them through the model takes longer than all that is
     * worked out.
     *
     * @param  list<LoggedWork>  $history
     * @param  list<int>  $growthSeen
     */
    private function read(Plant $row, array $history, array $growthSeen): CorePlant
    {
        $raw = $row->getAttributes();
        $int = static fn (string $column): ?int => isset($raw[$column]) ? (int) $raw[$column] : null;
        $day = static fn (string $column): ?Day => isset($raw[$column]) ? Day::parse((string) $raw[$column]) : null;
        $list = static fn (string $column): array => in_array($raw[$column] ?? '[]', ['[]', '{}'], true)
            ? []
            : (array) json_decode((string) $raw[$column], true);
        [$old, $young] = [$int('stems_old'), $int('stems_young')];

        return new CorePlant(
            ref: (string) $int('id'),
            kind: (string) $raw['kind'],
            planted: $day('planted_on'),
            heightMm: $int('height_mm'),
            spreadMm: $int('spread_mm'),
            runMm: $int('run_mm'),
            count: $int('count') ?? 1,
            floweringHeightMm: $int('flowering_height_mm'),
            stems: $old === null && $young === null ? null : StemCount::of((int) $old, (int) $young),
            form: $raw['form'] ?? null,
            aim: $raw['aim'] ?? null,
            grafted: isset($raw['grafted']) ? (bool) $raw['grafted'] : null,
            practice: $this->known($list('practice')),
            hazards: array_values(array_filter($list('hazards'), is_string(...))),
            history: $history,
            pruningsG: $int('prunings_g'),
            budMortalityPercent: $int('bud_mortality_percent'),
            growthSeenMm: $growthSeen,
            stemsOn: $day('stems_on'),
            heightOn: $day('height_on'),
            state: self::state($list('state'), $raw['state_on'] ?? null),
        );
    }

    /** @param  array<array-key, mixed>  $facts */
    private static function state(array $facts, ?string $seen): State
    {
        /** @var Facts $facts as the form has checked them */
        return $facts === [] ? new State : StateFacts::read($facts, $seen === null ? null : Day::parse($seen));
    }

    /** @return list<LoggedWork> */
    public static function history(Plant $row): array
    {
        return array_values(
            $row->workLogs
                ->map(
                    static fn (WorkLog $log): LoggedWork => new LoggedWork(
                        $log->task,
                        $log->season,
                        $log->on,
                        $log->outcome,
                        $log->minutes,
                        $log->removed_percent,
                        $log->found(Finding::Nest) || $log->why === Hindrance::Nest,
                        $log->recipe,
                        LoggedAmounts::taken($log->amounts),
                        $log->found(Finding::Disease),
                        $log->rain_mm,
                    ),
                )
                ->all(),
        );
    }

    /** @return list<int> growth from the cut to the flowers in the seasons in which both were noted */
    private static function growthSeen(Plant $row): array
    {
        $cuts = [];
        foreach ($row->workLogs->sortBy('on') as $log) {
            $cuts[$log->season] = LoggedAmounts::cutMm($log->amounts) ?? $cuts[$log->season] ?? null;
        }
        $flowered =
            $cuts === [] ? [] : $row->bloomNotes->whereNotNull('flowering_height_mm')->sortBy('season')
                ->pluck('flowering_height_mm', 'season')->all();

        return Growing::seen($cuts, $flowered);
    }

    public function site(Garden $row): Site
    {
        return $this->book->stations->site(new GivenSite(
            $row->latitude,
            $row->longitude,
            $row->elevation_m,
            $row->last_frost === null ? null : MonthDay::parse($row->last_frost),
            $row->first_frost === null ? null : MonthDay::parse($row->first_frost),
            WinterClass::tryFrom($row->winter),
            $row->region === null ? null : Region::tryFrom($row->region),
            $row->normals === null ? null : Normals::of($row->normals),
        ));
    }

    /** A place as far as its distance from others goes. */
    public function place(float $latitude, float $longitude): Site
    {
        return $this->places["$latitude $longitude"] ??= new Site(
            $latitude,
            $longitude,
            0,
            null,
            null,
            WinterClass::Warm,
        );
    }

    /**
     * The garden's site through its seasons, with what the signs its crew and its neighbours' have seen come to.
     *
     * @throws \PruningHook\Core\Fault when the garden lies nowhere on earth, or lacks its frost dates
     */
    public function years(Garden $row): SiteYears
    {
        if (isset($this->years[$row->id])) {
            return $this->years[$row->id];
        }
        $seasons = [];
        foreach (DB::table('garden_seasons')->where('garden_id', $row->id)->get() as $kept) {
            $seasons[(int) $kept->season] = SeasonSeen::of(
                Shift::of((int) $kept->spring_days, self::words($kept->spring_from), (int) $kept->spring_more),
                Shift::of((int) $kept->autumn_days, self::words($kept->autumn_from), (int) $kept->autumn_more),
                array_map(Day::fromNumber(...), (array) json_decode($kept->days, true)),
            );
        }

        return $this->years[$row->id] = SiteYears::of($this->site($row), $seasons);
    }

    /** @return list<string> */
    private static function words(string $json): array
    {
        return array_values(array_filter((array) json_decode($json, true), is_string(...)));
    }

    /** What was worked out of a garden is forgotten: it has changed within this request. */
    public function forget(): void
    {
        $this->years = $this->practices = [];
        $this->firm = null;
    }

    /** The schools of firm and garden. What the book no longer knows of them is put aside, and said by `putAside`. */
    public function practice(Garden $row): ChosenSchools
    {
        return $this->practices[$row->id] ??= ChosenSchools::of(
            $this->book->questions,
            $this->known($this->firm()->practice),
            $this->known($row->practice),
        );
    }

    /** The firm's own schools, of no garden. */
    public function housePractice(): ChosenSchools
    {
        return ChosenSchools::of($this->book->questions, $this->known($this->firm()->practice));
    }

    /**
     * The choices that the book no longer offers, in words: what stands in their place is said by the prescription.
     *
     * @param  array<string, string>  $practice  question to option
     * @return list<string>
     */
    public function putAside(array $practice): array
    {
        $aside = [];
        foreach (array_diff_key($practice, $this->known($practice)) as $question => $option) {
            $aside[] = sprintf(
                'The choice "%s" for "%s" is put aside: the plant book no longer offers it.',
                $option,
                $this->book->questions[$question]->name ?? $question,
            );
        }

        return $aside;
    }

    public function firm(): Firm
    {
        return $this->firm ??= Firm::ours();
    }

    /**
     * @param  array<string, string>  $practice  question to option
     * @return array<string, string>
     */
    private function known(array $practice): array
    {
        return array_filter(
            $practice,
            fn (string $option, string $question): bool => isset($this->book->questions[$question]->options[$option]),
            ARRAY_FILTER_USE_BOTH,
        );
    }
}
