<?php

declare(strict_types=1);

namespace App\Planning;

use App\Ground\Models\DraftStatus;
use App\Ground\Models\PlanDraft;
use App\Ground\Support\Quietly;
use Closure;
use Illuminate\Support\Facades\DB;

/** How much of a draft's time is spent, told to whoever waits; all of it once it is called off. */
final class Patience
{
    private ?float $began = null;

    private float $told = 0.0;

    private bool $calledOff = false;

    public function __construct(
        private readonly PlanDraft $draft,
        private readonly int $seconds,
        private readonly float $every,
        private readonly ?Closure $alive = null,
    ) {
    }

    public function spent(int $try): float
    {
        $this->began ??= (float) hrtime(true);
        $since = (hrtime(true) - $this->began) / 1e9;
        if ($since - $this->told >= $this->every) {
            $this->told = $since;
            $this->alive === null || ($this->alive)();
            $this->tell($since);
        }

        return $this->calledOff || $this->seconds < 1 ? 1.0 : $since / $this->seconds;
    }

    /** Where others hold the database it is told the next time; the plan goes on. */
    private function tell(float $since): void
    {
        Quietly::write(function () use ($since): void {
            $this->calledOff = DB::table('plan_drafts')
                ->where('id', $this->draft->id)
                ->where('status', DraftStatus::Looking->value)
                ->update(['share' => min(0.99, $since / max(1, $this->seconds))]) === 0;
        });
    }

    public function isCalledOff(): bool
    {
        return $this->calledOff;
    }
}
