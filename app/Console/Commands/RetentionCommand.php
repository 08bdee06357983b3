<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Ground\Upkeep\Retention;
use Illuminate\Console\Command;

/** `php artisan retention`: each night, what the firm keeps no longer. */
final class RetentionCommand extends Command
{
    protected $signature = 'retention {--dry-run : only count}';

    protected $description = 'Erase what the firm no longer keeps (Retention, on the people page)';

    public function handle(): int
    {
        $dry = $this->option('dry-run') === true;
        $counts = $dry ? Retention::dryRun(Retention::inForce()) : Retention::carryOut();
        foreach ($counts as $kind => $count) {
            $this->line("$kind: $count ".($dry ? 'would be erased' : 'erased'));
        }

        return self::SUCCESS;
    }
}
