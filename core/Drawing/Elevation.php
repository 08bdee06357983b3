<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\Taken;
use PruningHook\Core\PlantBook\Habit;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Units\Length;

/**
 * The plant from the side, to scale, in mm: x from the middle, y from the ground up. As it is (a ghost), as it stands
 * after the cut, which stems go and in which order, where the cut runs and where the flowers will be.
 */
final readonly class Elevation
{
    /**
     * @param  non-empty-list<Spot>  $ghost  the outline as it is
     * @param  non-empty-list<Spot>  $after  the outline as it should be
     * @param  list<SideStem>  $stems
     * @param  list<Tick>  $ticks
     * @param  non-empty-list<Mark>  $measure  heights above the ground
     */
    private function __construct(
        public int $width,
        public int $height,
        public array $ghost,
        public array $after,
        public array $stems,
        public array $ticks,
        public ?int $cutMm,
        public ?int $flowersMm,
        public ?int $clearMm,
        public array $measure,
        public string $says,
    ) {
    }

    /** @param  ?int  $cutMm  another cut height than the prescribed one, to look at what it would do */
    public static function of(Plant $plant, Kind $kind, Task $task, ?int $cutMm = null): self
    {
        $height = max(100, $plant->heightMm ?? $kind->typicalHeightMm);
        $spread = max(100, $plant->spreadMm ?? (int) round($height * ($kind->habit === Habit::Tree ? 0.7 : 0.8)));
        $clear = $task->amount(Effect::ClearStem)?->target;
        $cut = self::cutAt($task, $cutMm, $height);
        $stems = $clear !== null
            ? [self::stem(0.0, 0.0, $height * 0.9, null, null)]
            : self::stems(
                $plant->stems?->all(), $task->amount(Effect::OldStemsOut)->target ?? 0, $height, $spread, $cut,
            );

        return self::drawn($kind, $height, $spread, $cut, self::flowersAt($task, $cutMm), $clear, $stems, 'as it is');
    }

    /**
     * A season of the record: as it stood, and as it was left.
     *
     * @param  int  $heightMm  it stood at before the cut
     * @param  Taken  $taken  in that season
     * @param  ?int  $flowersMm  where it flowered after the cut, where somebody noted it
     */
    public static function ofRecord(Kind $kind, int $heightMm, ?int $spreadMm, Taken $taken, ?int $flowersMm): self
    {
        $height = max(100, $heightMm);
        $spread = max(100, $spreadMm ?? (int) round($height * ($kind->habit === Habit::Tree ? 0.7 : 0.8)));
        $cut = $taken->heightMm !== null && $taken->heightMm < $height ? $taken->heightMm : null;
        // Nobody counted those that stayed: as many are drawn as of a plant that nobody has counted.
        $stems = self::stems(null, $taken->stems(), $height, $spread, $cut);

        return self::drawn($kind, $height, $spread, $cut, $flowersMm, null, $stems, 'as it stood');
    }

    /** @param  list<SideStem>  $stems */
    private static function drawn(
        Kind $kind,
        int $height,
        int $spread,
        ?int $cut,
        ?int $flowersAt,
        ?int $clear,
        array $stems,
        string $when,
    ): self {
        $from = $clear ?? ($kind->habit === Habit::Tree ? intdiv($height, 5) : 0);
        $top = max($height, $flowersAt ?? 0);

        return new self(
            (int) round($spread * 1.1),
            (int) round($top * 1.06),
            self::dome($spread, $from, $height),
            self::dome($cut === null ? $spread : (int) round($spread * sqrt($cut / $height)), $from, $cut ?? $height),
            $stems,
            self::ticks($stems, $cut, $kind),
            $cut,
            $flowersAt,
            $clear,
            self::measure($top),
            self::inWords($height, $spread, $cut, $flowersAt, $clear, $stems, $when),
        );
    }

    /** Where it is cut, in mm; null where it is not brought down. */
    private static function cutAt(Task $task, ?int $cutMm, int $height): ?int
    {
        $cut = $cutMm ?? ($task->amount(Effect::CutHeight) ?? $task->amount(Effect::HeightAfter))?->target;

        return $cut !== null && $cut < $height ? $cut : null;
    }

    /** Where the flowers will be, in mm: they move with the cut. */
    private static function flowersAt(Task $task, ?int $cutMm): ?int
    {
        $flowers = $task->amount(Effect::FloweringHeight)?->target;
        $usual = $task->amount(Effect::CutHeight)?->target;

        return $flowers === null || $usual === null || $cutMm === null ? $flowers : $flowers - $usual + $cutMm;
    }

    /**
     * A rounded outline from a height up, through sixteen points.
     *
     * @return non-empty-list<Spot>
     */
    private static function dome(int $spread, int $from, int $top): array
    {
        $half = $spread / 2;

        return array_map(static function (int $step) use ($half, $from, $top): Spot {
            $angle = M_PI * $step / 16;

            // Fuller at the shoulder than a half circle: plants are.
            return new Spot(
                -$half * (cos($angle) <=> 0) * abs(cos($angle)) ** 0.8,
                $from + ($top - $from) * sin($angle) ** 0.6,
            );
        }, range(0, 16));
    }

    /**
     * @param  ?int  $all  that stand, where they are counted
     * @param  int  $out  of them, at the base
     * @return list<SideStem>
     */
    private static function stems(?int $all, int $out, int $height, int $spread, ?int $cut): array
    {
        $count = max(3, min(12, $all ?? 7));
        $out = min($count - 1, $out);
        // The oldest stand in the middle of a shrub: those are the ones that go.
        $middleFirst = range(0, $count - 1);
        usort(
            $middleFirst,
            static fn (int $a, int $b): int => [abs($a - ($count - 1) / 2), $a] <=> [abs($b - ($count - 1) / 2), $b],
        );
        $order = array_flip(array_slice($middleFirst, 0, $out));
        $stems = [];
        foreach (range(0, $count - 1) as $index) {
            $place = $index / ($count - 1) * 2 - 1;
            $reach = $height * (0.94 - 0.22 * $place ** 2);
            $stems[] = self::stem(
                $place * $spread * 0.06, $place * $spread * 0.42, $reach,
                isset($order[$index]) ? $order[$index] + 1 : null, $cut,
            );
        }

        return $stems;
    }

    /** One stem: neighbours' numbers stand at other heights, so that each can be read. */
    private static function stem(float $from, float $to, float $reach, ?int $order, ?int $cut): SideStem
    {
        $line = new Line($from, 0.0, $to, $reach);
        $kept = $order === null && $cut !== null && $cut < $reach ? $cut / $reach : 1.0;

        return new SideStem($line, $line->at($kept), $line->at(0.35 + 0.17 * (($order ?? 0) % 4)), $order);
    }

    /**
     * @param  list<SideStem>  $stems
     * @return list<Tick>
     */
    private static function ticks(array $stems, ?int $cut, Kind $kind): array
    {
        $ticks = [];
        foreach ($stems as $stem) {
            $line = $stem->line;
            if ($stem->goes()) {
                $ticks[] = new Tick(new Spot($line->x1, $line->y2 * 0.03), 0.0);
            } elseif ($cut !== null && $cut < $line->y2) {
                // Opposite buds are cut straight across, others sloping away from the bud.
                $slant = $line->x2 < 0 ? -35.0 : 35.0;
                $ticks[] = new Tick($line->at($cut / $line->y2), $kind->has('opposite-buds') ? 0.0 : $slant);
            }
        }

        return $ticks;
    }

    /** @return non-empty-list<Mark> */
    public static function measure(int $top): array
    {
        $step = 100;
        foreach ([5000, 2000, 1000, 500, 250] as $length) {
            if ($top / $length >= 3) {
                $step = $length;

                break;
            }
        }

        return array_map(
            static fn (int $y): Mark => new Mark($y, $y === 0 ? '0' : Length::ofMm($y)->metric()),
            range(0, intdiv($top, $step) * $step, $step),
        );
    }

    /** @param  list<SideStem>  $stems */
    private static function inWords(
        int $height,
        int $spread,
        ?int $cut,
        ?int $flowers,
        ?int $clear,
        array $stems,
        string $when,
    ): string {
        $say = static fn (int $mm): string => Length::ofMm($mm)->metric();
        $going = count(array_filter($stems, static fn (SideStem $stem): bool => $stem->goes()));

        return implode('; ', array_filter([
            sprintf('%s tall and %s wide %s', $say($height), $say($spread), $when),
            $cut === null ? null : 'cut at '.$say($cut),
            $going === 0 ? null : sprintf('%d %s out at the base', $going, $going === 1 ? 'stem' : 'stems'),
            $clear === null ? null : 'stem cleared to '.$say($clear),
            $flowers === null ? null : 'flowers at about '.$say($flowers),
        ], static fn (?string $words): bool => $words !== null));
    }
}
