<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use Illuminate\Console\Command;

/** One of the phones of `./hook bench sync`; prints how each word was answered, as JSON. */
final class BenchPhoneCommand extends Command
{
    protected $signature = 'bench:phone {office} {email} {tasks : as JSON} {words}';

    protected $description = 'One phone of ./hook bench sync';

    protected $hidden = true;

    public function handle(): int
    {
        /** @var list<array{visit: int, task: int}> $tasks */
        $tasks = json_decode($this->text('tasks'), true, 8, JSON_THROW_ON_ERROR);
        $phone = new Phone($this->text('office'));
        $this->line(json_encode(
            $phone->say($this->text('email'), $tasks, (int) $this->argument('words')),
            JSON_THROW_ON_ERROR,
        ));

        return self::SUCCESS;
    }

    private function text(string $argument): string
    {
        $text = $this->argument($argument);

        return is_string($text) ? $text : '';
    }
}
