<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Ground\Support\Today;
use App\Ground\Support\Trouble;
use App\Ground\Upkeep\Backup;
use App\Ground\Upkeep\EncryptedFile;
use Illuminate\Console\Command;
use Illuminate\Support\Carbon;
use RuntimeException;
use Throwable;

/** `./hook backup [FILE]`: everything of the firm in one file; of those in storage/backups the latest are kept. */
final class BackupCommand extends Command
{
    protected $signature = 'backup {file? : where to; storage/backups/ where left out} {--keep=30 : of those there}
        {--plain : not encrypted, though it leaves this installation}';

    protected $description = 'Write everything of the firm into one file';

    public function handle(Backup $backup): int
    {
        $file = $this->argument('file');
        $folder = storage_path('backups');
        $given = is_string($file);
        $passphrase = config('hook.backup_passphrase');
        $passphrase = is_string($passphrase) ? $passphrase : '';
        if ($given && $passphrase === '' && $this->option('plain') !== true && self::isOutside($file)) {
            $this->output->getErrorStyle()->writeln("hook: $file lies outside this installation. Set "
                .'HOOK_BACKUP_PASSPHRASE in .env so that it is encrypted, or add --plain.');

            return self::FAILURE;
        }
        if (! $given) {
            @mkdir($folder, 0700, true);
            $file = sprintf(
                '%s/hook-%s.zip%s', $folder, Today::local(Carbon::now())->format('Ymd-His'),
                $passphrase === '' ? '' : EncryptedFile::ENDING,
            );
        }
        try {
            $holds = $backup->make((string) $file, $passphrase);
        } catch (Throwable $fault) {
            $says = $fault::class === RuntimeException::class ? $fault->getMessage() : Trouble::inWords($fault);
            $this->output->getErrorStyle()->writeln("hook: $says");

            return self::FAILURE;
        }
        // The one just made stays whatever its name says: a clock may be behind.
        $others = array_diff((array) glob("$folder/hook-*.zip*"), [$file]);
        rsort($others);
        foreach ($given ? [] : array_slice($others, max(0, (int) $this->option('keep') - 1)) as $old) {
            unlink((string) $old);
        }
        if (! $given && $others !== [] && strcmp((string) $others[0], (string) $file) > 0) {
            $this->output->getErrorStyle()->writeln(
                'hook: there is a backup with a later date than this one: is the clock of this machine right?',
            );
        }
        $this->line("$file: ".implode(', ', $holds));

        return self::SUCCESS;
    }

    /** Whether it lies neither in the installation nor beside the database, so that others may come to read it. */
    private static function isOutside(string $file): bool
    {
        $folder = realpath(dirname($file));
        $database = config('database.connections.sqlite.database');
        $ours = array_filter([
            realpath(base_path()), is_string($database) ? realpath(dirname($database)) : false,
        ], is_string(...));

        return $folder !== false && array_filter(
            $ours, static fn (string $own): bool => str_starts_with("$folder/", "$own/"),
        ) === [];
    }
}
