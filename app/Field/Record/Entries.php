<?php

declare(strict_types=1);

namespace App\Field\Record;

use App\Ground\Models\Change;
use App\Ground\Models\Did;
use App\Ground\Models\Entry;
use App\Ground\Models\EntryKind;
use App\Ground\Models\User;
use App\Ground\Models\Visit;
use App\Ground\Models\VisitTask;
use App\Ground\Support\SoundText;
use App\Ground\Support\Today;
use Illuminate\Support\Arr;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Validator;
use Illuminate\Validation\Rule;

/**
 * Takes what phones have kept, word by word: each is kept once, however often it is sent, or refused with a reason
 * while the others go on.
 *
 * @phpstan-type Answer array{id: string, state: 'kept'|'refused', because?: string, fields?: array<string, string>}
 */
final readonly class Entries
{
    /** A phone that knows more sends it in portions. */
    public const AT_ONCE = 50;

    /** A clock that is off by no more is not spoken of, in seconds. */
    private const CLOCK_OFF = 120;

    /** By more than this nobody can tell whose clock is wrong, in seconds. */
    private const DAY_OFF = 43_200;

    /** Characters of a note. */
    private const NOTE = 2000;

    /** Why an entry cannot be kept where it was sent; the work was done all the same. */
    private const OUT_OF_PLACE = [
        'That visit is no longer planned.', 'That visit is long over. The lead changes its record.',
        'That visit is another crew\'s.', 'That task is not on the visit.',
    ];

    /** So many of one person wait for a place; more are refused. */
    private const WAITING = 200;

    /** What is ticked on arriving and leaving. */
    public const ARRIVE = ['hazards', 'nests', 'tools', 'wishes'];

    public const CLOSE = ['debris', 'diseased', 'aftercare', 'ties', 'client'];

    public function __construct(private LogRules $rules)
    {
    }

    /**
     * @param  array<array-key, mixed>  $sent
     * @param  ?Carbon  $phone  what the phone's clock said when it sent them
     * @return Answer
     */
    public function keep(array $sent, User $by, ?Carbon $phone): array
    {
        $id = is_string($sent['id'] ?? null) ? mb_scrub($sent['id'], 'UTF-8') : '';
        $unsound = SoundText::wrong($sent);
        if ($unsound !== []) {
            return [...self::refused($id, implode(' ', array_unique($unsound))), 'fields' => self::ofBody($unsound)];
        }
        $form = Validator::make($sent, [
            'id' => ['required', 'uuid'],
            'kind' => ['required', Rule::enum(EntryKind::class)],
            'visit' => ['required', 'integer'],
            'task' => ['nullable', 'integer'],
            'said_at' => ['required', 'date'],
            'corrects' => ['array', 'max:50'],
            'corrects.*' => ['uuid'],
            'body' => ['array'],
        ]);
        if ($form->fails()) {
            return self::refused($id, 'Not a valid visit entry: '.$form->errors()->first());
        }
        $digest = hash('sha256', json_encode(
            [Arr::except($sent, 'v'), $by->id], JSON_THROW_ON_ERROR,
        ));
        $kept = Entry::query()->where('uuid', $id)->first();
        if ($kept !== null) {
            return $kept->digest === $digest
                ? ['id' => $id, 'state' => 'kept']
                : self::refused($id, 'Something else was kept under this name.');
        }
        $refusal = $this->refusal($sent, $by);
        if ($refusal !== null) {
            return $this->unplaced($sent, $by, $digest, $phone, (string) ($refusal['because'] ?? '')) ?? $refusal;
        }

        $task = self::task($sent);

        return DB::transaction(static fn (): array => self::write($sent, $task, $by, $digest, $phone));
    }

    /**
     * Work that was done for a visit that has been cancelled since, is another crew's or long over is kept: the planner
     * says where it belongs.
     *
     * @param  array<array-key, mixed>  $sent
     * @return ?Answer null for what is no such work
     */
    private function unplaced(array $sent, User $by, string $digest, ?Carbon $phone, string $because): ?array
    {
        [$visit, $task] = [(int) $sent['visit'], isset($sent['task']) ? (int) $sent['task'] : null];
        $corrects = array_values(array_filter((array) ($sent['corrects'] ?? []), is_string(...)));
        $before = Entry::query()->whereIn('uuid', $corrects)->whereNotNull('unplaced')->where('said_by', $by->id);
        if ($sent['kind'] === EntryKind::Withdraw->value && $corrects !== [] && $before->count() === count($corrects)) {
            $before->update(['unplaced' => null]);

            return ['id' => (string) $sent['id'], 'state' => 'kept'];
        }
        $isWork = $sent['kind'] === EntryKind::Log->value && $task !== null
            && in_array($because, self::OUT_OF_PLACE, true) && self::wasThere($visit, $task);
        $body = (array) ($sent['body'] ?? []);
        if (! $isWork || Validator::make($body, LogRules::rules())->fails()
            || Entry::query()->whereNotNull('unplaced')->where('said_by', $by->id)->count() >= self::WAITING) {
            return null;
        }
        [$saidAt, $off] = self::moment($sent, $phone);
        $row = [
            'uuid' => $sent['id'], 'kind' => EntryKind::Log->value, 'visit_id' => null, 'visit_task_id' => null,
            'corrects' => '[]', 'body' => json_encode($body, JSON_THROW_ON_ERROR), 'digest' => $digest,
            'said_by' => $by->id, 'clock_off_s' => $off, 'created_at' => Carbon::now(), 'said_at' => $saidAt,
            'unplaced' => json_encode(
                ['visit' => $visit, 'task' => $task, 'because' => $because], JSON_THROW_ON_ERROR,
            ),
        ];
        DB::transaction(static function () use ($before, $row): void {
            $before->update(['unplaced' => null]);
            Entry::query()->insertOrIgnore($row);
        });

        return [
            'id' => (string) $sent['id'], 'state' => 'kept',
            'because' => rtrim($because, '.').': kept, and the planner finds a place for it.',
        ];
    }

    /** Whether there is, or was, such a task of such a visit. */
    private static function wasThere(int $visit, int $task): bool
    {
        return (Visit::query()->whereKey($visit)->exists() && VisitTask::query()->whereKey($task)->exists())
            || Change::query()->where('of', 'visit')->where('row_id', $visit)->where('did', Did::TakenOut)->exists();
    }

    /**
     * When it was said by the office's clock, and how far the phone's was off, in seconds.
     *
     * @param  array<array-key, mixed>  $sent
     * @return array{Carbon, int}
     */
    private static function moment(array $sent, ?Carbon $phone): array
    {
        $now = Carbon::now();
        $off = $phone === null ? 0 : (int) $phone->diffInSeconds($now);
        $off = abs($off) > self::CLOCK_OFF ? $off : 0;
        $saidAt = Carbon::parse((string) $sent['said_at'])->utc();

        // Off by more than half a day, it may be the office's clock that is wrong: what the phone said stands. Else no
        // entry is of tomorrow, whatever the phone thinks.
        return [abs($off) > self::DAY_OFF ? $saidAt : $saidAt->addSeconds($off)->min($now), $off];
    }

    /**
     * @param  array<array-key, mixed>  $sent
     * @return ?Answer null where it may be kept
     */
    private function refusal(array $sent, User $by): ?array
    {
        $id = (string) $sent['id'];
        $visit = Visit::query()->find((int) $sent['visit']);
        if ($visit === null) {
            return self::refused($id, self::OUT_OF_PLACE[0]);
        }
        if (! Gate::forUser($by)->allows('log', $visit)) {
            return self::refused($id, $by->worksWith($visit->crew_id)
                ? self::OUT_OF_PLACE[1]
                : self::OUT_OF_PLACE[2]);
        }
        $kind = EntryKind::from((string) $sent['kind']);
        $task = self::task($sent);
        if ($task === null && ($kind->isOfATask() || isset($sent['task']))) {
            return self::refused($id, self::OUT_OF_PLACE[3]);
        }
        if ($kind === EntryKind::SignOff && ! $by->isPlanner() && ! $by->leads($visit->crew_id)) {
            return self::refused($id, 'The lead signs a visit off.');
        }
        $note = ((array) ($sent['body'] ?? []))['note'] ?? '';
        if (is_string($note) && mb_strlen($note) > self::NOTE) {
            return self::refused($id, 'A note holds '.self::NOTE.' signs.');
        }
        if (self::pointsAstray($sent, $visit, $task)) {
            return self::refused($id, 'What it corrects has not arrived, or is of something else.');
        }

        return $kind === EntryKind::Log && $task !== null ? $this->wrong($id, $task, $sent) : null;
    }

    /**
     * @param  array<array-key, mixed>  $sent
     * @return ?Answer what is wrong with it, by field
     */
    private function wrong(string $id, VisitTask $task, array $sent): ?array
    {
        $body = (array) ($sent['body'] ?? []);
        $validator = Validator::make($body, LogRules::rules(), LogRules::messages());
        $validator->after(fn () => $this->rules->look($validator, $task, $body));
        if ($validator->passes()) {
            return null;
        }
        $fields = array_map(
            static fn (array $messages): string => (string) $messages[0], $validator->errors()->messages(),
        );

        return [...self::refused($id, implode(' ', array_unique($fields))), 'fields' => $fields];
    }

    /**
     * It begins by writing: of two that come at the same moment one then waits for the other, and neither is turned
     * away.
     *
     * @param  array<array-key, mixed>  $sent
     * @return Answer
     */
    private static function write(array $sent, ?VisitTask $task, User $by, string $digest, ?Carbon $phone): array
    {
        $kind = EntryKind::from((string) $sent['kind']);
        $now = Carbon::now();
        [$saidAt, $off] = self::moment($sent, $phone);
        $body = (array) ($sent['body'] ?? []);
        if ($kind === EntryKind::Log && $task !== null) {
            $body = LogRules::said($task, $body);
            $body['on'] ??= (string) Today::of($saidAt);
        } else {
            $body = self::ticked($kind, $body);
        }
        $new = Entry::query()->insertOrIgnore([
            'uuid' => $sent['id'], 'kind' => $kind->value, 'visit_id' => (int) $sent['visit'],
            'visit_task_id' => $task?->id, 'corrects' => json_encode($sent['corrects'] ?? [], JSON_THROW_ON_ERROR),
            'body' => json_encode($body, JSON_THROW_ON_ERROR),
            'digest' => $digest, 'said_by' => $by->id, 'clock_off_s' => $off, 'created_at' => $now,
            'said_at' => $saidAt,
        ]);
        // Sent twice at the same moment: the other one has written it.
        if ($new === 1 && $task !== null) {
            LogWork::settle($task, $by);
        }

        return ['id' => (string) $sent['id'], 'state' => 'kept'];
    }

    /**
     * @param  array<array-key, mixed>  $body
     * @return array<string, bool|string>
     */
    private static function ticked(EntryKind $kind, array $body): array
    {
        $known = match ($kind) {
            EntryKind::Arrive => self::ARRIVE,
            EntryKind::Close => self::CLOSE,
            default => [],
        };
        $ticked = array_map(
            static fn (mixed $so): bool => filter_var($so, FILTER_VALIDATE_BOOL),
            array_intersect_key($body, array_flip($known)),
        );
        $note = is_string($body['note'] ?? null) ? trim($body['note']) : '';

        return [...$ticked, ...($note === '' ? [] : ['note' => $note])];
    }

    /**
     * @param  array<string, string>  $wrong  by the path of the field
     * @return array<string, string> by the field of the form
     */
    private static function ofBody(array $wrong): array
    {
        $fields = [];
        foreach ($wrong as $path => $says) {
            $fields[str_starts_with($path, 'body.') ? substr($path, 5) : $path] = $says;
        }

        return $fields;
    }

    /** @param  array<array-key, mixed>  $sent */
    private static function task(array $sent): ?VisitTask
    {
        return isset($sent['task'])
            ? VisitTask::query()->where('visit_id', (int) $sent['visit'])->find((int) $sent['task'])
            : null;
    }

    /** @param  array<array-key, mixed>  $sent */
    private static function pointsAstray(array $sent, Visit $visit, ?VisitTask $task): bool
    {
        $corrects = array_unique((array) ($sent['corrects'] ?? []));
        $said = Entry::query()->whereIn('uuid', $corrects);
        // A task may have come from another visit since, and what was said of it with it.
        $task === null
            ? $said->where('visit_id', $visit->id)->whereNull('visit_task_id')
            : $said->where('visit_task_id', $task->id);
        $known = $said->count();

        return $known !== count($corrects)
            || ($sent['kind'] === EntryKind::Withdraw->value && $corrects === []);
    }

    /** @return Answer */
    private static function refused(string $id, string $because): array
    {
        return ['id' => $id, 'state' => 'refused', 'because' => $because];
    }
}
