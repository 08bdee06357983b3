<?php

declare(strict_types=1);

namespace App\Ground\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One word of a visit, as it was said on the phone or at the desk: never changed, only corrected by another.
 *
 * @property int $id in the order of arrival
 * @property string $uuid the name it was given where it was said
 * @property EntryKind $kind
 * @property ?int $visit_id null where the visit was cancelled since
 * @property ?int $visit_task_id
 * @property list<string> $corrects  names of those it stands in place of, or takes back
 * @property array<string, mixed> $body
 * @property ?array{visit: int, task: ?int, because: string} $unplaced what it was sent for, where it has no place yet
 * @property ?string $digest of what was sent: the same name does not stand for two words
 * @property ?int $said_by
 * @property Carbon $said_at by the office's clock
 * @property int $clock_off_s how far the phone's clock was behind the office's
 * @property-read ?User $saidBy
 */
final class Entry extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = [
        'uuid', 'kind', 'visit_id', 'visit_task_id', 'corrects', 'body', 'digest', 'said_by', 'said_at', 'clock_off_s',
        'unplaced',
    ];

    protected $attributes = ['corrects' => '[]', 'body' => '{}'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => EntryKind::class, 'corrects' => 'array', 'body' => 'array', 'said_at' => 'datetime',
            'unplaced' => 'array',
        ];
    }

    /** "Done, 35 minutes; dead wood; north side only" */
    public function inWords(): string
    {
        $body = $this->body;
        $outcome = ['done' => 'done', 'changed' => 'done differently', 'partly' => 'partly done',
            'not-done' => 'not done'][$body['outcome'] ?? ''] ?? $this->kind->value;
        $minutes = $body['minutes'] ?? null;
        $note = $body['note'] ?? null;

        return ucfirst(implode('; ', array_filter([
            $outcome.(is_scalar($minutes) && (string) $minutes !== '' ? ", $minutes minutes" : ''),
            ...array_map(
                static fn (mixed $finding): string => is_string($finding)
                    ? lcfirst(Finding::tryFrom($finding)?->inWords() ?? $finding) : '',
                array_values((array) ($body['findings'] ?? [])),
            ),
            is_string($note) ? $note : '',
        ], static fn (string $each): bool => $each !== '')));
    }

    /** @return BelongsTo<User, $this> */
    public function saidBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'said_by');
    }
}
