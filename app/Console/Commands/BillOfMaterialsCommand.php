<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Ground\Upkeep\BillOfMaterials;
use Illuminate\Console\Command;
use RuntimeException;

/** `./hook bill-of-materials`: what this installation is made of, for a release. */
final class BillOfMaterialsCommand extends Command
{
    protected $signature = 'bill-of-materials';

    protected $description = 'Print every package this is made of, as CycloneDX JSON';

    public function handle(): int
    {
        try {
            $document = (new BillOfMaterials(base_path()))->document();
        } catch (RuntimeException $fault) {
            $this->output->getErrorStyle()->writeln("hook: {$fault->getMessage()}");

            return self::FAILURE;
        }
        $this->line((string) json_encode($document, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR));

        return self::SUCCESS;
    }
}
