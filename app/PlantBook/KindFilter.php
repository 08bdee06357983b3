<?php

declare(strict_types=1);

namespace App\PlantBook;

use App\Bridge\CorePlants;
use App\Models\Garden;
use Illuminate\Http\Request;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\PlantBook\FloweringWood;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Practice\Practice;
use PruningHook\Core\Prescription\Plant;
use PruningHook\Core\Prescription\Prescriber;

/** What the plant book is narrowed to: a name, the wood it flowers on, its habit, or a month in which it is best pruned. */
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
            $request->string('q')->trim()->toString(),
            FloweringWood::tryFrom($request->string('wood')->toString()),
            $request->string('habit')->toString() ?: null,
            $month >= 1 && $month <= 12 ? $month : null,
        );
    }

    /** @return list<Kind> by name */
    public function kinds(PlantBook $book, Day $today): array
    {
        $found = array_filter($book->all(), fn (Kind $kind): bool => ($this->wood === null || $kind->wood === $this->wood)
            && ($this->habit === null || $kind->habit === $this->habit)
            && $this->named($kind)
            && ($this->month === null || $this->bestIn($kind, $book, $today)));
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

    /** Months differ from place to place: the firm's first garden stands for the others. */
    private function bestIn(Kind $kind, PlantBook $book, Day $today): bool
    {
        $years = self::where();
        if ($years === null) {
            return false;
        }
        $season = SiteYear::seasonOn($years->site, $today);
        foreach (Prescriber::with($book)->prescribe(Plant::of('kind', $kind->id), $years->season($season), Practice::of($book->questions))->tasks as $task) {
            for ($day = $task->window->bestFrom; ! $day->isAfter($task->window->bestTo); $day = $day->plus(7)) {
                if ($day->month() === $this->month) {
                    return true;
                }
            }
        }

        return false;
    }

    private static function where(): ?SiteYears
    {
        $garden = Garden::query()->get()->sortBy('id')->first();

        return $garden === null ? null : app(CorePlants::class)->years($garden);
    }
}
