<?php

declare(strict_types=1);

namespace App\Office\Reports;

use App\Ground\Models\SeasonReport;
use App\Ground\Support\Page;
use PruningHook\Core\Drawing\DotMap;
use PruningHook\Core\Drawing\PairBars;

/**
 * What a season came to, drawn and in tables.
 *
 * @phpstan-import-type Hours from SeasonReport
 */
final readonly class ReportPage extends Page
{
    /**
     * @param  list<int>  $seasons  there are lines of, the last first
     * @param  list<array{by: HoursBy, bars: PairBars, rows: Hours}>  $hours
     * @param  list<array{of: string, title: string, most: int, rows: list<array{string, int}>}>  $tallies  `most` is 0
     *     where nothing was counted
     * @param  list<array{string, string, int}>  $findings  each with its name and how often, the most first
     * @param  ?string  $finding  the one the map shows; null where it shows all
     */
    public function __construct(
        public int $season,
        public array $seasons,
        public ?SeasonReport $report,
        public array $hours,
        public array $tallies,
        public DotMap $map,
        public array $findings,
        public ?string $finding,
    ) {
    }
}
