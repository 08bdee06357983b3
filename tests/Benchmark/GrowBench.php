<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use PruningHook\Core\Drawing\Portrait;
use PruningHook\Core\Growth\GrowthKind;
use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Growth\Raising;
use PruningHook\Core\Growth\Year;
use PruningHook\Core\PlantBook\GrowthHabits;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Regrowth\Stage;

/** How long a season of the living plant takes, of one of 300 axes and of a thousand of all kinds, and a picture. */
final readonly class GrowBench
{
    private const AXES = 300;

    private const TIMES = 101;

    private const PLANTS = 1_000;

    public function __construct(private PlantBook $book, private GrowthHabits $habits)
    {
    }

    /** @return list<string> in words */
    public function run(): array
    {
        $plant = $this->large();
        $took = [];
        for ($time = 0; $time < self::TIMES; $time++) {
            $began = hrtime(true);
            Year::of($plant);
            $took[] = (hrtime(true) - $began) / 1e6;
        }
        sort($took);

        return [
            sprintf(
                'a plant of %d axes, one season with its flowers and losses: %.2f ms in the middle of %d, the slowest '
                    .'%.2f ms; %.2f ms for each %d axes', count($plant->axes), $took[intdiv(self::TIMES, 2)],
                self::TIMES, end($took),
                $took[intdiv(self::TIMES, 2)] * self::AXES / count($plant->axes), self::AXES,
            ),
            ...$this->many(),
        ];
    }

    /** Left alone for as long as it takes to grow so many axes. */
    private function large(): LivingPlant
    {
        $plant = Raising::of($this->kind('butterfly-bush'), 1, 2026, 'bench');
        while (count($plant->axes) < self::AXES) {
            $plant = Year::of($plant)->plant;
        }

        return $plant;
    }

    /** @return list<string> */
    private function many(): array
    {
        $ids = array_keys($this->book->names);
        $plants = [];
        for ($index = 0; $index < self::PLANTS; $index++) {
            $plants[] = Raising::of($this->kind($ids[$index % count($ids)]), 3 + $index % 6, 2026, "plant $index");
        }
        $axes = array_sum(array_map(static fn (LivingPlant $plant): int => count($plant->axes), $plants));
        $began = hrtime(true);
        foreach ($plants as $each) {
            Year::of($each);
        }

        $grown = sprintf(
            '%d plants of %d kinds, %d axes: %.2f ms a season each, peak %d MB', self::PLANTS, count($ids), $axes,
            (hrtime(true) - $began) / 1e6 / self::PLANTS, memory_get_peak_usage(true) / 2 ** 20,
        );
        $took = [];
        foreach ($plants as $each) {
            $began = hrtime(true);
            Portrait::alone(new Stage($each, null, null, 0));
            $took[] = (hrtime(true) - $began) / 1e6;
        }
        sort($took);

        return [$grown, sprintf(
            'the same drawn: %.2f ms in the middle, the slowest %.2f ms, %.2f ms each, peak %d MB',
            $took[intdiv(self::PLANTS, 2)], end($took), array_sum($took) / self::PLANTS,
            memory_get_peak_usage(true) / 2 ** 20,
        )];
    }

    private function kind(string $id): GrowthKind
    {
        $kind = $this->book->kind($id);

        return GrowthKind::of($kind, $this->habits->of($kind), $this->book->figures);
    }
}
