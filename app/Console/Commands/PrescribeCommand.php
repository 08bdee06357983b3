<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Gardens\Plants\Likenesses;
use App\Ground\Bridge\InputFaults;
use App\Ground\Bridge\JsonSchema;
use App\Ground\Models\Plant as Row;
use App\Io\Json\PrescribeInput;
use App\Knowledge\PlantBookFiles;
use Illuminate\Console\Command;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Prescription\Prescription;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Regrowth\Course;
use PruningHook\Core\Regrowth\Courses;

/** `./hook prescribe FILE.json`, or standard input: prescriptions as JSON on standard output. */
final class PrescribeCommand extends Command
{
    use ReadsJson;
    use SpeaksJson;

    protected $signature = 'prescribe {file? : JSON as in docs/formats/prescribe-input.schema.json; standard input '
        .'where left out} {--courses : Grow leaving it, its tasks and a hard cut on for three years}';

    protected $description = 'Print the prescriptions of a file of plants as JSON';

    /**
     * 0 when all is well or some plants could be answered, the others told under `faults`; 2 with one line on standard
     * error for each fault.
     */
    public function handle(PlantBookFiles $files): int
    {
        // The book as it ships: what is printed must not depend on one firm's database.
        $book = $files->read();
        try {
            [$year, $practice, $plants, $unknown] = PrescribeInput::read(
                $this->given(),
                $book,
                JsonSchema::fromFile(base_path('docs/formats/prescribe-input.schema.json')),
            );
        } catch (InputFaults $faults) {
            return $this->refused($faults->faults);
        }
        $prescriber = Prescriber::with($book);
        $prescriptions = [];
        foreach ($plants as $plant) {
            $prescription = $prescriber->prescribe($plant, $year, $practice);
            $prescriptions[] = $this->option('courses')
                ? self::withCourses($prescription, $plant, $year, $book, new Likenesses($book, $files))
                : $prescription->toArray();
        }
        if ($prescriptions === [] && $unknown !== []) {
            return $this->refused(array_map(
                static fn (array $each): string => "$each[path]: $each[because]", $unknown,
            ), ['prescriptions' => [], 'faults' => $unknown]);
        }
        $this->print(['prescriptions' => $prescriptions, 'faults' => $unknown]);

        return self::SUCCESS;
    }

    /**
     * @return array<string, mixed> the prescription, each task that can be drawn with what leaving it, doing it and
     *     cutting hard would bring
     */
    private static function withCourses(
        Prescription $prescription,
        Plant $plant,
        SiteYear $year,
        PlantBook $book,
        Likenesses $likenesses,
    ): array {
        $shape = $prescription->toArray();
        $shape['tasks'] = array_map(static function (Task $task) use ($plant, $year, $book, $likenesses): array {
            if (Likenesses::drawable([$task]) === []) {
                return $task->toArray();
            }
            $likeness = $likenesses->of(new Row, $plant, $year, $task);
            $courses = (new Courses(
                $likeness->living, $book->kind($plant->kind), $book->figures, $likenesses->time($plant, $year, $task),
            ))->for($task);

            return [
                ...$task->toArray(),
                'courses' => array_map(static fn (Course $course): array => $course->toArray(), $courses),
                'courses_rest_on' => $likeness->restsOn,
            ];
        }, $prescription->tasks);

        return $shape;
    }
}
