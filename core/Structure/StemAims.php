<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Amount\AmountRules;
use PruningHook\Core\Amount\StemsToKeep;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\Fault;
use PruningHook\Core\Plant\Circumstances;
use PruningHook\Core\PlantBook\Conditional;
use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\Habit;
use PruningHook\Core\PlantBook\HardCutting;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\PlantBook\TaskRule;
use PruningHook\Core\Schools\ChosenSchools;

/** Finds the aim a kind's stems are judged by: from its methods, the number its tasks keep, the school and the caps. */
final readonly class StemAims
{
    private function __construct(private PlantBook $book)
    {
    }

    public static function with(PlantBook $book): self
    {
        return new self($book);
    }

    /** The clearance of a kind of this vigour. */
    public function clearance(Kind $kind): Clearance
    {
        return new Clearance(
            $this->book->figures->number(Figure::RubsWithin), $this->book->figures->number($kind->vigour->extension()),
            $this->book->figures->number($kind->vigour->thickening()) / 100,
        );
    }

    /**
     * @param  ChosenSchools  $practice  in force for the plant
     * @param  ?int  $keep  stems wanted, where somebody says otherwise than the book
     * @param  ?int  $budgetPercent  what may go, where somebody says otherwise than the caps
     *
     * @throws Fault when the numbers cannot be
     */
    public function for(
        Kind $kind,
        ChosenSchools $practice,
        ?string $aim = null,
        ?bool $grafted = null,
        ?int $keep = null,
        ?int $budgetPercent = null,
    ): StemAim {
        // Which stems to keep does not hang on the winter or the age: an established plant in a middling one stands for
        // all.
        $plant = new Circumstances(WinterClass::Cool, $practice, null, null, $aim, $grafted);
        [$plan, $method, $number, $school] = $this->plan($kind, $plant, $aim);
        [$cap, $source] = $this->book->caps->for($kind, $method);

        return new StemAim(
            $plan,
            $keep === null ? $number?->min : min($keep, $number->min ?? $keep),
            $keep ?? $number?->target,
            $keep ?? $number?->max,
            $budgetPercent ?? $cap,
            $budgetPercent === null ? $source : 'asked for',
            $grafted ?? $kind->has('grafted'),
            // A cane of last summer has fruited, or is about to: it is old.
            $plan === StemPlan::Canes ? 1 : $this->book->figures->number(Figure::YoungStem),
            $this->book->figures->number(Figure::Pencil),
            $school,
            $this->book->figures->number(Figure::StemUpright),
            $this->book->figures->number(Figure::StemThin),
        );
    }

    /** @return array{StemPlan, ?string, ?Amount, string} plan, method, number of stems and school */
    private function plan(Kind $kind, Circumstances $plant, ?string $aim): array
    {
        $best = [StemPlan::Tidy, null, null, ''];
        foreach ($kind->tasks as $task) {
            if (! $task->when->holds($plant)) {
                continue;
            }
            $method = $task->method($plant);
            $number = self::number($task, $plant);
            $plan =
                StemPlan::tryFrom($this->book->recipes->get($method)->stems ?? '') ??
                ($number === null ? null : StemPlan::Mains);
            if ($plan !== null) {
                return [
                    $plan, $method, $number,
                    implode(
                        ', ',
                        array_map(
                            static fn (string $question): string => $plant->choice($question)->option,
                            $task->questions(),
                        ),
                    ),
                ];
            }
            $best[1] ??= $method;
        }

        return $aim === 'renewal' && $kind->hardCutting !== HardCutting::Badly && $kind->habit !== Habit::Tree
            ? [StemPlan::Thirds, 'renew-by-thirds', null, '']
            : $best;
    }

    private static function number(TaskRule $task, Circumstances $plant): ?Amount
    {
        foreach (Conditional::holding($task->amounts, $plant) as $spec) {
            $rule = AmountRules::of($spec);
            if ($rule instanceof StemsToKeep) {
                return $rule->keep();
            }
        }

        return null;
    }
}
