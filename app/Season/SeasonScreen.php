<?php

declare(strict_types=1);

namespace App\Season;

use App\Ground\Support\Pages;
use App\Ground\Support\Reading;
use App\Season\Due\DueKeeper;
use Illuminate\Database\Query\Builder;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Drawing\Pressure;
use PruningHook\Core\Drawing\Strip;
use PruningHook\Core\Planning\Urgency;

/** Everything the Season screen shows of one day: the lists by urgency, and the wall. */
final readonly class SeasonScreen
{
    /** Rows of a list before it says how many more there are, and rows of a page where one list is asked for. */
    private const LISTED = 12;

    private const LISTED_ALONE = 50;

    /** So many tasks are counted, and so many hits of a word: nobody looks through more. */
    private const MOST = 10_000;

    private const MOST_FOUND = Pressure::MANY;

    public function __construct(private DueKeeper $keeper, private KeptTasks $tasks, private Wall $wall)
    {
    }

    public function show(SeasonFilter $filter, Request $request, Day $today): SeasonPage
    {
        $ready = $this->keeper->ready();

        // One transaction sees one state of the tables, whatever is worked out meanwhile.
        return Reading::together(function () use ($filter, $request, $today, $ready): SeasonPage {
            $most = $filter->text === '' ? self::MOST : self::MOST_FOUND;
            $counts = [];
            $lists = [];
            $pages = null;
            foreach (KeptTasks::URGENCIES as $urgency) {
                $tasks = $filter->narrow(KeptTasks::query($ready), 'season_tasks');
                $counts[$urgency->value] = self::counted(
                    $filter->isOfSome() ? KeptTasks::urgentAmong(clone $tasks, $urgency, $today)
                        : KeptTasks::urgent(clone $tasks, $urgency, $today), $most,
                );
                if ($filter->show === $urgency) {
                    $pages = Pages::of($request, $counts[$urgency->value], self::LISTED_ALONE, 'list', $most);
                }
                $lists[$urgency->value] =
                    $counts[$urgency->value] === 0 || ($filter->show !== null && $filter->show !== $urgency)
                        ? []
                        : $this->tasks->rows(
                            KeptTasks::listed($tasks, $urgency, $today)
                                ->limit($pages->per ?? self::LISTED)
                                ->offset($pages?->offset() ?? 0),
                            $today,
                        );
            }

            return new SeasonPage(
                $today, $ready, $most, $counts, $lists, $pages,
                Strip::marks($filter->zoom->span($today), Wall::scale($filter, $today)), Wall::WIDTH,
                $this->wall->show($filter, $request, $today, $ready),
            );
        });
    }

    /** A firm may have tens of thousands of each, and so may a word. */
    private static function counted(Builder $tasks, int $most): int
    {
        return DB::query()->fromSub($tasks->select('season_tasks.id')->limit($most + 1), 'some')->count();
    }

    /**
     * Some rows of one group of a folded wall, unfolded.
     */
    public function group(SeasonFilter $filter, string $key, Request $request, Day $today): GroupPage
    {
        $ready = $this->keeper->ready();

        return Reading::together(function () use ($filter, $key, $request, $today, $ready): GroupPage {
            [$rows, $rest] = $this->wall->group($filter, $key, $request, $today, $ready);

            return new GroupPage(
                Strip::marks($filter->zoom->span($today), Wall::scale($filter, $today)), Wall::WIDTH,
                $filter->by !== Grouping::Garden, $rows, $rest,
            );
        });
    }
}
