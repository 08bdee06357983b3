<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Ground\Bridge\InputFaults;
use App\Ground\Bridge\JsonSchema;
use App\Io\Json\JudgeInput;
use App\Knowledge\PlantBookFiles;
use App\Knowledge\ReferenceSites;
use Illuminate\Console\Command;
use PruningHook\Core\Structure\StemAims;
use PruningHook\Core\Structure\StemJudge;

/** `./hook judge FILE.json`, or standard input: which stems stay and which go, in order, with reasons, as JSON. */
final class JudgeCommand extends Command
{
    use ReadsJson;
    use SpeaksJson;

    protected $signature = 'judge {file? : JSON as in docs/formats/judge-input.schema.json; standard input where '
        .'left out}';

    protected $description = 'Judge the stems of one plant and print what stays and what goes as JSON';

    /** 0 when all is well, 2 with one line on standard error for each fault. */
    public function handle(PlantBookFiles $files): int
    {
        // The book as it ships: what is printed must not depend on one firm's database.
        $book = $files->read();
        try {
            $schema = JsonSchema::fromFile(base_path('docs/formats/judge-input.schema.json'));
            [$kind, $survey, $aim, $told] = JudgeInput::read(
                $this->given(), $book, $schema, (new ReferenceSites($files))->first(),
            );
        } catch (InputFaults $faults) {
            return $this->refused($faults->faults);
        }
        $this->print([
            'kind' => $kind->id,
            ...StemJudge::with(StemAims::with($book)->clearance($kind))
                ->judge($survey, $aim, $told)
                ->toArray(),
        ]);

        return self::SUCCESS;
    }
}
