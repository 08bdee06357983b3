<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Fault;
use PruningHook\Core\Plant\Growing;
use PruningHook\Core\Plant\Keeping;
use PruningHook\Core\Reason;

/** The value and the source of every `Figure`. */
final readonly class Figures
{
    /** @param  array<string, array{int, string}>  $given  value and source, by figure */
    private function __construct(private array $given)
    {
    }

    /**
     * @param  array<string, array{int, string}>  $given  value and source, by figure
     *
     * @throws Fault when a figure is missing, or one is given that nobody asks for
     */
    public static function of(array $given): self
    {
        $known = array_map(static fn (Figure $figure): string => $figure->value, Figure::cases());
        foreach (array_diff($known, array_keys($given)) as $missing) {
            throw new Fault("figures.$missing: this figure is missing");
        }
        foreach (array_diff(array_keys($given), $known) as $stranger) {
            throw new Fault("figures.$stranger: nothing asks for this figure");
        }

        return new self($given);
    }

    /** @throws Fault naming the place in the entry */
    public static function fromEntry(Entry $figures, Sources $sources): self
    {
        $given = [];
        foreach ($figures->keys() as $key) {
            $figure = $figures->entry($key);
            $given[$key] = [$figure->whole('value'), $figure->has('source')
                ? $figure->parsed('source', $sources->quote(...))
                : $sources->quote(Sources::COMMON)];
        }

        return self::of($given);
    }

    public function number(Figure $figure): int
    {
        return $this->given[$figure->value][0];
    }

    /** A reason that rests on this figure. */
    public function reason(Figure $figure, string $rule, string $because): Reason
    {
        return new Reason($rule, $because, $this->given[$figure->value][1]);
    }

    /**
     * The thickest wood to be met, in mm: the oldest stems of a plant this high, or what was measured. A tree's
     * heaviest branches are about half as thick as its trunk. Common practice, no source.
     */
    public function thickest(Kind $kind, int $heightMm, ?int $trunkMm = null): int
    {
        if ($trunkMm !== null) {
            return $kind->habit === Habit::Tree ? intdiv($trunkMm, 2) : $trunkMm;
        }

        return (int) round($heightMm * $this->number($kind->habit->thickness()) / 1000);
    }

    /** The thickest wood that a recipe cuts on a plant of this height. */
    public function cuts(Recipe $recipe, Kind $kind, int $heightMm, ?int $trunkMm = null): int
    {
        return min($this->thickest($kind, $heightMm, $trunkMm), $recipe->woodMm ?? PHP_INT_MAX);
    }

    /** How a kind grows in one season. */
    public function growing(Kind $kind): Growing
    {
        return new Growing(
            // What flowers on the year's growth makes that much of it from the cut.
            $kind->growthMm === null
                ? $this->number($kind->vigour->extension())
                : intdiv(array_sum($kind->growthMm), 2),
            $kind->typicalHeightMm,
            $kind->habit === Habit::Tree ? 0 : $this->number($kind->vigour->basalShoots()),
            $kind->habit->keepsItsHeight(),
        );
    }

    /**
     * What a plant's state is kept by.
     *
     * @param  array<string, int>  $restoring  recipes that bring a plant back, and in how many seasons
     */
    public function keeping(array $restoring = []): Keeping
    {
        return new Keeping(
            $this->number(Figure::StateHolds), $this->number(Figure::LatePlanting), $this->number(Figure::BroughtBack),
            $this->number(Figure::HedgeTop), $this->number(Figure::DoubtSeasons), $this->number(Figure::DoubtShorter),
            $restoring,
        );
    }
}
