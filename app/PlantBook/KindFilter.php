<?php

declare(strict_types=1);

namespace App\PlantBook;

use App\Bridge\CorePlants;
use App\Models\Garden;
use App\Support\Asked;
use Illuminate\Http\Request;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\FloweringWood;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Practice\Practice;
use PruningHook\Core\Prescription\Prescriber;

/**
 * What the plant book is narrowed to: a name, the wood it flowers on, its habit, or a month in which it is best pruned.
 */
final readonly class KindFilter
{
    private function __construct(
        public string $text,
        public ?FloweringWood $wood,
        public ?string $habit,
        public ?int $month,
    ) {
    }

    public static function from(Request $request): self
    {
        $month = $request->integer('month');

        return new self(
            Asked::text($request, 'q'),
            FloweringWood::tryFrom(Asked::text($request, 'wood')),
            Asked::text($request, 'habit') ?: null,
            $month >= 1 && $month <= 12 ? $month : null,
        );
    }

    /** @return list<Kind> by name */
    public function kinds(PlantBook $book, Day $today): array
    {
        $best = $this->month === null ? null : $this->best($book, $today);
        $found = array_filter(
            $book->all(),
            fn (Kind $kind): bool => ($this->wood === null || $kind->wood === $this->wood)
                && ($this->habit === null || $kind->habit->value === $this->habit)
                && $this->named($kind)
                && ($best === null || in_array($kind->id, $best, true)),
        );
        usort($found, static fn (Kind $a, Kind $b): int => strcasecmp($a->name, $b->name));

        return $found;
    }

    private function named(Kind $kind): bool
    {
        foreach ([...$kind->names(), $kind->family] as $name) {
            if ($this->text === '' || mb_stripos($name, $this->text) !== false) {
                return true;
            }
        }

        return false;
    }

    /**
     * Kinds with a best day in the month. Months differ from place to place: the firm's first garden stands for the
     * others.
     *
     * @return list<string> ids
     */
    private function best(PlantBook $book, Day $today): array
    {
        $garden = Garden::first();
        if ($garden === null) {
            return [];
        }
        $years = app(CorePlants::class)->years($garden);
        $season = $years->season(SiteYear::seasonOn($years->site, $today));
        $practice = Practice::of($book->questions);
        $best = [];
        foreach ($book->all() as $kind) {
            foreach (Prescriber::with($book)->windows(new Plant('kind', $kind->id), $season, $practice) as $task) {
                if (self::touches($task->window, (int) $this->month)) {
                    $best[] = $kind->id;
                }
            }
        }

        return $best;
    }

    private static function touches(Window $window, int $month): bool
    {
        for ($day = $window->bestFrom; ! $day->isAfter($window->bestTo); $day = $day->plus(7)) {
            if ($day->month() === $month) {
                return true;
            }
        }

        return $window->bestTo->month() === $month;
    }
}
