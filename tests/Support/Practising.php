<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Knowledge\PlantBookFiles;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Exercise\Exercise;
use PruningHook\Core\Exercise\ExerciseCases;
use PruningHook\Core\Plant\Plant;

/** Cases of the practice bench from the real library, in southern England. */
trait Practising
{
    use Growing;
    use Prescribing;

    private static ?ExerciseCases $cases = null;

    private static function cases(): ExerciseCases
    {
        return self::$cases ??= (new PlantBookFiles(dirname(__DIR__, 2).'/plant-book', sys_get_temp_dir()))
            ->readBench();
    }

    private function exercise(string $key, int $seed = 1): Exercise
    {
        $case = self::cases()->named($key);
        $kind = TestBook::read()->kind($case->kind);

        return Exercise::ofCase(
            $case, $kind, $this->kind($case->kind, $case->form),
            $this->task(new Plant('bench', $case->kind, heightMm: $case->heightMm, form: $case->form), $case->task),
            KindYear::of(SiteYear::of(Sites::southernEngland(), 2027), $kind->phenology), $seed,
        );
    }
}
