<?php

declare(strict_types=1);

namespace App\Planning;

use App\Ground\Models\Crew;
use App\Ground\Models\User;
use App\Ground\Models\Visit;
use App\Ground\Support\Pages;
use Closure;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\Request;
use Illuminate\Support\Collection as BaseCollection;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\PlantBook\PlantBook;

/** A crew's round: today's visits, what is still to be logged, and what comes. People of a crew see their own first. */
final readonly class RoundScreen
{
    private const TODAY = 12;

    private const UNLOGGED = 6;

    private const COMING = 6;

    private const PAST = 4;

    /** More sheets than a crew works through in two days are not put on a phone. */
    private const POCKET = 24;

    public function __construct(private PlantBook $book)
    {
    }

    public function show(User $user, Request $request, Day $today): RoundPage
    {
        $crews = Crew::names();
        $asked = $request->has('crew') ? $request->integer('crew') : $user->crew_id;
        $crew = $asked !== null && isset($crews[$asked]) ? $asked : null;
        $visits = static fn (): Builder => $crew === null ? Visit::query() : Visit::query()->where('crew_id', $crew);
        [$lists, $pages] = self::lists($visits, $request, $today);
        /** @var list<Visit> $all */
        $all = array_merge(...array_map(static fn ($list): array => $list->all(), array_values($lists)));
        $shown = new Collection($all);
        $shown->load('garden:id,name');
        $day = $crew === null ? null : RoundDay::of($crew, $today, $this->book);
        // All stops of a crew's day are shown, however many a page of visits holds.
        $stops = array_column($day->stops ?? [], 'visit');

        return new RoundPage(
            today: $today,
            crew: $crew,
            crews: $crews,
            pages: $pages,
            now: $lists['now'],
            unlogged: $lists['unlogged'],
            coming: $lists['coming'],
            past: $lists['past'],
            work: self::work(new Collection([...$shown, ...$stops])),
            day: $day,
            pocket: $crew === null || $crew !== $user->crew_id ? [] : self::pocket($crew, $today),
        );
    }

    /**
     * @param  Closure(): Builder<Visit>  $visits
     * @return array{array<string, Collection<int, Visit>>, array{now: Pages, unlogged: Pages}}
     */
    private static function lists(Closure $visits, Request $request, Day $today): array
    {
        $now = $visits()->where('on', (string) $today)->orderBy('id');
        $waiting = $visits()->where('on', '<', (string) $today)->where('waiting', true)->orderBy('on')->orderBy('id');
        $pages = [
            'now' => Pages::of($request, $now->count(), self::TODAY, 'today'),
            'unlogged' => Pages::of($request, $waiting->count(), self::UNLOGGED, 'waiting'),
        ];
        /** @var array<string, Collection<int, Visit>> $lists */
        $lists = [
            'now' => $now->limit($pages['now']->per)->offset($pages['now']->offset())->get(),
            'unlogged' => $waiting->limit($pages['unlogged']->per)->offset($pages['unlogged']->offset())->get(),
            'coming' => $visits()->where('on', '>', (string) $today)->orderBy('on')->limit(self::COMING)->get(),
            'past' => $visits()->where('on', '<', (string) $today)->orderByDesc('on')->limit(self::PAST)->get(),
        ];

        return [$lists, $pages];
    }

    /**
     * What the crew must be able to read without signal. The round's own address is the bare one, as it is opened.
     *
     * @return list<string>
     */
    private static function pocket(int $crew, Day $today): array
    {
        $visits = Visit::query()->where('crew_id', $crew);
        $visits->whereIn('on', [(string) $today, (string) $today->plus(1)])->orderBy('on')->orderBy('id');

        $pages = [route('round', [], false)];
        foreach ($visits->limit(self::POCKET)->pluck('id') as $visit) {
            $pages[] = route('visits.show', $visit, false);
        }

        return $pages;
    }

    /**
     * What is to be done on the visits, in short.
     *
     * @param  Collection<int, Visit>  $visits
     * @return array<int, array{plants: list<string>, tasks: int, minutes: int}> by visit
     */
    private static function work(Collection $visits): array
    {
        $tasks = DB::table('visit_tasks')
            ->join('plants', 'plants.id', '=', 'visit_tasks.plant_id')
            ->whereIn('visit_tasks.visit_id', $visits->modelKeys())
            ->orderBy('visit_tasks.visit_id')
            ->orderBy('position')
            ->get(['visit_tasks.visit_id', 'plants.label', 'visit_tasks.minutes'])
            ->groupBy('visit_id');
        $work = [];
        foreach ($visits as $visit) {
            $of = $tasks->get($visit->id) ?? new BaseCollection;
            $work[$visit->id] = [
                'plants' => array_values($of->pluck('label')->unique()->all()),
                'tasks' => $of->count(),
                'minutes' => (int) $of->sum('minutes'),
            ];
        }

        return $work;
    }
}
