<?php

declare(strict_types=1);

namespace App\Ground\Bridge;

use PruningHook\Core\Fault;

/** How inputs are read: what the core refuses is kept with its path, and reading goes on. */
trait TriesValues
{
    /** @var list<string> one line each, beginning with the JSON path */
    private array $faults = [];

    /**
     * @template T
     *
     * @param  callable(): T  $read
     * @return T|null null where the core finds a fault, which is kept with its path
     */
    private function tried(string $path, callable $read): mixed
    {
        try {
            return $read();
        } catch (Fault $fault) {
            $this->faults[] = $path.': '.$fault->getMessage();

            return null;
        }
    }
}
