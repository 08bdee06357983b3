<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

use PruningHook\Core\Amount\Positions;
use PruningHook\Core\Amount\Wires;
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

    private const WIRES_APART = 450;

    /** Ribs of a fan, unless the plant book keeps a number of mains. Common practice. */
    private const RIBS = 8;

    /**
     * @param  list<float>  $wires  heights
     * @param  list<array{x1: float, y1: float, x2: float, y2: float}>  $mains
     * @param  list<array{x1: float, y1: float, x2: float, y2: float,
     *     buds: list<array{x: float, y: float}>}>  $laterals  cut above the last bud
     * @param  list<array{x: float, y: float}>  $ties
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
        $apart = $task->amount('wires apart')->target ?? self::WIRES_APART;
        $first = $task->amount('first wire')->target ?? $apart;
        $count = $task->amount(Wires::WIRES)->target ?? Positions::along(max(0, $height - $apart), $apart);
        $wires = array_map(
            static fn (int $index): float => (float) min($height, $first + $apart * $index),
            range(0, max(0, $count - 1)),
        );
        $keep = $task->amount('mains to keep') ?? $task->amount('canes to keep');
        $mains = match (true) {
            $plant->form === 'cordon' => self::cordon($width, $height),
            $plant->form === 'fan' => self::fan(self::RIBS, $width, $height),
            $keep !== null => self::fan($keep->target, $width, $height),
            default => self::arms($wires, $width),
        };
        $buds =
            ($task->amount('buds per lateral') ?? $task->amount('nodes per spur') ?? $task->amount('leaves per whip'))
                ->target ?? 3;
        $spacing = $task->amount('spacing of the laterals')->target ?? 150;
        $laterals = self::laterals($mains, $spacing, $buds);
        $ties = self::ties($mains, $figures->number(Figure::TieSpacing));

        return new self(
            $width, (int) round($height * 1.05), $wires, $mains, $laterals, $ties,
            sprintf(
                '%d %s, %d %s, %d laterals about %d cm apart cut to %d %s each, %d ties', count($wires),
                count($wires) === 1 ? 'wire' : 'wires', count($mains),
                match (true) {
                    $plant->form === 'cordon' => 'stem aslant',
                    $plant->form === 'fan' => 'ribs',
                    $keep === null => 'arms and trunk',
                    default => 'mains',
                },
                count($laterals),
                intdiv($spacing, 10),
                $buds,
                $buds === 1 ? 'bud' : 'buds',
                count($ties),
            ),
        );
    }

    /**
     * @param  list<float>  $wires
     * @return list<array{x1: float, y1: float, x2: float, y2: float}>
     */
    private static function arms(array $wires, int $width): array
    {
        $middle = $width / 2;
        $mains = [['x1' => $middle, 'y1' => 0.0, 'x2' => $middle, 'y2' => $wires === [] ? 600.0 : max($wires)]];
        foreach ($wires as $wire) {
            $mains[] = ['x1' => $middle, 'y1' => $wire, 'x2' => $width * 0.03, 'y2' => $wire];
            $mains[] = ['x1' => $middle, 'y1' => $wire, 'x2' => $width * 0.97, 'y2' => $wire];
        }

        return $mains;
    }

    /**
     * A single stem aslant, at 45 degrees as far as the width goes.
     *
     * @return list<array{x1: float, y1: float, x2: float, y2: float}>
     */
    private static function cordon(int $width, int $height): array
    {
        $reach = min($width * 0.9, $height * 0.95);

        return [['x1' => $width * 0.05, 'y1' => 0.0, 'x2' => $width * 0.05 + $reach, 'y2' => $reach]];
    }

    /** @return list<array{x1: float, y1: float, x2: float, y2: float}> */
    private static function fan(int $count, int $width, int $height): array
    {
        $mains = [];
        for ($index = 0; $index < $count; $index++) {
            $place = $count === 1 ? 0.0 : $index / ($count - 1) * 2 - 1;
            $mains[] = [
                'x1' => $width / 2 + $place * 60,
                'y1' => 0.0,
                'x2' => $width / 2 + $place * $width * 0.45,
                'y2' => $height * (0.96 - 0.34 * abs($place)),
            ];
        }

        return $mains;
    }

    /**
     * @param  list<array{x1: float, y1: float, x2: float, y2: float}>  $mains
     * @return list<array{x1: float, y1: float, x2: float, y2: float, buds: list<array{x: float, y: float}>}>
     */
    private static function laterals(array $mains, int $spacing, int $buds): array
    {
        $laterals = [];
        foreach ($mains as $main) {
            $length = hypot($main['x2'] - $main['x1'], $main['y2'] - $main['y1']);
            // No laterals on an upright trunk: it flowers only where wood lies or leans.
            if (abs($main['x2'] - $main['x1']) < 1) {
                continue;
            }
            [$ux, $uy] = [($main['x2'] - $main['x1']) / $length, ($main['y2'] - $main['y1']) / $length];
            // Where mains rise from one place there is no room for laterals yet.
            $first = max(2 * $spacing, $main['y1'] > 0 ? 0 : (int) ceil(0.3 * $length / $spacing) * $spacing);
            for ($at = $first, $side = 1; $at <= $length; $at += $spacing, $side = -$side) {
                [$x, $y] = [$main['x1'] + $ux * $at, $main['y1'] + $uy * $at];
                // Alternately above and aslant below, always off the main.
                [$px, $py] = [
                    $ux * 0.35 - $uy * $side * ($ux < 0 ? -1 : 1),
                    $uy * 0.35 + $ux * $side * ($ux < 0 ? -1 : 1),
                ];
                $norm = hypot($px, $py);
                $dots = array_map(
                    static fn (int $bud): array => [
                        'x' => $x + $px / $norm * self::BUD_EVERY * $bud,
                        'y' => $y + $py / $norm * self::BUD_EVERY * $bud,
                    ],
                    range(1, $buds),
                );
                $end = self::BUD_EVERY * $buds + 12;
                $laterals[] = [
                    'x1' => $x,
                    'y1' => $y,
                    'x2' => $x + $px / $norm * $end,
                    'y2' => $y + $py / $norm * $end,
                    'buds' => $dots,
                ];
            }
        }

        return $laterals;
    }

    /**
     * @param  list<array{x1: float, y1: float, x2: float, y2: float}>  $mains
     * @return list<array{x: float, y: float}>
     */
    private static function ties(array $mains, int $apart): array
    {
        $ties = [];
        foreach ($mains as $main) {
            $length = hypot($main['x2'] - $main['x1'], $main['y2'] - $main['y1']);
            for ($at = $apart; $at <= $length; $at += $apart) {
                $ties[] = [
                    'x' => $main['x1'] + ($main['x2'] - $main['x1']) * $at / $length,
                    'y' => $main['y1'] + ($main['y2'] - $main['y1']) * $at / $length,
                ];
            }
        }

        return $ties;
    }
}
