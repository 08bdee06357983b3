<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Ground\Bridge\InputFaults;
use App\Ground\Bridge\JsonSchema;
use App\Io\Json\PlanInput;
use Closure;
use Illuminate\Console\Command;
use PruningHook\Core\Planning\Season\LeftOut;
use PruningHook\Core\Planning\Season\Planner;
use PruningHook\Core\Planning\Season\Visit;

/** `./hook plan FILE.json`, or standard input: visits, crew days and rounds as JSON on standard output. */
final class PlanCommand extends Command
{
    use ReadsJson;
    use SpeaksJson;

    protected $signature = 'plan {file? : JSON as in docs/formats/plan-input.schema.json; standard input where left '
        .'out}';

    protected $description = 'Fit tasks into visits and crew days and print the plan as JSON';

    /** 0 when all is well, 2 with one line on standard error for each fault. */
    public function handle(): int
    {
        $began = hrtime(true);
        try {
            $input = PlanInput::read(
                $this->given(), JsonSchema::fromFile(base_path('docs/formats/plan-input.schema.json')),
            );
        } catch (InputFaults $faults) {
            return $this->refused($faults->faults);
        }
        $plan = Planner::plan($input->brief, $input->seed, self::spent($input, $began));
        $this->print([
            'visits' => array_map(static fn (Visit $visit): array => $visit->toArray(), $plan->visits),
            'unplaced' => array_map(static fn (LeftOut $left): array => $left->toArray(), $plan->leftOut),
            'cost' => $plan->cost->toArray(),
            'lower_bound' => round($plan->lowerBound, 3),
            'gap' => round($plan->gap(), 4),
            'iterations' => $plan->iterations,
            'no_place' => $plan->placeless,
            'seconds' => round((hrtime(true) - $began) / 1e9, 2),
            'peak_mb' => round(memory_get_peak_usage() / 2 ** 20, 1),
        ]);

        return self::SUCCESS;
    }

    /** @return Closure(int): float */
    private static function spent(PlanInput $input, int $began): Closure
    {
        return $input->iterations === null
            ? static fn (int $try): float => $input->seconds > 0
                ? (hrtime(true) - $began) / 1e9 / $input->seconds
                : 1.0
            : static fn (int $try): float => $input->iterations > 0 ? $try / $input->iterations : 1.0;
    }
}
