<?php

declare(strict_types=1);

namespace App\Planning;

use App\Ground\Models\DraftStatus;
use App\Ground\Models\PlanDraft;
use App\Ground\Support\LongQueue;
use App\Ground\Support\Reading;
use App\Ground\Support\StaysReserved;
use App\Ground\Support\Today;
use App\Ground\Support\Trouble;
use App\Season\Due\DueKeeper;
use App\Season\Weather\Outlook;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Planning\Season\Planner;
use Throwable;

/** Makes a plan that was asked for, on the queue; says how far it is, and ends when nobody wants it any more. */
final class MakeDraft implements ShouldQueue
{
    use Dispatchable;
    use Queueable;
    use StaysReserved;

    public int $tries = 3;

    public int $timeout = 600;

    /** Seconds between two words of how far it is. */
    private const EVERY = 0.4;

    public function __construct(private readonly int $draft)
    {
        $this->afterCommit();
        $this->onQueue(LongQueue::NAME);
    }

    public function handle(DueKeeper $keeper, Outlook $outlook): void
    {
        $draft = PlanDraft::query()->find($this->draft);
        // One whose worker was killed begins again.
        if ($draft === null || ! in_array($draft->status, [DraftStatus::Waiting, DraftStatus::Looking], true)) {
            return;
        }
        $draft->update(['status' => DraftStatus::Looking, 'says' => 'reading what is due', 'share' => 0]);
        $keeper->renewAll($this->alive(...));
        // Plan, visits and revision are read in one state of the tables.
        [$firm, $revision] = Reading::together(static fn (): array => [
            FirmBrief::of(Span::of($draft->from, $draft->to), $outlook, Today::day(), $draft->stay),
            (int) DB::table('firms')->value('plan_revision'),
        ]);
        $draft->update(['revision' => $revision, 'says' => 'fitting in '.count($firm->brief->tasks).' tasks']);
        $clock = new Patience($draft, $draft->seconds, self::EVERY, $this->alive(...));
        $plan = Planner::plan($firm->brief, 1, $clock->spent(...));
        $result = $clock->isCalledOff() ? null : Difference::of($firm, $plan);
        // Called off at the last moment, it stays called off.
        DB::transaction(static function () use ($draft, $result): void {
            if ($result !== null && $draft->refresh()->status === DraftStatus::Looking) {
                $draft->update(['status' => DraftStatus::Ready, 'share' => 1, 'says' => null, 'result' => $result]);
            }
        });
    }

    public function failed(?Throwable $fault): void
    {
        PlanDraft::query()
            ->whereKey($this->draft)
            ->whereIn('status', [DraftStatus::Waiting, DraftStatus::Looking])
            ->update([
                'status' => DraftStatus::Failed, 'says' => 'It could not be made: '.Trouble::inWords($fault).'.',
            ]);
    }
}
