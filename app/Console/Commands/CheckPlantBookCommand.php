<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Exchange\JsonSchema;
use App\PlantBook\PlantBookFiles;
use Illuminate\Console\Command;
use PruningHook\Core\Fault;

/** Holds every plant book file against its schema, then against what a schema cannot say. */
final class CheckPlantBookCommand extends Command
{
    protected $signature = 'plant-book:check';

    protected $description = 'Check the plant book files';

    /** 0 when all is well, 1 with one line for each fault: file, path and what is wrong. */
    public function handle(PlantBookFiles $files): int
    {
        $schema = JsonSchema::fromFile(base_path('plant-book/kind.schema.json'));
        $faults = [];
        try {
            foreach ($files->kinds() as [$file, $kind]) {
                $id = is_string($kind['id'] ?? null) ? $kind['id'] : '(no id)';
                foreach ($schema->faults(json_decode(json_encode($kind, JSON_THROW_ON_ERROR))) as $fault) {
                    $faults[] = "$file $id: $fault";
                }
            }
            $kinds = $faults === [] ? count($files->readAll()->names) : 0;
        } catch (Fault $fault) {
            $faults[] = $fault->getMessage();
        }
        foreach ($faults as $fault) {
            $this->error($fault);
        }
        if ($faults === []) {
            $this->info("$kinds kinds, no fault");
        }

        return $faults === [] ? self::SUCCESS : self::FAILURE;
    }
}
