<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Knowledge\PlantBookFiles;
use Illuminate\Console\Command;
use PruningHook\Core\PlantBook\NameMatch;

/** `./hook find NAME`: the kinds a name may stand for, as JSON. */
final class FindCommand extends Command
{
    use SpeaksJson;

    protected $signature = 'find {name* : as somebody calls it}';

    protected $description = 'Print the kinds that a name may stand for as JSON';

    /** 0 also where nothing is like the name: that is an answer. */
    public function handle(PlantBookFiles $files): int
    {
        $name = implode(' ', array_filter((array) $this->argument('name'), is_string(...)));
        $this->print(['matches' => array_map(
            static fn (NameMatch $match): array => $match->toArray(), $files->read()->names()->find($name),
        )]);

        return self::SUCCESS;
    }
}
