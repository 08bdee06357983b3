<?php

declare(strict_types=1);

namespace App\Reports;

use App\Formats\CsvText;
use App\Models\Finding;
use App\Models\Firm;
use App\Models\SeasonReport;
use App\Support\Asked;
use App\Support\Controller;
use App\Support\Today;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Drawing\DotMap;
use PruningHook\Core\Drawing\PairBars;

/** What a season came to, drawn, in tables and as files. */
final class ReportController extends Controller
{
    private const BY = ['garden' => 'By garden', 'kind' => 'By kind', 'crew' => 'By crew',
        'season' => 'By season'];

    private const SEASONS = 10;

    public function show(Request $request): View
    {
        $this->authorize('update', Firm::class);
        $seasons = self::seasons();
        $asked = Asked::whole($request, 'season');
        $season = in_array($asked, $seasons, true) ? $asked : $seasons[0];
        $report = SeasonReport::query()->find($season);
        if ($report === null) {
            $report = self::ask($season);
        }
        $result = $report->result;

        return view('reports.show', (new ReportPage(
            $season, $seasons, $report,
            array_map(static fn (string $name, string $by): array => [
                'name' => $name, 'rows' => $result['hours'][$by] ?? [], 'by' => $by,
                'bars' => PairBars::of(array_map(
                    static fn (array $row): array => [$row[0], $row[1], $row[2]], $result['hours'][$by] ?? [],
                )),
            ], self::BY, array_keys(self::BY)),
            DotMap::of(array_map(static fn (array $row): array => [
                (float) $row['latitude'], (float) $row['longitude'], $row['count'],
                sprintf('%s: %s, %d', $row['garden'], self::called($row['finding']), $row['count']), $row['garden'],
            ], $result['findings'] ?? [])),
            self::findings($result['findings'] ?? []),
        ))->toArray());
    }

    /** Reckoned anew. */
    public function store(Request $request): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        $season = Asked::whole($request, 'season');
        abort_unless(in_array($season, self::seasons(), true), 404);
        self::ask($season);

        return redirect()->route('reports', ['season' => $season]);
    }

    public function table(int $season, string $of): Response
    {
        $this->authorize('update', Firm::class);
        $result = SeasonReport::query()->findOrFail($season)->result ?? abort(404);
        $hours = static fn (string $by): array => [['name', 'planned_minutes', 'took_minutes', 'lines'],
            ...$result['hours'][$by] ?? []];
        $pairs = static fn (array $head, array $of): array => [$head, ...array_map(null, array_keys($of), $of)];
        $rows = match ($of) {
            'windows' => $pairs(['window', 'tasks'], $result['windows']),
            'waste' => $pairs(['month', 'litres'], $result['waste']),
            'renewal' => $pairs(['thirds_through', 'plants'], $result['renewal']),
            'findings' => [['garden', 'latitude', 'longitude', 'finding', 'count'],
                ...array_map(array_values(...), $result['findings'])],
            default => $hours($of),
        };

        return new Response(implode(array_map(CsvText::line(...), $rows)), 200, [
            'Content-Type' => 'text/csv; charset=utf-8; header=present',
            'Content-Disposition' => "attachment; filename=\"$season-$of.csv\"",
        ]);
    }

    private static function ask(int $season): SeasonReport
    {
        $report = SeasonReport::query()->updateOrCreate(['season' => $season], ['asked_at' => Carbon::now()]);
        MakeReport::dispatch($season);

        return $report->refresh();
    }

    /** @return non-empty-list<int> that anything was done in, the last first */
    private static function seasons(): array
    {
        $now = Today::day()->year();
        $first = DB::table('visit_tasks')->min('season');
        $first = max($now - self::SEASONS, is_numeric($first) ? (int) $first : $now);

        return array_reverse(range(min($first, $now), $now + 1));
    }

    /**
     * @param  list<array{finding: string, count: int}>  $found
     * @return list<array{string, int}>
     */
    private static function findings(array $found): array
    {
        $counts = [];
        foreach ($found as $row) {
            $counts[$row['finding']] = ($counts[$row['finding']] ?? 0) + $row['count'];
        }
        arsort($counts);

        return array_map(static fn (string $key, int $count): array => [self::called($key), $count],
            array_keys($counts), $counts);
    }

    private static function called(string $finding): string
    {
        return Finding::tryFrom($finding)?->inWords() ?? ucfirst(str_replace('-', ' ', $finding));
    }
}
