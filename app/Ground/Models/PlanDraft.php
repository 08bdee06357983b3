<?php

declare(strict_types=1);

namespace App\Ground\Models;

use App\Ground\Models\Casts\AsDay;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use PruningHook\Core\Calendar\Day;

/**
 * A plan that was asked for: what it would change, what it was made from, and what stood before it was accepted.
 *
 * @phpstan-type Step array{kind: string, visit: ?int, garden: int, from: ?array{on: string, crew: ?int},
 *     to: ?array{on: string, crew: int}, tasks: list<string>, was: list<string>, why: string}
 * @phpstan-type Costs array{travel: int, setup: int, outside_best: float|int, unasked?: float|int,
 *     overtime: float|int, unplaced: float|int, total: float|int}
 * @phpstan-type Result array{changes: list<Step>, cost: Costs, present: Costs, bound: float, same: int,
 *     left: list<array{task: string, because: string, cure: string}>}
 * @phpstan-type Before array{visits: list<array<string, mixed>>, tasks: list<array{id: int, visit_id: int,
 *     position: int}>, gone: list<array<string, mixed>>, gardens: list<int>, revision: int}
 *
 * @property int $id
 * @property DraftStatus $status
 * @property float $share of the work done, 0 to 1
 * @property ?string $says why it failed or could not be accepted
 * @property Day $from
 * @property Day $to
 * @property int $revision of the firm's plan, as it was made from
 * @property int $seconds it may look
 * @property int $stay minutes that moving a visit must be worth
 * @property ?Result $result
 * @property ?Before $before
 * @property ?int $asked_by
 * @property ?\Illuminate\Support\Carbon $updated_at
 * @property-read ?User $asker
 */
final class PlanDraft extends Model
{
    protected $fillable = [
        'status', 'share', 'says', 'from', 'to', 'revision', 'seconds', 'stay', 'result', 'before', 'asked_by',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'status' => DraftStatus::class, 'from' => AsDay::class, 'to' => AsDay::class, 'result' => 'array',
            'before' => 'array', 'share' => 'float',
        ];
    }

    /** @return BelongsTo<User, $this> */
    public function asker(): BelongsTo
    {
        return $this->belongsTo(User::class, 'asked_by');
    }

    /** The one that was asked for last. */
    public static function latestOne(): ?self
    {
        $drafts = self::query();
        $drafts->orderByDesc('id');

        return $drafts->first();
    }
}
