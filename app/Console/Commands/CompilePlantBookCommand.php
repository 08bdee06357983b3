<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Knowledge\PlantBookFiles;
use Illuminate\Console\Command;

/**
 * `php artisan plant-book:compile`, part of `php artisan optimize`: reads the YAML files once and keeps what they come
 * to, so that nobody who opens a page after an update waits for it.
 */
final class CompilePlantBookCommand extends Command
{
    protected $signature = 'plant-book:compile';

    protected $description = 'Keep the plant book as the pages read it';

    public function handle(PlantBookFiles $files): int
    {
        $this->line(count($files->read()->names).' kinds');

        return self::SUCCESS;
    }
}
