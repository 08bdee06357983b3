<?php

declare(strict_types=1);

namespace App\Office\Reports;

use App\Ground\Models\SeasonReport;
use App\Ground\Support\LongQueue;
use App\Ground\Support\Today;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Support\Carbon;

/** Calculates the season report, on the queue. */
final class MakeReport implements ShouldQueue
{
    use Dispatchable;
    use Queueable;

    public int $tries = 2;

    /** Less than the queue waits: it is a few sums, and says nothing on the way. */
    public int $timeout = 50;

    public function __construct(private readonly int $season)
    {
        $this->afterCommit();
        $this->onQueue(LongQueue::NAME);
    }

    public function handle(ReportCalculator $calculator): void
    {
        $result = $calculator->of($this->season, Today::day());
        SeasonReport::query()->updateOrCreate(
            ['season' => $this->season], ['result' => $result, 'made_at' => Carbon::now()],
        );
    }
}
