<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Formatter\OutputFormatter;

/** How commands refuse: one line on standard error for each fault, nothing on standard output, exit code 2. */
trait TellsFaults
{
    /** @param  list<string>  $faults */
    private function refused(array $faults): int
    {
        foreach ($faults as $fault) {
            $this->output->getErrorStyle()->writeln(OutputFormatter::escape($fault));
        }

        return Command::INVALID;
    }
}
