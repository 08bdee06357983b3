<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Formatter\OutputFormatter;

/**
 * How commands read and answer JSON, and refuse: one line on standard error for each fault, nothing on standard output,
 * exit code 2.
 */
trait SpeaksJson
{
    /** @param  array<string, mixed>  $answer */
    private function print(array $answer): void
    {
        $this->output->write(
            json_encode(
                $answer,
                JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
            )."\n",
        );
    }

    /**
     * @param  list<string>  $faults
     * @param  ?array<string, mixed>  $answer  what is printed all the same
     */
    private function refused(array $faults, ?array $answer = null): int
    {
        if ($answer !== null) {
            $this->print($answer);
        }
        foreach ($faults as $fault) {
            $this->output->getErrorStyle()->writeln(OutputFormatter::escape($fault));
        }

        return Command::INVALID;
    }
}
