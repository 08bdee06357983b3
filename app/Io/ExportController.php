<?php

declare(strict_types=1);

namespace App\Io;

use App\Ground\Models\Crew;
use App\Ground\Models\Firm;
use App\Ground\Models\Garden;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use App\Ground\Support\Today;
use App\Io\Calendar\VisitCalendar;
use App\Io\Csv\CsvText;
use App\Io\Csv\LogTable;
use App\Io\Csv\Tables;
use App\Io\Firm\FirmDocument;
use App\Io\GeoJson\PlaceMap;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What the firm has, in open formats: tables as CSV, visits as a calendar, places on a map. */
final class ExportController extends Controller
{
    public function table(Request $request, string $of, Tables $tables): StreamedResponse
    {
        $this->authorize('update', Firm::class);
        $table = $tables->named($of);

        return self::csv($request, $of, $table->columns(), $table->cells(...));
    }

    public function logs(Request $request, LogTable $logs): StreamedResponse
    {
        $this->authorize('update', Firm::class);

        return self::csv($request, 'logs', LogTable::COLUMNS, $logs->cells(...));
    }

    public function calendar(Request $request, VisitCalendar $calendar): StreamedResponse
    {
        $this->authorize('update', Firm::class);
        $crew = Crew::query()->find(Asked::whole($request, 'crew'));
        $garden = Garden::query()->find(Asked::whole($request, 'garden'));

        return $calendar->sent($request, $crew, $garden);
    }

    public function places(Request $request, PlaceMap $map): StreamedResponse
    {
        $this->authorize('update', Firm::class);

        return Download::of($request, 'gardens.geojson', 'application/geo+json', $map->write(...));
    }

    /** Everything, for another installation. */
    public function firm(FirmDocument $document): BinaryFileResponse
    {
        $this->authorize('update', Firm::class);
        $file = (string) tempnam(sys_get_temp_dir(), 'hook-firm');
        $document->write($file);

        return (new BinaryFileResponse($file, 200, [
            'Content-Type' => 'application/zip',
            'Content-Disposition' => sprintf('attachment; filename="%s-firm.zip"', Today::day()),
        ]))->deleteFileAfterSend();
    }

    /**
     * @param  list<string>  $columns
     * @param  Closure(): iterable<list<scalar|null>>  $rows
     */
    private static function csv(Request $request, string $name, array $columns, Closure $rows): StreamedResponse
    {
        return Download::of(
            $request, "$name.csv", 'text/csv; charset=utf-8; header=present',
            static function () use ($columns, $rows): void {
                echo CsvText::line($columns);
                foreach ($rows() as $row) {
                    echo CsvText::line($row);
                }
            },
        );
    }
}
