<?php

declare(strict_types=1);

namespace App\Office\Reports;

use App\Ground\Models\Finding;
use App\Ground\Models\SeasonReport;
use App\Ground\Support\Today;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Drawing\DotMap;
use PruningHook\Core\Drawing\PairBars;

/**
 * What a season came to, put together to be shown; asked for where it has not been calculated yet.
 *
 * @phpstan-import-type Result from SeasonReport
 */
final readonly class ReportScreen
{
    private const TALLIES = [
        'windows' => ['Windows', ['kept' => 'kept', 'early' => 'before it opened', 'late' => 'after it closed',
            'missed' => 'missed']],
        'waste' => ['Green waste, litres', []],
        'renewal' => ['Renewed by thirds, plants', [1 => 'one third', 2 => 'two thirds', 3 => 'whole']],
    ];

    private const SEASONS = 10;

    /** @param  string  $finding  that alone is shown on the map; empty for all */
    public function show(int $asked, string $finding): ReportPage
    {
        $seasons = self::seasons();
        $season = in_array($asked, $seasons, true) ? $asked : $seasons[0];
        $report = SeasonReport::query()->find($season) ?? $this->ask($season);
        $found = $report->result['findings'] ?? [];
        $shown = array_values(array_filter(
            $found, static fn (array $row): bool => $row['finding'] === $finding,
        ));
        $hours = [];
        [$forecast, $fact] = HoursColumn::cases();
        foreach (HoursBy::cases() as $by) {
            $rows = $report->result['hours'][$by->value] ?? [];
            $hours[] = ['by' => $by, 'rows' => $rows, 'bars' => PairBars::of(array_map(
                static fn (array $row): array => [
                    (string) $row['name'], (int) $row[$forecast->value], (int) $row[$fact->value],
                ], $rows,
            ))];
        }

        return new ReportPage(
            $season, $seasons, $report, $hours, $report->result === null ? [] : self::tallies($report->result),
            DotMap::of(array_map(static fn (array $row): array => [
                (float) $row['latitude'], (float) $row['longitude'], $row['count'],
                sprintf('%s: %s, %d', $row['garden'], self::called($row['finding']), $row['count']), $row['garden'],
            ], $shown === [] ? $found : $shown)),
            self::findings($found), $shown === [] ? null : self::called($finding),
        );
    }

    /**
     * @param  Result  $result
     * @return list<array{of: string, title: string, most: int, rows: list<array{string, int}>}>
     */
    private static function tallies(array $result): array
    {
        $tallies = [];
        foreach (self::TALLIES as $of => [$title, $words]) {
            $rows = [];
            foreach ($result[$of] as $key => $many) {
                $rows[] = [$words[$key] ?? (string) $key, $many];
            }
            $tallies[] = [
                'of' => $of, 'title' => $title, 'most' => max([0, ...array_column($rows, 1)]), 'rows' => $rows,
            ];
        }

        return $tallies;
    }

    /** Recalculated, on the queue. */
    public function ask(int $season): SeasonReport
    {
        $report = SeasonReport::query()->updateOrCreate(['season' => $season], ['asked_at' => Carbon::now()]);
        MakeReport::dispatch($season);

        return $report->refresh();
    }

    /** @return non-empty-list<int> for which anything was planned, the last first */
    public static function seasons(): array
    {
        $now = Today::day()->year();
        $tasks = DB::table('visit_tasks');
        [$first, $last] = [(int) ($tasks->min('season') ?? $now), (int) ($tasks->max('season') ?? $now)];
        // A season may begin in the year before.
        $last = max($first, min($now + 1, $last));

        return array_reverse(range(min($last, max($now - self::SEASONS, $first)), $last));
    }

    /**
     * @param  list<array{finding: string, count: int}>  $found
     * @return list<array{string, string, int}>
     */
    private static function findings(array $found): array
    {
        $counts = [];
        foreach ($found as $row) {
            $counts[$row['finding']] = ($counts[$row['finding']] ?? 0) + $row['count'];
        }
        arsort($counts);

        return array_map(static fn (string $key, int $count): array => [$key, self::called($key), $count],
            array_keys($counts), $counts);
    }

    private static function called(string $finding): string
    {
        return Finding::tryFrom($finding)?->inWords() ?? ucfirst(str_replace('-', ' ', $finding));
    }
}
