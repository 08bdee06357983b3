<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use Illuminate\Console\Command;

/** `./hook bench fuzz`: odd inputs to every route as every role, and mangled files to the commands. */
final class BenchFuzzCommand extends Command
{
    protected $signature = 'bench:fuzz {--requests=20000} {--files=2000 : to each command that reads one} {--seed=1}';

    protected $description = 'Send odd inputs to every route and command, and tell what was not caught';

    public function handle(): int
    {
        $seed = (int) $this->option('seed');
        $requests = (int) $this->option('requests');
        $uncaught = 0;
        if ($requests > 0) {
            $sent = (new FuzzedRequests($seed))->send($requests, fn (string $line) => $this->line($line));
            ksort($sent->statuses);
            $this->line(sprintf(
                '%d requests over %d routes as %d roles, seed %d: %s; %d answers of 500 of %d sorts',
                $requests, $sent->routes, FuzzedRequests::ROLES, $seed, implode(', ', array_map(
                    static fn (int $status, int $count): string => "$count x $status",
                    array_keys($sent->statuses), $sent->statuses,
                )), $sent->broken(), count($sent->faults),
            ));
            $uncaught += $sent->broken();
        }
        foreach ((int) $this->option('files') > 0 ? array_keys(FuzzedCommands::COMMANDS) : [] as $command) {
            $told = (new FuzzedCommands($seed))->give($command, (int) $this->option('files'));
            $this->line($told['says']);
            $uncaught += $told['uncaught'];
        }

        return $uncaught === 0 ? self::SUCCESS : self::FAILURE;
    }
}
