<?php

declare(strict_types=1);

namespace App\Clients;

use App\Models\Firm;
use App\Models\Visit;
use App\Support\Page;

/** The report after a visit. */
final readonly class ReportPage extends Page
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
