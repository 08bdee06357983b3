<?php

declare(strict_types=1);

namespace App\Planning;

use App\Ground\Models\DraftStatus;
use App\Ground\Models\Firm;
use App\Ground\Models\PlanDraft;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;

/** Asks for plans: one is under way at a time, and asking anew calls off the one before. */
final readonly class Drafts
{
    /** Seconds it may look, at the least and at the most, and gardens a second between. */
    private const LEAST = 2;

    private const MOST = 15;

    private const GARDENS_A_SECOND = 25;

    public function ask(Day $today, int $days, int $stay, ?int $by): PlanDraft
    {
        $firm = Firm::ours();
        $firm->exists || $firm->saveQuietly();
        PlanDraft::query()
            ->whereIn('status', [DraftStatus::Waiting, DraftStatus::Looking, DraftStatus::Ready])
            ->update(['status' => DraftStatus::Cancelled]);
        $draft = PlanDraft::query()->create([
            'status' => DraftStatus::Waiting,
            // Today's visits are under way.
            'from' => (string) $today->plus(1),
            'to' => (string) $today->plus($days),
            'revision' => (int) DB::table('firms')->value('plan_revision'),
            'seconds' => min(
                self::MOST, self::LEAST + intdiv(DB::table('gardens')->count(), self::GARDENS_A_SECOND),
            ),
            'stay' => $stay,
            'asked_by' => $by,
        ]);
        MakeDraft::dispatch($draft->id);

        return $draft;
    }
}
