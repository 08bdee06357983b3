<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use Illuminate\Console\Command;

/** `./hook bench storm`: many write at once, one task is planned by many, the server is killed, the machine fails. */
final class BenchStormCommand extends Command
{
    protected $signature = 'bench:storm {--seconds=20 : how long eight people write} {--kills=20} {--port=8188}';

    protected $description = 'Many people write at once while the server is killed; count what is lost or doubled';

    public function handle(): int
    {
        $storm = new Storm((int) $this->option('port'));
        try {
            $sound = $storm->blow(
                (int) $this->option('seconds'), (int) $this->option('kills'), fn (string $line) => $this->line($line),
            );
        } finally {
            $storm->end();
        }

        $faults = new StormFaults((int) $this->option('port') + 1);
        try {
            $held = $faults->befall(fn (string $line) => $this->line($line));
        } finally {
            $faults->end();
        }

        return $sound && $held ? self::SUCCESS : self::FAILURE;
    }
}
