<?php

declare(strict_types=1);

namespace App\Season\Due;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Whether what is kept of all gardens can be shown: all of it, or only that of the gardens that are fresh. */
final readonly class Readiness
{
    /**
     * @param  int  $stale  gardens that are being worked out anew
     * @param  int  $gardens  all of them, counted only where some are stale
     */
    public function __construct(private Basis $basis, public int $stale, public int $gardens)
    {
    }

    public function isWhole(): bool
    {
        return $this->stale === 0;
    }

    public function fresh(): int
    {
        return $this->gardens - $this->stale;
    }

    /** Keeps a query to the gardens that are fresh; changes nothing where all of them are. */
    public function keepFresh(Builder $query, string $garden): Builder
    {
        return $this->isWhole()
            ? $query
            : $query->whereNotIn(
                $garden,
                $this->basis->stale(
                    DB::table('gardens')
                        ->leftJoin('kept_gardens', 'kept_gardens.garden_id', '=', 'gardens.id')
                        ->select('gardens.id'),
                ),
            );
    }
}
