<?php

declare(strict_types=1);

namespace App\Gardens;

use App\Ground\Models\Garden;
use App\Ground\Support\Page;
use App\Ground\Support\Pages;
use Illuminate\Database\Eloquent\Collection;
use stdClass;

/** The gardens of the firm, a page at a time, with what presses in each. */
final readonly class GardensPage extends Page
{
    /**
     * @param  string  $text  what was asked for
     * @param  Collection<int, Garden>  $gardens
     * @param  array<array-key, stdClass>  $kept  by garden
     * @param  array<string, array<array-key, mixed>>  $pressing  how many tasks, by urgency and garden
     */
    public function __construct(
        public string $text,
        public bool $isArchive,
        public Collection $gardens,
        public Pages $pages,
        public array $kept,
        public array $pressing,
    ) {
    }
}
