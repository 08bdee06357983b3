<?php

declare(strict_types=1);

namespace App\Field;

use App\Ground\Models\Visit;
use App\Ground\Models\VisitTask;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Fault;
use PruningHook\Core\Planning\CommonWindow;

/** Moves a visit to another day, under the same rule as planning it. */
final readonly class MoveVisit
{
    /** @throws ValidationException */
    public function move(Visit $visit, string $to, string $reason): void
    {
        [$day, $inside] = $this->check($visit, $to, $reason);
        DB::transaction(static function () use ($visit, $day, $inside, $reason): void {
            $visit->update(['on' => (string) $day, 'outside_reason' => $inside ? null : $reason]);
            PlanVisit::claim($visit);
        });
    }

    /**
     * Whether it may be moved there.
     *
     * @return array{Day, bool} the day, and whether all its tasks are open on it
     *
     * @throws ValidationException
     */
    public function check(Visit $visit, string $to, string $reason): array
    {
        if ($visit->load('tasks.log')->isTouched()) {
            throw ValidationException::withMessages(['on' => 'Work is logged on this visit, so it stays on its day.']);
        }
        try {
            $day = Day::parse($to);
        } catch (Fault $fault) {
            throw ValidationException::withMessages(['on' => ucfirst($fault->getMessage()).'.']);
        }
        $common = self::common($visit);
        $inside = $common?->contains($day) ?? false;
        if (! $inside && $reason === '') {
            throw ValidationException::withMessages([
                'on' => $common === null
                        ? 'These tasks share no open day; say why they are done together.'
                        : sprintf(
                            '%s is outside the days they share, %s to %s. Choose a day within them, or say why.',
                            $day->inWords(), $common->from->inWords(), $common->to->inWords(),
                        ),
                'outside_reason' => 'A day outside the window needs a reason.',
            ]);
        }

        return [$day, $inside];
    }

    /** @param  Visit  $visit with tasks loaded */
    public static function common(Visit $visit): ?CommonWindow
    {
        return CommonWindow::of(...array_values(
            $visit->tasks->map(static fn (VisitTask $task): Window => $task->prescribed->window)->all(),
        ));
    }
}
