<?php

declare(strict_types=1);

namespace App\Planning;

use App\Ground\Models\Crew;
use App\Ground\Models\Visit;
use App\Ground\Models\VisitTask;
use App\Ground\Support\Say;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Planning\Season\Audit;
use PruningHook\Core\Weather\Hold;

/** What moving a visit to another day or crew would cost and break, before anybody does it. */
final readonly class MovedVisit
{
    /**
     * @param  float  $dearer  minutes by the published price; below nothing where it is cheaper
     * @param  list<string>  $breaks  what is broken there that is not broken now, in words
     * @param  ?int  $used  minutes of the crew day it comes to, of `$length`
     */
    private function __construct(
        public Visit $visit,
        public Day $on,
        public Crew $crew,
        public float $dearer,
        public array $breaks,
        public ?int $used,
        public ?int $length,
    ) {
    }

    /** @param  ?Hold  $hold  what the forecast says of that day */
    public static function of(Visit $visit, Day $on, Crew $crew, ?Hold $hold): self
    {
        $days = Span::of(Day::earliest($visit->on, $on), Day::latest($visit->on, $on));
        $crews = array_values(array_unique([(int) $visit->crew_id, $crew->id]));
        $now = Rota::of($days, $crews, [$visit->id => [$visit->on, (int) $visit->crew_id]]);
        $then = Rota::of($days, $crews, [$visit->id => [$on, $crew->id]]);
        $round = $then->round($crew->id, $on);

        return new self(
            $visit,
            $on,
            $crew,
            $then->audit->cost->total() - $now->audit->cost->total(),
            [
                ...self::told($visit, $crew, $on, $now->audit, $then->audit, $round->length ?? 0),
                ...($hold === null ? [] : [self::held($hold)]),
            ],
            $round?->used,
            $round?->length,
        );
    }

    public function isFree(): bool
    {
        return $this->breaks === [];
    }

    private static function held(Hold $hold): string
    {
        return 'the forecast holds the work that day'
            .($hold->next === null ? '' : ', better from '.Say::weekday($hold->next));
    }

    /** @return list<string> */
    private static function told(
        Visit $visit,
        Crew $crew,
        Day $on,
        Audit $now,
        Audit $then,
        int $length,
    ): array {
        $told = [];
        $outside = $visit->tasks->filter(
            static fn (VisitTask $task): bool => $on->isBefore($task->prescribed->window->opens)
                || $on->isAfter($task->prescribed->window->closes),
        );
        if ($outside->isNotEmpty()) {
            $told[] = sprintf(
                'outside the window of %s', $outside->map(
                    static fn (VisitTask $task): string => lcfirst($task->prescribed->name).' of '.$task->plant->label,
                )->take(3)->implode(', '),
            );
        }
        foreach (array_diff($then->breaks, $now->breaks) as $break) {
            $told[] = match (true) {
                str_contains($break, 'cannot do') => "$crew->name cannot do all of it",
                str_contains($break, 'closed on') => "{$visit->garden->name} is closed that day",
                str_contains($break, 'too long') => $length === 0
                    ? "$crew->name does not work on that day"
                    : "$crew->name would work too long",
                default => '',
            };
        }

        return array_values(array_unique(array_filter($told)));
    }
}
