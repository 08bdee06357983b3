<?php

declare(strict_types=1);

namespace App\Planning;

use App\Ground\Models\PlanDraft;
use App\Ground\Models\Visit as VisitRow;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Planning\Season\Audit;
use PruningHook\Core\Planning\Season\Brief;
use PruningHook\Core\Planning\Season\Garden;
use PruningHook\Core\Planning\Season\Plan;
use PruningHook\Core\Planning\Season\Visit;

/**
 * What a plan would change of the present one: visits that move, come or go.
 *
 * @phpstan-import-type Step from PlanDraft
 * @phpstan-import-type Result from PlanDraft
 */
final readonly class Difference
{
    /** @return Result */
    public static function of(FirmBrief $firm, Plan $plan): array
    {
        $byGarden = [];
        foreach ($plan->visits as $visit) {
            $byGarden[(int) $visit->garden][] = $visit;
        }
        $changes = [];
        $left = array_column($plan->leftOut, 'task');
        foreach ($firm->visits as $row) {
            $mine = self::likest($row, $firm->tasks[$row->id], $byGarden[$row->garden_id] ?? []);
            $now = $mine === null ? null : $byGarden[$row->garden_id][$mine];
            unset($byGarden[$row->garden_id][$mine ?? -1]);
            $changes[] = self::change($firm, $row, $now, $left);
        }
        $changes = array_values(array_filter($changes, static fn (?array $change): bool => $change !== null));
        $same = count($firm->visits) - count($changes);
        foreach ($byGarden as $garden => $visits) {
            foreach ($visits as $visit) {
                $changes[] = self::added($firm, $garden, $visit);
            }
        }
        $day = static fn (array $change): string => ($change['to'] ?? $change['from'])['on'];
        usort($changes, static fn (array $a, array $b): int => [$day($a), $a['garden']] <=> [$day($b), $b['garden']]);

        return [
            'changes' => $changes,
            'cost' => $plan->cost->toArray(),
            'present' => self::present($firm)->cost->toArray(),
            'bound' => round($plan->lowerBound, 1),
            'same' => $same,
            'left' => array_map(static fn ($left): array => $left->toArray(), $plan->leftOut),
        ];
    }

    /** @return Step */
    private static function added(FirmBrief $firm, int $garden, Visit $visit): array
    {
        return [
            'kind' => 'added', 'visit' => null, 'garden' => $garden, 'from' => null, 'to' => self::at($visit),
            'tasks' => $visit->tasks, 'was' => [], 'why' => self::closing($firm->brief, $visit),
        ];
    }

    /** What the visits there are cost by the same price. */
    public static function present(FirmBrief $firm): Audit
    {
        $gardens = array_column($firm->brief->gardens, null, 'ref');
        $visits = array_filter(
            [...$firm->brief->fixed, ...$firm->brief->present],
            static fn (Visit $visit): bool => isset($gardens[$visit->garden]),
        );

        return Audit::of($firm->brief, array_values($visits));
    }

    /**
     * The visit of the plan that this one has become: on the same day by the same crew, or with most of its tasks.
     *
     * @param  list<string>  $tasks
     * @param  array<int, Visit>  $among
     */
    private static function likest(VisitRow $row, array $tasks, array $among): ?int
    {
        $best = null;
        $most = 0;
        foreach ($among as $index => $visit) {
            $stays = $visit->on->equals($row->on) && $visit->crew === (string) $row->crew_id;
            $like = count(array_intersect($tasks, $visit->tasks)) + ($stays ? 1000 : 0);
            if ($like > $most) {
                [$best, $most] = [$index, $like];
            }
        }

        return $best;
    }

    /**
     * @param  list<string>  $left  refs of what has no day by the plan
     * @return ?Step null where nothing changes
     */
    private static function change(FirmBrief $firm, VisitRow $row, ?Visit $now, array $left): ?array
    {
        $was = $firm->tasks[$row->id];
        $from = ['on' => (string) $row->on, 'crew' => $row->crew_id];
        if ($now === null) {
            return self::isLeftAlone($firm, $row, $was, $left) ? null : [
                'kind' => 'dropped', 'visit' => $row->id, 'garden' => $row->garden_id, 'from' => $from, 'to' => null,
                'tasks' => [], 'was' => $was, 'why' => 'its work is done on other visits',
            ];
        }
        $moved = ! $now->on->equals($row->on) || $now->crew !== (string) $row->crew_id;
        $more = count(array_diff($now->tasks, $was));
        $less = count(array_diff($was, $now->tasks));
        if (! $moved && $more + $less === 0) {
            return null;
        }

        return [
            'kind' => $moved ? 'moved' : 'changed', 'visit' => $row->id, 'garden' => $row->garden_id, 'from' => $from,
            'to' => self::at($now), 'tasks' => $now->tasks, 'was' => $was,
            'why' => self::why($firm, $row, $moved ? $now : null, $more, $less),
        ];
    }

    /**
     * A visit of whose tasks the plan knows none is none of its business; one that it finds no better place for stays
     * as it is, and so does what stands or is begun beside another visit of that day.
     *
     * @param  list<string>  $was
     * @param  list<string>  $left
     */
    private static function isLeftAlone(FirmBrief $firm, VisitRow $row, array $was, array $left): bool
    {
        $crew = array_column($firm->brief->crews, null, 'ref')[(string) $row->crew_id] ?? null;

        return $was === [] || $row->isTouched() || array_diff($was, $left) === []
            || ($row->stands() && $crew?->works($row->on) !== null);
    }

    /** @param  ?Visit  $moved  where it goes; null where it stays */
    private static function why(FirmBrief $firm, VisitRow $row, ?Visit $moved, int $more, int $less): string
    {
        $crews = array_column($firm->brief->crews, null, 'ref');
        $crew = $crews[(string) $row->crew_id] ?? null;
        $shut = self::shut($firm->brief, $row);
        $some = static fn (int $tasks, string $one, string $more): string => match ($tasks) {
            0 => '',
            1 => "one task $one",
            default => "$tasks tasks $more",
        };

        return implode('; ', array_filter([
            ...$moved === null ? [] : [
                $crew === null ? 'it had no crew' : '',
                $crew !== null && $crew->works($row->on) === null ? 'the crew does not work on that day' : '',
                $shut,
                match (true) {
                    $shut !== '' || $crew?->works($row->on) === null => '',
                    self::wasAsked($firm, $row, $moved) => 'the client asked for that weekday',
                    default => 'less way, or nearer the best days',
                },
            ],
            $some($more, 'joins it, so that nobody comes twice', 'join it, so that nobody comes twice'),
            $some($less, 'goes to another visit', 'go to another visit'),
        ], static fn (string $says): bool => $says !== ''));
    }

    /** True where its client asked for the weekday it goes to, and not for the one it was on. */
    private static function wasAsked(FirmBrief $firm, VisitRow $row, Visit $to): bool
    {
        $garden = self::garden($firm->brief, $row);

        return $garden !== null && $garden->isUnasked($row->on) && ! $garden->isUnasked($to->on);
    }

    /** Why nobody may work in its garden on its day; empty where they may. */
    private static function shut(Brief $brief, VisitRow $row): string
    {
        $garden = self::garden($brief, $row);
        if ($garden === null || ! $garden->isShut($row->on)) {
            return '';
        }

        return in_array($row->on->weekday(), $garden->closed, true)
            ? 'the garden is closed on that day'
            : 'the forecast holds the work on that day';
    }

    private static function garden(Brief $brief, VisitRow $row): ?Garden
    {
        foreach ($brief->gardens as $garden) {
            if ($garden->ref === (string) $row->garden_id) {
                return $garden;
            }
        }

        return null;
    }

    /** Which of its windows closes first. */
    private static function closing(Brief $brief, Visit $visit): string
    {
        $tasks = array_column($brief->tasks, null, 'ref');
        $closes = array_map(static fn (string $ref): Day => $tasks[$ref]->window->closes, $visit->tasks);

        return $closes === [] ? '' : 'the first of its windows closes on '.Day::earliest(...$closes)->inWords();
    }

    /** @return array{on: string, crew: int} */
    private static function at(Visit $visit): array
    {
        return ['on' => (string) $visit->on, 'crew' => (int) $visit->crew];
    }
}
