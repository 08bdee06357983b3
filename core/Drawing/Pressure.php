<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Span;

/**
 * How much is open at once: for each week (or day, on short stretches) of a stretch, how many of a group's tasks are
 * open, and how many of them at their best. Many strips laid over each other, told in one line and drawn in two paths.
 */
final readonly class Pressure
{
    /** Where plants are counted no further, one more than this stands for all that are more. */
    public const MANY = 1000;

    /** Stretches up to this long are counted by days. */
    private const BY_DAY = 45;

    /** The gap between two bars, in mm. */
    private const GAP = 0.8;

    /**
     * @param  list<PressureStep>  $steps
     * @param  ?float  $today  in mm
     */
    private function __construct(
        public float $width,
        public array $steps,
        public int $plants,
        public ?float $today,
        public string $says,
    ) {
    }

    /** "12", "2,340", or "1,000+" where they were counted no further. */
    public static function many(int $plants): string
    {
        return $plants === self::MANY + 1 ? number_format(self::MANY).'+' : number_format($plants);
    }

    /** Days of one step: 1 or 7. Weeks begin on a Monday. */
    public static function step(Span $shown): int
    {
        return $shown->days() <= self::BY_DAY ? 1 : 7;
    }

    /**
     * @param  array<int, array{int, int}>  $counts  tasks open and at their best, by the first day of the step (a
     *     Monday, where steps are weeks) as days since 1970-01-01; steps with none may be left out
     */
    public static function of(array $counts, int $plants, Span $shown, Day $today, float $mmPerDay = 1.0): self
    {
        $step = self::step($shown);
        $steps = [];
        for (
            $day = $step === 1 ? $shown->from : $shown->from->monday();
            ! $day->isAfter($shown->to);
            $day = $day->plus($step)
        ) {
            $seen = $shown->clip($day, $day->plus($step - 1));
            [$open, $best] = $counts[$day->number] ?? [0, 0];
            if ($seen !== null) {
                $steps[] = new PressureStep(
                    $shown->from->daysUntil($seen->from) * $mmPerDay, $seen->days() * $mmPerDay, $open, $best, $day,
                );
            }
        }

        return new self(
            $shown->days() * $mmPerDay,
            $steps,
            $plants,
            $shown->holds($today) ? $shown->from->daysUntil($today) * $mmPerDay : null,
            self::inWords($steps, $step, $plants),
        );
    }

    /** How high a bar for so many tasks stands where the highest of all is `$full` mm; never too low to be seen. */
    public static function height(int $tasks, int $peak, float $full): float
    {
        return $tasks === 0 ? 0.0 : max($full / 10, ($full * $tasks) / max(1, $peak));
    }

    /** The most tasks open at once. */
    public function peak(): int
    {
        return max([0, ...array_map(static fn (PressureStep $step): int => $step->open, $this->steps)]);
    }

    /**
     * All bars of one sort as SVG path data, standing on a line `$full` + 2 mm below the top.
     *
     * @param  'open'|'best'  $what
     * @param  int  $peak  the most tasks of all groups drawn together
     */
    public function path(string $what, int $peak, float $full): string
    {
        $path = '';
        foreach ($this->steps as $step) {
            $tasks = $what === 'best' ? $step->best : $step->open;
            if ($tasks > 0) {
                $high = self::short(self::height($tasks, $peak, $full));
                $path .= sprintf(
                    'M%s %sv-%sh%sv%sz',
                    self::short($step->x + self::GAP / 2),
                    self::short($full + 2),
                    $high,
                    self::short(max(0.2, $step->width - self::GAP)),
                    $high,
                );
            }
        }

        return $path;
    }

    private static function short(float $mm): string
    {
        return (string) round($mm, 1);
    }

    /** @param  list<PressureStep>  $steps */
    private static function inWords(array $steps, int $step, int $plants): string
    {
        $plants = self::many($plants).($plants === 1 ? ' plant' : ' plants');
        $busiest = null;
        foreach ($steps as $each) {
            $busiest = $busiest === null || $each->best > $busiest->best ? $each : $busiest;
        }

        return $busiest === null || $busiest->best === 0
            ? "$plants, nothing at its best in these days"
            : sprintf(
                '%s; most at their best %s %s: %d %s, and %d open',
                $plants,
                $step === 1 ? 'on' : 'in the week of',
                $busiest->from->inWords(),
                $busiest->best,
                $busiest->best === 1 ? 'task' : 'tasks',
                $busiest->open,
            );
    }
}
