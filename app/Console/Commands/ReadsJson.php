<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Ground\Bridge\InputFaults;

/** How a command that takes a file or standard input reads its JSON. */
trait ReadsJson
{
    /**
     * The file named on the command line, or standard input.
     *
     * @throws InputFaults when there is no such file
     */
    private function given(): string
    {
        $file = $this->argument('file') ?? '-';
        $json = $file === '-' ? file_get_contents('php://stdin') : (is_file($file) ? file_get_contents($file) : false);

        return $json === false ? throw new InputFaults(["$file: no such file, or not readable"]) : $json;
    }
}
