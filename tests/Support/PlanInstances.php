<?php

declare(strict_types=1);

namespace Tests\Support;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Small made-up instances in the shape of docs/formats/plan-input.schema.json, some easy, some with too little time.
 */
final class PlanInstances
{
    /**
     * @return array{seed: int, iterations: int, horizon: array{from: string, to: string},
     *     depot: array{lat: float, lon: float}, crews: list<array<string, mixed>>, gardens: list<array<string, mixed>>,
     *     tasks: list<array<string, mixed>>}
     */
    public static function of(int $seed): array
    {
        $chance = new Randomizer(new Mt19937($seed));
        $days = $chance->getInt(5, 15);
        $date = static fn (int $day): string => date('Y-m-d', (int) strtotime('2027-01-04 UTC') + 86_400 * $day);
        $some = static fn (int $from, int $to): int => $chance->getInt($from, $to);
        $crews = [];
        for ($crew = 0, $count = $some(1, 3); $crew < $count; $crew++) {
            $hours = ['08:00', ['11:00', '12:30', '16:00'][$some(0, 2)]];
            $crews[] = [
                'ref' => "c$crew",
                'people' => $some(1, 3),
                'skills' => [[], ['ladder'], ['ladder', 'saw']][$some(0, 2)],
                'overtime' => $some(0, 1) === 0,
                'week' => array_fill_keys(array_slice(['mon', 'tue', 'wed', 'thu', 'fri'], $some(0, 2)), $hours),
                'off' => $some(0, 2) === 0 ? [$date($some(0, $days - 1))] : [],
            ];
        }
        $gardens = [];
        for ($garden = 0, $count = $some(3, 6); $garden < $count; $garden++) {
            $gardens[] = [
                'ref' => "g$garden",
                'lat' => 51.2 + $some(-1500, 1500) / 10_000,
                'lon' => -1.1 + $some(-2500, 2500) / 10_000,
                'setup' => $some(5, 25),
                'closed' => $some(0, 3) === 0 ? [['mon', 'wed', 'fri'][$some(0, 2)]] : [],
                'off' => $some(0, 2) === 0 ? [$date($some(0, $days - 1)), $date($some(0, $days - 1))] : [],
            ];
        }
        $tasks = [];
        for ($task = 0, $count = $some(5, 12); $task < $count; $task++) {
            $edges = [$some(-3, $days), $some(0, $days), $some(0, $days), $some(0, $days + 3)];
            sort($edges);
            $tasks[] = [
                'ref' => "t$task", 'garden' => 'g'.$some(0, count($gardens) - 1), 'opens' => $date($edges[0]),
                'best_from' => $date($edges[1]), 'best_to' => $date($edges[2]), 'closes' => $date($edges[3]),
                'minutes' => $some(10, 240), 'skills' => $some(0, 2) === 0 ? ['ladder'] : [],
                'weight' => [1, 1, 2, 0.5][$some(0, 3)],
            ];
        }

        return [
            'seed' => 1, 'iterations' => 6000, 'horizon' => ['from' => $date(0), 'to' => $date($days - 1)],
            'depot' => ['lat' => 51.2, 'lon' => -1.1], 'crews' => $crews, 'gardens' => $gardens, 'tasks' => $tasks,
        ];
    }
}
