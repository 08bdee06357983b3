<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Illuminate\Foundation\Exceptions\Handler;
use Symfony\Component\Console\Exception\ExceptionInterface;
use Symfony\Component\Console\Formatter\OutputFormatter;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Throwable;

/** On the command line what went wrong is told on standard error: standard output is what others read on. */
final class Failures extends Handler
{
    public function renderForConsole($output, Throwable $e): void
    {
        $errors = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        if ($e instanceof ExceptionInterface) {
            $errors->writeln(OutputFormatter::escape('hook: '.$e->getMessage()));

            return;
        }
        parent::renderForConsole($errors, $e);
    }
}
