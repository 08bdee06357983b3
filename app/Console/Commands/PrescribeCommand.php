<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Exchange\InputFaults;
use App\Exchange\JsonSchema;
use App\Exchange\PrescribeInput;
use App\PlantBook\PlantBookFiles;
use Illuminate\Console\Command;
use PruningHook\Core\Prescription\Prescriber;

/** `./hook prescribe FILE.json`, or standard input: prescriptions as JSON on standard output. */
final class PrescribeCommand extends Command
{
    use TellsFaults;

    protected $signature = 'prescribe {file? : JSON as in docs/formats/prescribe-input.schema.json; standard input where left out}';

    protected $description = 'Print the prescriptions of a file of plants as JSON';

    /** 0 when all is well, 2 with one line on standard error for each fault. */
    public function handle(PlantBookFiles $files): int
    {
        // The book as it ships: what is printed must not depend on one firm's database.
        $book = $files->read();
        $file = $this->argument('file');
        $file = is_string($file) ? $file : '-';
        $json = $file === '-' ? file_get_contents('php://stdin') : (is_file($file) ? file_get_contents($file) : false);
        if ($json === false) {
            return $this->refused(["$file: no such file, or not readable"]);
        }
        try {
            [$year, $practice, $plants] = PrescribeInput::read(
                $json,
                $book,
                JsonSchema::fromFile(base_path('docs/formats/prescribe-input.schema.json')),
            );
        } catch (InputFaults $faults) {
            return $this->refused($faults->faults);
        }
        $prescriber = Prescriber::with($book);
        $prescriptions = [];
        foreach ($plants as $plant) {
            $prescriptions[] = $prescriber->prescribe($plant, $year, $practice)->toArray();
        }
        $this->output->write(json_encode(
            ['prescriptions' => $prescriptions],
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
        )."\n");

        return self::SUCCESS;
    }
}
