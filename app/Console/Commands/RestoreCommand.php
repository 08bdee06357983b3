<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Upkeep\Restore;
use Illuminate\Console\Command;
use RuntimeException;

/** `./hook restore FILE`: a backup takes the place of what is there, which is kept beside it. */
final class RestoreCommand extends Command
{
    protected $signature = 'restore {file : a backup}';

    protected $description = 'Put a backup in the place of what is there';

    public function handle(Restore $restore): int
    {
        $file = $this->argument('file');
        $this->callSilently('down', ['--retry' => 5]);
        try {
            $done = $restore->from(is_string($file) ? $file : '');
        } catch (RuntimeException $fault) {
            $this->output->getErrorStyle()->writeln('hook: '.$fault->getMessage().'. Nothing was changed.');

            return self::FAILURE;
        } finally {
            $this->callSilently('up');
        }
        foreach ($done as $line) {
            $this->line($line);
        }

        return self::SUCCESS;
    }
}
