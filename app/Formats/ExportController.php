<?php

declare(strict_types=1);

namespace App\Formats;

use App\Models\Crew;
use App\Models\Firm;
use App\Models\Garden;
use App\Support\Asked;
use App\Support\Controller;
use App\Support\Today;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What the firm has, in open formats: tables as CSV, visits as a calendar, places on a map. */
final class ExportController extends Controller
{
    public function table(string $of, Tables $tables): StreamedResponse
    {
        $this->authorize('update', Firm::class);
        $table = $tables->named($of);

        return self::csv($of, $table->columns(), $table->cells());
    }

    public function logs(LogTable $logs): StreamedResponse
    {
        $this->authorize('update', Firm::class);

        return self::csv('logs', LogTable::COLUMNS, $logs->cells());
    }

    public function calendar(Request $request, VisitCalendar $calendar): Response
    {
        $this->authorize('update', Firm::class);
        $crew = Crew::query()->find(Asked::whole($request, 'crew'));
        $garden = Garden::query()->find(Asked::whole($request, 'garden'));

        return self::ics($calendar->of($crew, $garden), 'visits');
    }

    public function places(PlaceMap $map): StreamedResponse
    {
        $this->authorize('update', Firm::class);

        return new StreamedResponse($map->write(...), 200, [
            'Content-Type' => 'application/geo+json', 'Content-Disposition' => self::named('gardens.geojson'),
        ]);
    }

    /** Everything, for another installation. */
    public function firm(FirmDocument $document): BinaryFileResponse
    {
        $this->authorize('update', Firm::class);
        $file = (string) tempnam(sys_get_temp_dir(), 'hook-firm');
        $document->write($file);

        return (new BinaryFileResponse($file, 200, [
            'Content-Type' => 'application/zip', 'Content-Disposition' => self::named('firm.zip'),
        ]))->deleteFileAfterSend();
    }

    public static function ics(string $calendar, string $name): Response
    {
        return new Response($calendar, 200, [
            'Content-Type' => 'text/calendar; charset=utf-8', 'Content-Disposition' => self::named("$name.ics"),
        ]);
    }

    private static function named(string $file): string
    {
        return sprintf('attachment; filename="%s-%s"', Today::day(), $file);
    }

    /**
     * @param  list<string>  $columns
     * @param  iterable<list<scalar|null>>  $rows
     */
    private static function csv(string $name, array $columns, iterable $rows): StreamedResponse
    {
        return new StreamedResponse(static function () use ($columns, $rows): void {
            echo CsvText::line($columns);
            foreach ($rows as $row) {
                echo CsvText::line($row);
            }
        }, 200, [
            'Content-Type' => 'text/csv; charset=utf-8; header=present',
            'Content-Disposition' => self::named("$name.csv"),
        ]);
    }
}
