<?php

declare(strict_types=1);

namespace App\Ground\History;

use App\Ground\Models\Change;
use App\Ground\Models\Crew;
use App\Ground\Models\Did;
use App\Ground\Models\Firm;
use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use App\Ground\Models\User;
use App\Ground\Models\Visit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Validation\ValidationException;

/** Brings the version before a change back, to the millimetre, where nothing has changed it since. */
final readonly class Undo
{
    /** What has ways back of its own, where more goes with it. */
    private const ELSEWHERE = ['log', 'kind', 'person'];

    /** What of a person is taken back here: not their leaving. */
    private const OF_PERSON = ['name', 'email', 'role', 'crew_id', 'units'];

    public static function isElsewhere(Change $change): bool
    {
        return in_array($change->of, self::ELSEWHERE, true) && ! ($change->of === 'person'
            && $change->did === Did::Changed && array_diff(array_keys($change->after), self::OF_PERSON) === []);
    }

    public static function where(Change $change): string
    {
        return match ($change->of) {
            'log' => 'on its sheet',
            'kind' => 'in the plant book',
            default => 'by the person',
        };
    }

    /**
     * The way back from what was just done to a row, as a page offers it; null where nothing was done.
     *
     * @return ?array{string, string}
     */
    public static function of(Model $row): ?array
    {
        $last = Change::last($row);

        return $last === 0 ? null : [route('changes.undo', $last), 'POST'];
    }

    /** What cannot be brought back is refused, with a ValidationException on `undo`. */
    public function undo(Change $change): void
    {
        DB::transaction(function () use ($change): void {
            $change->refresh();
            $this->check($change);
            try {
                match ($change->did) {
                    Did::Made, Did::BroughtBack => $this->row($change)->delete(),
                    Did::Changed => $this->change($change),
                    Did::TakenOut => $this->bringBack($change),
                };
            } catch (UniqueConstraintViolationException) {
                throw self::no('Something else stands in its place by now.');
            }
            $change->update(['undone_by' => Change::query()->max('id')]);
        });
    }

    /**
     * Whether a change can be taken back as things are; nothing is written.
     *
     * @throws ValidationException where it cannot
     */
    public function check(Change $change): void
    {
        if ($change->undone_by !== null) {
            throw self::no('That was taken back before.');
        }
        if (self::isElsewhere($change)) {
            throw self::no('That is taken back '.self::where($change).'.');
        }
        match ($change->did) {
            Did::Made, Did::BroughtBack => self::goes($this->row($change)),
            Did::Changed => self::isAsItBecame($this->row($change), $change),
            Did::TakenOut => null,
        };
    }

    /** What others stand on by now stays. */
    private static function goes(Model $row): void
    {
        $stays = match (true) {
            $row instanceof Garden => $row->visits()->exists()
                || Plant::withTrashed()->where('garden_id', $row->id)->exists()
                ? 'There are plants in it by now, or visits to it.'
                : null,
            $row instanceof Visit => $row->load('tasks.log')->isTouched() ? 'Work is logged on it by now.' : null,
            $row instanceof Plant => null,
            $row instanceof Crew => $row->members()->exists() || Visit::query()->where('crew_id', $row->id)->exists()
                ? 'People are in it by now, or visits are planned for it.'
                : null,
            $row instanceof Firm => 'The firm stays.',
            default => null,
        };
        if ($stays !== null) {
            throw self::no($stays);
        }
    }

    /** What a later version changed again stays. */
    private static function isAsItBecame(Model $row, Change $change): void
    {
        if ($row instanceof Visit && $row->load('tasks.log')->isTouched()) {
            throw self::no('Work is logged on it by now, so it stays where it is.');
        }
        if ($row instanceof User && $row->isLastPlanner() && isset($change->before['role'])) {
            throw self::no('Nobody else plans: make somebody else a planner first.');
        }
        $now = $row->getAttributes();
        foreach ($change->after as $field => $value) {
            if (self::same($now[$field] ?? null, $value)) {
                continue;
            }
            throw self::no(sprintf(
                '%s has changed since: %s is %s now.', $change->label, Fields::name($field),
                Fields::says($field, $now[$field] ?? null),
            ));
        }
    }

    private function change(Change $change): void
    {
        $row = $this->row($change);
        $now = $row->getAttributes();
        // Measures are dated by themselves when they change; here the day of that version comes back with them.
        $row->setRawAttributes([...$now, ...array_intersect_key($change->before, $now)]);
        $row->save();
        $dates = array_filter(
            $change->before, static fn (string $field): bool => str_ends_with($field, '_on'), ARRAY_FILTER_USE_KEY,
        );
        if ($row instanceof Plant && $dates !== []) {
            DB::table('plants')->where('id', $row->id)->update($dates);
        }
    }

    private function bringBack(Change $change): void
    {
        $model = Change::ROWS[$change->of] ?? throw self::no('Nobody knows any more what that was.');
        $soft = in_array(SoftDeletes::class, class_uses_recursive($model), true);
        if ($soft) {
            $row = $model::query()->withoutGlobalScopes()->find($change->row_id);
            if ($row instanceof Model && method_exists($row, 'restore')) {
                $row->restore();

                return;
            }
        }
        if ($model::query()->find($change->row_id) !== null) {
            throw self::no("$change->label is there already.");
        }
        $row = new $model;
        $columns = array_flip(Schema::getColumnListing($row->getTable()));
        $row->setRawAttributes(array_intersect_key($change->before, $columns));
        $row->save();
        foreach ($change->before as $table => $rows) {
            foreach (str_starts_with($table, '+') ? (array) json_decode((string) $rows, true) : [] as $below) {
                DB::table(substr($table, 1))->insert((array) $below);
            }
        }
        if (method_exists($row, 'wasBroughtBack')) {
            $row->wasBroughtBack();
        }
    }

    private function row(Change $change): Model
    {
        $model = Change::ROWS[$change->of] ?? throw self::no('Nobody knows any more what that was.');

        return $model::query()->find($change->row_id)
            ?? throw self::no("$change->label is no longer there: bring it back first.");
    }

    private static function same(mixed $one, mixed $other): bool
    {
        return is_numeric($one) && is_numeric($other) ? (float) $one === (float) $other : $one === $other;
    }

    private static function no(string $says): ValidationException
    {
        return ValidationException::withMessages(['undo' => $says]);
    }
}
