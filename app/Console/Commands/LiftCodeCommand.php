<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Ground\Models\User;
use App\People\SecondStep;
use Illuminate\Console\Command;

/** For a sole planner who has lost their phone and recovery codes. */
final class LiftCodeCommand extends Command
{
    protected $signature = 'code:lift {email : the address somebody signs in with}';

    protected $description = 'Reset two-step sign-in for somebody who has lost their phone and recovery codes';

    public function handle(): int
    {
        $person = User::query()->where('email', $this->argument('email'))->first();
        if ($person === null || $person->code_since === null) {
            $this->output->getErrorStyle()->writeln($person === null
                ? 'hook: nobody signs in with that address'
                : "hook: $person->name does not use two-step sign-in");

            return self::FAILURE;
        }
        SecondStep::remove($person);
        $this->line("$person->name can sign in with the password alone until they set it up again.");

        return self::SUCCESS;
    }
}
