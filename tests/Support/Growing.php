<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Knowledge\PlantBookFiles;
use PruningHook\Core\Growth\GrowthKind;
use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Growth\Raising;
use PruningHook\Core\PlantBook\GrowthHabit;
use PruningHook\Core\PlantBook\GrowthHabits;

/** Plants grown from the real plant book. */
trait Growing
{
    private static ?GrowthHabits $habits = null;

    private function grown(string $kind, int $seasons, ?string $form = null, string $seed = 'p1'): LivingPlant
    {
        return Raising::of($this->kind($kind, $form), $seasons, 2026, $seed);
    }

    private function kind(string $id, ?string $form = null): GrowthKind
    {
        $kind = TestBook::read()->kind($id);

        return GrowthKind::of($kind, self::habits()->of($kind, $form), TestBook::read()->figures);
    }

    private static function habit(string $key): GrowthHabit
    {
        return self::habits()->habits[$key];
    }

    private static function habits(): GrowthHabits
    {
        return self::$habits ??= (new PlantBookFiles(dirname(__DIR__, 2).'/plant-book', sys_get_temp_dir()))
            ->readHabits();
    }
}
