<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Ground\Bridge\CorePlants;
use App\Ground\Bridge\JsonSchema;
use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use App\Knowledge\PlantBookFiles;
use App\Knowledge\ReferenceSites;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\ReadAloud;

/**
 * Holds every plant book file against its schema, then against what a schema cannot say; and, if asked, the database
 * against the book.
 */
final class CheckPlantBookCommand extends Command
{
    protected $signature = 'plant-book:check {--database : also hold what the firm has written against the book}';

    protected $description = 'Check the plant book files';

    /** Any season will do: the reference places have no signs. */
    private const SEASON = 2027;

    /** 0 when all is well, with what was read aloud; 1 with one line for each fault: file, path and what is wrong. */
    public function handle(PlantBookFiles $files, ReferenceSites $sites): int
    {
        $faults = [];
        $told = '';
        try {
            $faults = $this->faults($files);
            $places = $sites->all();
            if ($faults === []) {
                $book = $files->readAll();
                [$told, $faults] = self::aloud($book);
                [$windows, $short] = self::windows($book, $places);
                [$told, $faults] = ["$told; $windows", [...$faults, ...$short]];
            }
        } catch (Fault $fault) {
            $faults[] = $fault->getMessage();
        }
        if ($faults === [] && $this->option('database') === true) {
            $faults = [
                ...$this->ownWord(app(PlantBook::class), app(CorePlants::class)),
                ...$this->places(app(CorePlants::class)),
            ];
        }
        foreach ($faults as $fault) {
            $this->error($fault);
        }
        if ($faults === []) {
            $this->info($told);
        }

        return $faults === [] ? self::SUCCESS : self::FAILURE;
    }

    /**
     * Every kind's tasks as a crew would hear them.
     *
     * @return array{string, list<string>} what was read, and the faults
     */
    private static function aloud(PlantBook $book): array
    {
        $reader = new ReadAloud($book);
        $amounts = 0;
        $faults = [];
        foreach ($book->all() as $kind) {
            [$found, $number] = $reader->read($kind);
            $amounts += $number;
            foreach ($found as $fault) {
                $faults[] = "$kind->id $fault";
            }
        }

        return [
            sprintf(
                '%d kinds, no fault; %d recipes; %d amounts, all said; 0 contradictions', count($book->names),
                count($book->recipes->all()), $amounts,
            ),
            $faults,
        ];
    }

    /**
     * Every window of the book at every reference place: none may leave fewer best days than can be planned by.
     *
     * @param  array<string, Site>  $places  by name
     * @return array{string, list<string>} what was found, and the faults
     */
    private static function windows(PlantBook $book, array $places): array
    {
        $all = $spread = 0;
        $faults = [];
        foreach ($places as $name => $site) {
            $year = SiteYear::of($site, self::SEASON);
            foreach ($book->all() as $kind) {
                $kindYear = KindYear::of($year, $kind->phenology);
                foreach ($kind->tasks as $task) {
                    foreach ($task->windows as $each) {
                        $window = $each->value->rule->in($kindYear);
                        $best = $window->bestFrom->daysUntil($window->bestTo) + 1;
                        $all++;
                        $spread += $each->value->rule->collapses($kindYear) ? 1 : 0;
                        if ($best < Window::LEAST_BEST) {
                            $faults[] = "$kind->id $task->key: best for $best days only at $name";
                        }
                    }
                }
            }
        }

        return [
            sprintf(
                '%d windows at %d places, 0 under %d days (%d spread to that)', $all, count($places),
                Window::LEAST_BEST, $spread,
            ),
            $faults,
        ];
    }

    /** @return list<string> */
    private function faults(PlantBookFiles $files): array
    {
        $recipe = JsonSchema::fromFile(base_path('plant-book/recipe.schema.json'));
        $schema = JsonSchema::fromFile(base_path('plant-book/kind.schema.json'));
        $faults = [];
        foreach ($files->recipes() as $file => $data) {
            foreach ($recipe->faults(json_decode(json_encode($data, JSON_THROW_ON_ERROR))) as $fault) {
                $faults[] = "$file: $fault";
            }
        }
        foreach ($files->kinds() as [$file, $kind]) {
            $id = is_string($kind['id'] ?? null) ? $kind['id'] : '(no id)';
            foreach ($schema->faults(json_decode(json_encode($kind, JSON_THROW_ON_ERROR))) as $fault) {
                $faults[] = "$file $id: $fault";
            }
        }

        return $faults;
    }

    /**
     * What firm, gardens and plants say that the book no longer knows.
     *
     * @return list<string>
     */
    private function ownWord(PlantBook $book, CorePlants $bridge): array
    {
        $faults = [];
        foreach ($book->putAside as $kind => $why) {
            $faults[] = "own kind $kind: $why";
        }
        foreach ($bridge->putAside($bridge->firm()->practice) as $says) {
            $faults[] = "house practice: $says";
        }
        foreach (Garden::query()->where('own_practice', true)->get() as $garden) {
            foreach ($bridge->putAside($garden->practice) as $says) {
                $faults[] = "garden $garden->id ($garden->name): $says";
            }
        }
        foreach (Plant::query()->where('own_practice', true)->get() as $plant) {
            foreach ($bridge->putAside($plant->practice) as $says) {
                $faults[] = "plant $plant->id ($plant->label): $says";
            }
        }
        foreach (DB::table('plants')->whereNull('deleted_at')->distinct()->pluck('kind') as $kind) {
            if (! $book->has($kind)) {
                $faults[] = sprintf(
                    'plants of "%s": the plant book has no such kind (%d of them)',
                    $kind,
                    DB::table('plants')->whereNull('deleted_at')->where('kind', $kind)->count(),
                );
            }
        }

        return $faults;
    }

    /**
     * Gardens whose year cannot be worked out.
     *
     * @return list<string>
     */
    private function places(CorePlants $bridge): array
    {
        $faults = [];
        foreach (Garden::query()->lazyById() as $garden) {
            try {
                $bridge->site($garden);
            } catch (Fault $fault) {
                $faults[] = "garden $garden->id ($garden->name): ".$fault->getMessage();
            }
        }

        return $faults;
    }
}
