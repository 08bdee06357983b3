<?php

declare(strict_types=1);

namespace App\Season;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * How many tasks are open, and at their best, in each week in all gardens of a crew. The sums are kept beside the
 * database until anything that is kept of one of the gardens changes: of thousands few do within an hour.
 */
final readonly class CrewWeeks
{
    private const FOR_SECONDS = 7 * 86_400;

    /**
     * @param  list<int>  $crews  0 for gardens without one
     * @return array<int, array<int, array{int, int}>> open and best, by crew and Monday
     */
    public static function of(array $crews, int $from, int $to): array
    {
        $marks = self::marks($crews);
        $weeks = [];
        foreach ($crews as $crew) {
            $mark = ($marks[$crew] ?? '')." $from $to";
            $kept = Cache::get("weeks of crew $crew");
            if (! is_array($kept) || ($kept['mark'] ?? null) !== $mark) {
                $kept = ['mark' => $mark, 'weeks' => self::added($crew, $from, $to)];
                Cache::put("weeks of crew $crew", $kept, self::FOR_SECONDS);
            }
            /** @var array<int, array{int, int}> $its as it was put */
            $its = $kept['weeks'];
            $weeks[$crew] = $its;
        }

        return array_filter($weeks);
    }

    /**
     * @param  list<int>  $crews
     * @return array<int, string> what changes as soon as anything of a crew's gardens does, by crew
     */
    private static function marks(array $crews): array
    {
        $marks = [];
        foreach (self::gardens($crews)->orderBy('gardens.id')->get([
            'gardens.crew_id', 'kept_gardens.garden_id', 'kept_gardens.digest',
        ]) as $garden) {
            $crew = (int) $garden->crew_id;
            $marks[$crew] = ($marks[$crew] ?? '')."$garden->garden_id $garden->digest ";
        }

        return array_map(static fn (string $mark): string => hash('xxh128', $mark), $marks);
    }

    /** @return array<int, array{int, int}> */
    private static function added(int $crew, int $from, int $to): array
    {
        $weeks = [];
        foreach (self::gardens([$crew])->join('kept_weeks', 'kept_weeks.garden_id', '=', 'gardens.id')
            ->whereBetween('week', [$from, $to])
            ->groupBy('week')
            ->selectRaw('week, sum("open") as "open", sum("best") as "best"')
            ->get() as $row) {
            $weeks[(int) $row->week] = [(int) $row->open, (int) $row->best];
        }

        return $weeks;
    }

    /** @param  list<int>  $crews */
    private static function gardens(array $crews): Builder
    {
        return DB::table('gardens')
            ->join('kept_gardens', 'kept_gardens.garden_id', '=', 'gardens.id')
            ->where(Weight::ofCrews(array_map(strval(...), $crews)));
    }
}
