<?php

declare(strict_types=1);

namespace App\Knowledge;

use Illuminate\Support\Facades\Cache;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Schools\ChosenSchools;

/**
 * In which months each kind has best days at a site. Every kind of the book must be read for it: what it came to is put
 * aside until the book, what the firm says of kinds, or the season are others.
 */
final readonly class BestMonths
{
    private const FOR_SECONDS = 7 * 86_400;

    public function __construct(private PlantBookFiles $files)
    {
    }

    /** @return array<string, list<int>> months from 1 to 12, by kind */
    public function in(SiteYear $season): array
    {
        $own = OwnKinds::inForce();
        $mark = hash('xxh128', json_encode(
            [$this->files->mark(), $own, $season->season, $season->numbers()], JSON_THROW_ON_ERROR,
        ));
        $kept = Cache::get('best months');
        if (! is_array($kept) || ($kept['mark'] ?? null) !== $mark) {
            $kept = ['mark' => $mark, 'months' => self::worked($this->files->read($own), $season)];
            Cache::put('best months', $kept, self::FOR_SECONDS);
        }
        /** @var array<string, list<int>> $months as it was put */
        $months = $kept['months'];

        return $months;
    }

    /** @return array<string, list<int>> */
    private static function worked(PlantBook $book, SiteYear $season): array
    {
        $prescriber = Prescriber::with($book);
        $practice = ChosenSchools::of($book->questions);
        $months = [];
        foreach (array_keys($book->names) as $id) {
            $its = [];
            foreach ($prescriber->windows(new Plant('kind', $id), $season, $practice) as $task) {
                $its = [...$its, ...self::of($task->window)];
            }
            $months[$id] = array_values(array_unique($its));
        }

        return $months;
    }

    /** @return list<int> those with a best day */
    private static function of(Window $window): array
    {
        $months = [$window->bestTo->month()];
        for ($day = $window->bestFrom; ! $day->isAfter($window->bestTo); $day = $day->plus(7)) {
            $months[] = $day->month();
        }

        return $months;
    }
}
