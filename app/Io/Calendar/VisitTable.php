<?php

declare(strict_types=1);

namespace App\Io\Calendar;

use App\Field\MoveVisit;
use App\Field\PlanDay;
use App\Ground\Models\User;
use App\Ground\Models\Visit;
use App\Io\Import\RowSort;
use App\Io\Import\TakenRow;
use App\Io\Import\TakesIn;
use Illuminate\Support\Facades\Validator;
use Illuminate\Validation\ValidationException;

/**
 * Visits as somebody's calendar has them: one that stands on another day there is moved, under the same rules as by
 * hand. A calendar knows nothing of tasks, so nothing is planned or cancelled by it.
 */
final readonly class VisitTable implements TakesIn
{
    public function __construct(private VisitCalendar $calendar, private MoveVisit $moves)
    {
    }

    public function lines(string $path): iterable
    {
        return CalendarFile::open($path)->rows();
    }

    public function keep(array $rows, ?User $by): void
    {
        foreach ($rows as $row) {
            // Whatever happened since it was read: the rules of a move hold now.
            $on = $row->facts['on'] ?? null;
            $this->moves->move(Visit::query()->findOrFail((int) $row->id), is_string($on) ? $on : '', '');
        }
    }

    public function read(array $row): TakenRow
    {
        $id = $this->calendar->visitOf($row['uid']);
        if ($id === null) {
            return new TakenRow(RowSort::Same, $row['summary'], null, [], ['no visit of ours: left alone']);
        }
        $query = Visit::query()->with(['garden', 'tasks.log']);
        $visit = $query->find($id);
        $label = $visit === null ? $row['summary'] : $visit->garden->name;
        $wrong = $this->wrong($visit, $row);
        if ($wrong !== null || $visit === null) {
            return new TakenRow(RowSort::Wrong, $label, null, [], [$wrong ?? '']);
        }
        $was = (string) $visit->on;

        return $was === $row['day']
            ? new TakenRow(RowSort::Same, $label, $id, [], [])
            : new TakenRow(RowSort::Changed, $label, $id, ['on' => $row['day']], ["day: $row[day], was $was"]);
    }

    /** @param  array<string, string>  $row */
    private function wrong(?Visit $visit, array $row): ?string
    {
        return match (true) {
            $visit === null => 'this visit is not planned any more',
            $row['status'] === 'CANCELLED' => 'cancelled there: cancel it on its own page, where its tasks open again',
            $row['repeats'] !== '' => 'it repeats there: a visit is on one day',
            $row['day'] === '' => 'it has no day that can be read',
            $row['day'] === (string) $visit->on => null,
            default => $this->refused($visit, $row['day']),
        };
    }

    private function refused(Visit $visit, string $day): ?string
    {
        try {
            Validator::make(['on' => $day], ['on' => PlanDay::rules()], PlanDay::MESSAGES)->validate();
            $this->moves->check($visit, $day, '');
        } catch (ValidationException $refused) {
            return $refused->validator->errors()->first('on');
        }

        return null;
    }
}
