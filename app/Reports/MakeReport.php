<?php

declare(strict_types=1);

namespace App\Reports;

use App\Models\SeasonReport;
use App\Support\Today;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Support\Carbon;

/** Reckons what a season came to, on the queue. */
final class MakeReport implements ShouldQueue
{
    use Dispatchable;
    use Queueable;

    public int $tries = 1;

    public int $timeout = 300;

    public function __construct(private readonly int $season)
    {
        $this->afterCommit();
    }

    public function handle(Reckoning $reckoning): void
    {
        SeasonReport::query()->updateOrCreate(['season' => $this->season], [
            'result' => $reckoning->of($this->season, Today::day()), 'made_at' => Carbon::now(),
        ]);
    }
}
