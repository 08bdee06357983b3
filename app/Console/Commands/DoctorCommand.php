<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Ground\Upkeep\Doctor;
use Illuminate\Console\Command;

/** `./hook doctor`: a line for each thing the office rests on; 1 where one is wrong. */
final class DoctorCommand extends Command
{
    protected $signature = 'doctor';

    protected $description = 'Look at everything the office rests on, and say what to do';

    public function handle(Doctor $doctor): int
    {
        $ill = false;
        foreach ($doctor->look() as [$what, $wrong, $right]) {
            $this->line(sprintf('%-13s %s', $what, $wrong === null ? "ok: $right" : "WRONG: $wrong"));
            $ill = $ill || $wrong !== null;
        }

        return $ill ? self::FAILURE : self::SUCCESS;
    }
}
