<?php

declare(strict_types=1);

namespace App\Office\Clients;

use App\Ground\Models\Firm;
use App\Ground\Models\Garden;
use App\Ground\Support\Page;
use PruningHook\Core\Calendar\Day;

/** The season's letter of a garden. */
final readonly class LetterPage extends Page
{
    /**
     * @param  array<string, list<LetterLine>>  $months  what is done, by month in words, the first first
     * @param  list<string>  $asks  what we ask of the client
     */
    public function __construct(
        public Firm $firm,
        public Garden $garden,
        public Day $today,
        public array $months,
        public array $asks,
    ) {
    }
}
