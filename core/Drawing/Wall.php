<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Amount\Positions;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\Figures;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\Prescription\Task;

/**
 * A trained plant on its wires, to scale in mm: x from its left end, y from the ground up. Wires, mains (fanned where a
 * number of mains is kept, else an arm along each wire), laterals with their buds counted, ties.
 */
final readonly class Wall
{
    private const FORMS = ['wall', 'trellis', 'fence', 'espalier', 'cordon', 'fan', 'arch'];

    /** A bud about every so many mm along a lateral. Common practice. */
    private const BUD_EVERY = 45;

    /** Where the plant book says nothing. Common practice. */
    private const WIRES_APART = 450;

    private const SPACING = 150;

    private const BUDS = 3;

    /** Ribs of a fan, unless the plant book keeps a number of mains. Common practice. */
    private const RIBS = 8;

    /**
     * @param  list<float>  $wires  heights
     * @param  list<Line>  $mains
     * @param  list<Lateral>  $laterals
     * @param  list<Spot>  $ties
     */
    private function __construct(
        public int $width,
        public int $height,
        public array $wires,
        public array $mains,
        public array $laterals,
        public array $ties,
        public string $says,
    ) {
    }

    public static function isOn(Plant $plant, Kind $kind): bool
    {
        return $plant->form === null ? $kind->has('tied') : in_array($plant->form, self::FORMS, true);
    }

    public static function of(Plant $plant, Kind $kind, Task $task, Figures $figures): self
    {
        $height = max(600, $plant->heightMm ?? $kind->typicalHeightMm);
        $width = max(600, $plant->spreadMm ?? $plant->runMm ?? (int) round($height * 1.2));
        $wires = self::wires($task, $height);
        $keep = $task->amount(Effect::StemsKept)?->target;
        [$mains, $called] = match (true) {
            $plant->form === 'cordon' => [self::cordon($width, $height), 'stem aslant'],
            $plant->form === 'fan' => [self::fan(self::RIBS, $width, $height), 'ribs'],
            $keep !== null => [self::fan($keep, $width, $height), 'mains'],
            default => [self::arms($wires, $width), 'arms and trunk'],
        };
        $spacing = $task->amount(Effect::LateralsApart)->target ?? self::SPACING;
        $buds = self::buds($task);
        $laterals = self::laterals($mains, $spacing, $buds);
        $ties = self::ties($mains, $figures->number(Figure::TieSpacing));

        return new self(
            $width, (int) round($height * 1.05), $wires, $mains, $laterals, $ties,
            sprintf(
                '%s, %d %s, %d laterals about %d cm apart cut to %s each, %d ties',
                self::many(count($wires), 'wire'), count($mains), $called,
                count($laterals), intdiv($spacing, 10), self::many($buds, 'bud'), count($ties),
            ),
        );
    }

    private static function many(int $count, string $thing): string
    {
        return $count === 1 ? "1 $thing" : "$count {$thing}s";
    }

    /** @return list<float> heights in mm, the lowest first, none above the plant */
    private static function wires(Task $task, int $height): array
    {
        $apart = $task->amount(Effect::WiresApart)->target ?? self::WIRES_APART;
        $first = $task->amount(Effect::FirstWire)->target ?? $apart;
        $count = $task->amount(Effect::Wires)->target ?? Positions::along(max(0, $height - $apart), $apart);

        return array_map(
            static fn (int $index): float => (float) min($height, $first + $apart * $index),
            range(0, max(0, $count - 1)),
        );
    }

    /** Buds left on a lateral. */
    private static function buds(Task $task): int
    {
        foreach ([Effect::BudsOnLaterals, Effect::NodesOnSpurs] as $effect) {
            $amount = $task->amount($effect);
            if ($amount !== null) {
                return $amount->target;
            }
        }

        return self::BUDS;
    }

    /**
     * @param  list<float>  $wires
     * @return list<Line>
     */
    private static function arms(array $wires, int $width): array
    {
        $middle = $width / 2;
        $mains = [new Line($middle, 0.0, $middle, $wires === [] ? 600.0 : max($wires))];
        foreach ($wires as $wire) {
            $mains[] = new Line($middle, $wire, $width * 0.03, $wire);
            $mains[] = new Line($middle, $wire, $width * 0.97, $wire);
        }

        return $mains;
    }

    /**
     * A single stem aslant, at 45 degrees as far as the width goes.
     *
     * @return list<Line>
     */
    private static function cordon(int $width, int $height): array
    {
        $reach = min($width * 0.9, $height * 0.95);

        return [new Line($width * 0.05, 0.0, $width * 0.05 + $reach, $reach)];
    }

    /** @return list<Line> */
    private static function fan(int $count, int $width, int $height): array
    {
        $mains = [];
        for ($index = 0; $index < $count; $index++) {
            $place = $count === 1 ? 0.0 : $index / ($count - 1) * 2 - 1;
            $mains[] = new Line(
                $width / 2 + $place * 60, 0.0,
                $width / 2 + $place * $width * 0.45, $height * (0.96 - 0.34 * abs($place)),
            );
        }

        return $mains;
    }

    /**
     * @param  list<Line>  $mains
     * @return list<Lateral>
     */
    private static function laterals(array $mains, int $spacing, int $buds): array
    {
        $laterals = [];
        foreach ($mains as $main) {
            $length = $main->length();
            // No laterals on an upright trunk: it flowers only where wood lies or leans.
            if (abs($main->x2 - $main->x1) < 1) {
                continue;
            }
            [$ux, $uy] = [($main->x2 - $main->x1) / $length, ($main->y2 - $main->y1) / $length];
            // Where mains rise from one place there is no room for laterals yet.
            $first = max(2 * $spacing, $main->y1 > 0 ? 0 : (int) ceil(0.3 * $length / $spacing) * $spacing);
            for ($at = $first, $side = 1; $at <= $length; $at += $spacing, $side = -$side) {
                // Alternately above and aslant below, always off the main.
                $across = $side * ($ux < 0 ? -1 : 1);
                $laterals[] = self::lateral(
                    $main->at($at / $length), 0.35 * $ux - $uy * $across, 0.35 * $uy + $ux * $across, $buds,
                );
            }
        }

        return $laterals;
    }

    /** A lateral from a place of its main, going the given way. */
    private static function lateral(Spot $from, float $across, float $up, int $buds): Lateral
    {
        $norm = hypot($across, $up);
        $at = static fn (float $along): Spot => new Spot(
            $from->x + $across / $norm * $along, $from->y + $up / $norm * $along,
        );
        $end = $at(self::BUD_EVERY * $buds + 12);

        return new Lateral(
            new Line($from->x, $from->y, $end->x, $end->y),
            array_map(static fn (int $bud): Spot => $at(self::BUD_EVERY * $bud), range(1, $buds)),
        );
    }

    /**
     * @param  list<Line>  $mains
     * @return list<Spot>
     */
    private static function ties(array $mains, int $apart): array
    {
        $ties = [];
        foreach ($mains as $main) {
            $length = $main->length();
            for ($at = $apart; $at <= $length; $at += $apart) {
                $ties[] = $main->at($at / $length);
            }
        }

        return $ties;
    }
}
