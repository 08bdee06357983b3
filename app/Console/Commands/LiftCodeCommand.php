<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\User;
use App\People\SecondStep;
use Illuminate\Console\Command;

/** For the day on which the only planner has lost phone and paper. */
final class LiftCodeCommand extends Command
{
    protected $signature = 'code:lift {email : the address somebody signs in with}';

    protected $description = 'Let somebody sign in by password alone until they set up a new code';

    public function handle(): int
    {
        $person = User::query()->where('email', $this->argument('email'))->first();
        if ($person === null || $person->code_since === null) {
            $this->output->getErrorStyle()->writeln($person === null
                ? 'hook: nobody signs in with that address'
                : "hook: $person->name is asked for no code");

            return self::FAILURE;
        }
        SecondStep::remove($person);
        $this->line("$person->name signs in by password alone until they set up a new code.");

        return self::SUCCESS;
    }
}
