<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Support\Today;
use App\Upkeep\Backup;
use Illuminate\Console\Command;
use Illuminate\Support\Carbon;
use RuntimeException;

/** `./hook backup [FILE]`: everything of the firm in one file; of those in storage/backups the latest are kept. */
final class BackupCommand extends Command
{
    protected $signature = 'backup {file? : where to; storage/backups/ where left out} {--keep=30 : of those there}';

    protected $description = 'Write everything of the firm into one file';

    public function handle(Backup $backup): int
    {
        $file = $this->argument('file');
        $folder = storage_path('backups');
        $given = is_string($file);
        if (! $given) {
            @mkdir($folder, 0700, true);
            $file = sprintf('%s/hook-%s.zip', $folder, Today::local(Carbon::now())->format('Ymd-His'));
        }
        try {
            $holds = $backup->make((string) $file);
        } catch (RuntimeException $fault) {
            $this->output->getErrorStyle()->writeln('hook: '.$fault->getMessage());

            return self::FAILURE;
        }
        $kept = (array) glob("$folder/hook-*.zip");
        rsort($kept);
        foreach ($given ? [] : array_slice($kept, max(1, (int) $this->option('keep'))) as $old) {
            unlink((string) $old);
        }
        $this->line("$file: ".implode(', ', $holds));

        return self::SUCCESS;
    }
}
