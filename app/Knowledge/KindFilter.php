<?php

declare(strict_types=1);

namespace App\Knowledge;

use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Garden;
use App\Ground\Support\Asked;
use Illuminate\Http\Request;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\PlantBook\FloweringWood;
use PruningHook\Core\PlantBook\KindNames;
use PruningHook\Core\PlantBook\PlantBook;

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

    /**
     * Which kinds are meant, by what is known of each without reading it whole.
     *
     * @return list<string> ids, by name
     */
    public function kinds(PlantBook $book, Day $today): array
    {
        $found = array_filter(
            $book->names,
            fn (KindNames $kind): bool => ($this->wood === null || $kind->wood === $this->wood->value)
                && ($this->habit === null || $kind->habit === $this->habit)
                && $this->named($kind),
        );
        uasort($found, static fn (KindNames $a, KindNames $b): int => strcasecmp($a->name, $b->name));
        $ids = array_map(strval(...), array_keys($found));

        return $this->month === null ? $ids : $this->best($ids, $today);
    }

    private function named(KindNames $kind): bool
    {
        foreach ([...$kind->all(), $kind->family] as $name) {
            if ($this->text === '' || mb_stripos($name, $this->text) !== false) {
                return true;
            }
        }

        return false;
    }

    /**
     * Those with a best day in the month. Months differ from place to place: the firm's first garden stands for the
     * others.
     *
     * @param  list<string>  $ids
     * @return list<string>
     */
    private function best(array $ids, Day $today): array
    {
        $garden = Garden::first();
        if ($garden === null) {
            return [];
        }
        $years = app(CorePlants::class)->years($garden);
        $months = app(BestMonths::class)->in($years->season(SiteYear::seasonOn($years->site, $today)));

        return array_values(array_filter(
            $ids, fn (string $id): bool => in_array($this->month, $months[$id] ?? [], true),
        ));
    }
}
