<?php

declare(strict_types=1);

namespace App\Field\Record;

use App\Ground\Models\WorkLog;
use App\Ground\Support\Page;
use Illuminate\Database\Eloquent\Collection;

/** The record of the firm or of a garden, the latest first. */
final readonly class RecordPage extends Page
{
    /**
     * @param  Collection<int, WorkLog>  $logs
     * @param  ?string  $older  where the page before these begins; null where there is none
     */
    public function __construct(public RecordFilter $filter, public Collection $logs, public ?string $older)
    {
    }
}
