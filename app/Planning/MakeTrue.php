<?php

declare(strict_types=1);

namespace App\Planning;

use App\Ground\Models\DraftStatus;
use App\Ground\Models\PlanDraft;
use App\Ground\Models\User;
use App\Ground\Support\LongQueue;
use App\Ground\Support\Quietly;
use App\Ground\Support\StaysReserved;
use App\Ground\Support\Today;
use App\Ground\Support\Trouble;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Validation\ValidationException;
use Throwable;

/**
 * Carries out the changes of a draft that were accepted: in one transaction, and refused where the plan has changed.
 */
final class MakeTrue implements ShouldQueue
{
    use Dispatchable;
    use Queueable;
    use StaysReserved;

    public int $tries = 3;

    public int $timeout = 600;

    /** @param  list<int>  $chosen  places of the changes */
    public function __construct(
        private readonly int $draft,
        private readonly array $chosen,
        private readonly ?int $by,
    ) {
        $this->afterCommit();
        $this->onQueue(LongQueue::NAME);
    }

    public function handle(AcceptDraft $accept): void
    {
        $draft = PlanDraft::query()->find($this->draft);
        if ($draft === null || $draft->status !== DraftStatus::Accepting) {
            return;
        }
        try {
            $accept->accept(
                $draft, $this->chosen, User::query()->find($this->by), Today::day(),
                function (float $share) use ($draft): void {
                    $this->alive();
                    Quietly::write(static fn () => $draft->update(['share' => $share]));
                },
            );
        } catch (ValidationException $refused) {
            $this->backToReady($refused->getMessage());
        }
    }

    public function failed(?Throwable $fault): void
    {
        $this->backToReady('Nothing was changed: '.Trouble::inWords($fault).'.');
    }

    private function backToReady(string $says): void
    {
        PlanDraft::query()
            ->whereKey($this->draft)
            ->where('status', DraftStatus::Accepting)
            ->update(['status' => DraftStatus::Ready, 'says' => $says]);
    }
}
