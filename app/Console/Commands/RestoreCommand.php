<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Ground\History\SecurityLog;
use App\Ground\Models\SecurityEventKind;
use App\Ground\Support\Trouble;
use App\Ground\Upkeep\Restore;
use Illuminate\Console\Command;
use RuntimeException;
use Throwable;

/** `./hook restore FILE`: a backup takes the place of what is there, which is kept beside it. */
final class RestoreCommand extends Command
{
    protected $signature = 'restore {file : a backup}';

    protected $description = 'Put a backup in the place of what is there';

    public function handle(Restore $restore): int
    {
        $file = $this->argument('file');
        $errors = $this->output->getErrorStyle();
        $passphrase = config('hook.backup_passphrase');
        try {
            $done = $restore->from(
                $file,
                fn (string $step) => $this->line("  $step"),
                is_string($passphrase) ? $passphrase : '',
            );
        } catch (Throwable $fault) {
            $errors->writeln('hook: '.self::said($fault).'. '.($restore->done
                ? 'The database is the backup\'s; run it again to put the rest right.'
                : 'Nothing was changed.'));

            return self::FAILURE;
        }
        SecurityLog::note(SecurityEventKind::Restored, says: basename($file));
        foreach ($done as $line) {
            $this->line($line);
        }

        return self::SUCCESS;
    }

    private static function said(Throwable $fault): string
    {
        if ($fault::class === RuntimeException::class) {
            return $fault->getMessage();
        }
        report($fault);

        return Trouble::inWords($fault);
    }
}
