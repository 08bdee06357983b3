<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Ground\Bridge\InputFaults;
use App\Ground\Bridge\JsonSchema;
use App\Io\Json\PrescribeInput;
use App\Knowledge\PlantBookFiles;
use Illuminate\Console\Command;
use Illuminate\Support\Arr;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Fault;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\CutOn;
use PruningHook\Core\Prescription\CutVerdict;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Reason;
use PruningHook\Core\Schools\ChosenSchools;

/** `./hook window KIND --site FILE --day DAY`: what that day is to a plant of that kind there, and why. */
final class WindowCommand extends Command
{
    use SpeaksJson;

    protected $signature = 'window {kind : id, botanical or common name} {--site= : JSON with "site" and, if '
        .'wanted, "practice" and "observations"} {--day= : yyyy-mm-dd}';

    protected $description = 'Print what a day is to a kind of plant at a site, with reasons';

    /** 0 when all is well, 2 with one line on standard error for each fault. */
    public function handle(PlantBookFiles $files): int
    {
        // The book as it ships: what is printed must not depend on one firm's database.
        $book = $files->read();
        try {
            $verdict = $this->verdict($book);
        } catch (InputFaults $faults) {
            return $this->refused($faults->faults);
        }
        $this->print(self::shape($verdict));

        return self::SUCCESS;
    }

    /** @throws InputFaults */
    private function verdict(PlantBook $book): CutVerdict
    {
        $day = $this->day();
        $given = $this->siteFile();
        // Which season a day belongs to depends on the hemisphere, which only the site tells.
        [$year] = $this->read($book, ['observations' => []] + $given, $day->year(), []);
        $season = SiteYears::of($year->site)->holding($day)->season;
        [$seen, $practice, $plants] = $this->read($book, $given, $season, [
            ['ref' => 'plant', 'kind' => $this->argument('kind')],
        ]);

        return CutOn::with($book)->judge(
            $plants[0],
            SiteYears::of($seen->site, [$seen->season => $seen->seen]),
            $day,
            $practice,
        );
    }

    /**
     * @param  array<string, mixed>  $given
     * @param  list<array<string, mixed>>  $plants
     * @return array{SiteYear, ChosenSchools, list<Plant>}
     *
     * @throws InputFaults
     */
    private function read(PlantBook $book, array $given, int $season, array $plants): array
    {
        [$year, $practice, $read, $unknown] = PrescribeInput::read(
            json_encode([...$given, 'season' => $season, 'plants' => $plants], JSON_THROW_ON_ERROR),
            $book,
            JsonSchema::fromFile(base_path('docs/formats/prescribe-input.schema.json')),
        );

        return $unknown === []
            ? [$year, $practice, $read]
            : throw new InputFaults(array_column($unknown, 'because'));
    }

    /** @throws InputFaults */
    private function day(): Day
    {
        $day = $this->option('day');
        try {
            return Day::parse(is_string($day) ? $day : '');
        } catch (Fault $fault) {
            throw new InputFaults(['--day: '.$fault->getMessage()]);
        }
    }

    /**
     * @return array<string, mixed>
     *
     * @throws InputFaults
     */
    private function siteFile(): array
    {
        $file = $this->option('site');
        $json = is_string($file) && is_file($file) ? file_get_contents($file) : false;
        $data = $json === false ? null : json_decode($json, true);
        if (! is_array($data)) {
            throw new InputFaults([
                '--site: '.(is_string($file) ? "$file is not a readable JSON file" : 'a JSON file is needed'),
            ]);
        }

        return isset($data['latitude']) ? ['site' => $data] : Arr::except($data, ['season', 'plants']);
    }

    /** @return array<string, mixed> the shape of docs/formats/README.md */
    private static function shape(CutVerdict $verdict): array
    {
        $task = static fn (Task $task): array => [
            'key' => $task->key,
            'name' => $task->name,
            'window' => $task->window->toArray(),
        ];

        return [
            'day' => (string) $verdict->day,
            'state' => $verdict->state->value,
            'tasks' => array_map($task, $verdict->tasks),
            'reasons' => array_map(static fn (Reason $reason): array => $reason->toArray(), $verdict->reasons),
            'next' => $verdict->next === null ? null : $task($verdict->next),
        ];
    }
}
