<?php

declare(strict_types=1);

namespace App\Office\Reports;

use App\Ground\Models\Firm;
use App\Ground\Models\SeasonReport;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use App\Io\Csv\CsvText;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What a season came to, drawn, in tables and as files. */
final class ReportController extends Controller
{
    public function show(Request $request, ReportScreen $screen): View
    {
        $this->authorize('update', Firm::class);

        return view('reports.show', $screen->show(
            Asked::whole($request, 'season'), Asked::text($request, 'finding'),
        )->toArray());
    }

    /** Recalculates it. */
    public function store(Request $request, ReportScreen $screen): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        $season = Asked::whole($request, 'season');
        if (! in_array($season, ReportScreen::seasons(), true)) {
            abort(404);
        }
        $screen->ask($season);

        return redirect()->route('reports', ['season' => $season]);
    }

    public function table(int $season, string $of): Response
    {
        $this->authorize('update', Firm::class);
        $result = SeasonReport::query()->findOrFail($season)->result ?? abort(404);
        $hours = static fn (string $by): array => [
            ['name', ...array_column(HoursColumn::cases(), 'value')],
            ...array_map(array_values(...), $result['hours'][$by] ?? []),
        ];
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
}
