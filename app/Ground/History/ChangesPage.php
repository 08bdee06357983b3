<?php

declare(strict_types=1);

namespace App\Ground\History;

use App\Ground\Models\Change;
use App\Ground\Models\Did;
use App\Ground\Support\Page;
use Illuminate\Database\Eloquent\Collection;

/** Changes of the firm, the latest first, and what was asked for. */
final readonly class ChangesPage extends Page
{
    /**
     * @param  Collection<int, Change>  $changes
     * @param  array<int, string>  $people  by id
     * @param  ?int  $older  where the page before these begins; null where there is none
     */
    public function __construct(
        public Collection $changes,
        public string $text,
        public ?Did $did,
        public string $of,
        public int $who,
        public array $people,
        public ?int $older,
    ) {
    }
}
