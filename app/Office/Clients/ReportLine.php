<?php

declare(strict_types=1);

namespace App\Office\Clients;

use App\Ground\Models\Photo;
use App\Ground\Models\VisitTask;

/** One plant of a visit, as a client reads of it. */
final readonly class ReportLine
{
    /** @param  ?string  $after  what to expect of it; null where nobody sees much */
    public function __construct(public VisitTask $task, public ?string $after)
    {
    }

    public function why(): string
    {
        return rtrim($this->task->prescribed->reasons[0]->because ?? $this->task->prescribed->method, '.');
    }

    /** @return list<Photo> that the client has agreed to */
    public function photos(): array
    {
        return $this->task->visit->garden->photos_ok === true ? array_values($this->task->photos->all()) : [];
    }
}
