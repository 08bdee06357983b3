<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Ground\Bridge\InputFaults;
use App\Ground\Bridge\JsonSchema;
use App\Io\Json\GrowInput;
use App\Knowledge\PlantBookFiles;
use Illuminate\Console\Command;
use PruningHook\Core\Fault;
use PruningHook\Core\Growth\Axis;
use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Growth\Rubs;
use PruningHook\Core\Growth\Year;

/** `./hook grow FILE.json`, or standard input: a plant season by season under the cuts that are made, as JSON. */
final class GrowCommand extends Command
{
    use ReadsJson;
    use SpeaksJson;

    protected $signature = 'grow {file? : JSON as in docs/formats/grow-input.schema.json; standard input where '
        .'left out}';

    protected $description = 'Run seasons and cuts on a plant and print what becomes of it as JSON';

    /** 0 when all is well, 2 with one line on standard error for each fault. */
    public function handle(PlantBookFiles $files): int
    {
        try {
            $input = GrowInput::read(
                $this->given(), $files->read(), $files->readHabits(),
                JsonSchema::fromFile(base_path('docs/formats/grow-input.schema.json')),
            );
            $seasons = $this->seasons($input);
        } catch (InputFaults $faults) {
            return $this->refused($faults->faults);
        }
        $this->print([
            'kind' => $input->kind->id, 'habit' => $input->plant->kind->habit->key, 'rests_on' => $input->restsOn,
            'seasons' => $seasons,
        ]);

        return self::SUCCESS;
    }

    /**
     * @return list<array<string, mixed>>
     *
     * @throws InputFaults for a cut on wood that is not there
     */
    private function seasons(GrowInput $input): array
    {
        $plant = $input->plant;
        $seasons = [];
        foreach ($input->seasons as $index => $cuts) {
            try {
                $year = Year::of($plant, $cuts['winter'], $cuts['afterBloom'], $cuts['summer']);
            } catch (Fault $fault) {
                throw new InputFaults(["\$.seasons[$index]: ".$fault->getMessage()]);
            }
            $plant = $year->plant;
            $stood = $year->summer->nodes() + $year->removed;
            $seasons[] = [
                'season' => $plant->season,
                'flowers' => round($year->bloom->flowers, 1),
                'flowering_height_mm' => $year->bloom->flowers > 0.0 ? $year->bloom->heightMm : null,
                'height_mm' => $year->summer->heightMm(),
                'stems' => count($year->summer->stems()),
                'live_nodes' => $year->summer->living(),
                'removed_nodes' => $year->removed,
                'removed_percent' => $stood > 0 ? round(100 * $year->removed / $stood, 1) : 0.0,
                'rubs' => array_map(
                    static fn (array $rub): array => ['a' => $rub[0], 'b' => $rub[1], 'air_mm' => $rub[2]],
                    Rubs::of($year->summer),
                ),
                ...$input->axes ? ['axes' => self::axes($year->summer)] : [],
            ];
        }

        return $seasons;
    }

    /** @return list<array<string, mixed>> */
    private static function axes(LivingPlant $plant): array
    {
        $pipes = $plant->pipes();
        $places = $plant->places();

        return array_values(array_map(static fn (Axis $axis): array => [
            'id' => $axis->id, 'parent' => $axis->parent, 'node' => max(0, $axis->node),
            'azimuth_deg' => round($axis->azimuthDeg, 1), 'lean_deg' => round($axis->leanDeg, 1),
            'order' => $axis->order, 'born' => $axis->born(), 'nodes' => $axis->nodes(),
            'length_mm' => (int) round($axis->nodes() * $axis->internodeMm),
            'base_mm' => round($plant->thickAt($axis, $pipes[$axis->id]), 1),
            'tip' => array_map(
                static fn (float $mm): int => (int) round($mm),
                $plant->pointOf($places[$axis->id], $axis->nodes() - 1),
            ),
            'dead' => $axis->isDead(),
        ], $plant->axes));
    }
}
