<?php

declare(strict_types=1);

namespace App\Office\Clients;

use App\Ground\Models\Firm;
use App\Ground\Models\Visit;
use App\Ground\Support\Page;

/** The report after a visit. */
final readonly class ClientReportPage extends Page
{
    /** @param  list<ReportLine>  $lines  what was logged */
    public function __construct(
        public Firm $firm,
        public Visit $visit,
        public array $lines,
        public ?Visit $next,
    ) {
    }
}
