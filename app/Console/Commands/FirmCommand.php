<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Ground\Models\Role;
use App\Ground\Models\User;
use App\Ground\Support\Trouble;
use App\Io\Firm\FirmDocument;
use App\People\Staff;
use Illuminate\Console\Command;
use PruningHook\Core\Fault;
use Throwable;

/** `./hook firm out FILE.zip` and `./hook firm in FILE.zip`: a whole firm goes from one installation to another. */
final class FirmCommand extends Command
{
    protected $signature = 'firm {way : out or in} {file : a ZIP}';

    protected $description = 'Write the whole firm to a file, or take one into an installation that has none';

    public function handle(FirmDocument $document, Staff $staff): int
    {
        $file = $this->argument('file');
        try {
            match ($this->argument('way')) {
                'out' => $this->out($document, $file),
                'in' => $this->in($document, $staff, $file),
                default => throw new Fault('a firm goes out or in: ./hook firm out FILE.zip'),
            };
        } catch (Throwable $fault) {
            $fault instanceof Fault || report($fault);
            $this->output->getErrorStyle()->writeln('hook: '.Trouble::inWords($fault).'. Nothing was changed.');

            return self::FAILURE;
        }

        return self::SUCCESS;
    }

    private function out(FirmDocument $document, string $file): void
    {
        if (file_exists($file)) {
            throw new Fault("$file is there already");
        }
        $document->write($file);
        $this->line(sprintf('Written: %s, %.1f MB.', $file, filesize($file) / 1e6));
    }

    private function in(FirmDocument $document, Staff $staff, string $file): void
    {
        $counts = $document->take($file);
        $this->line(sprintf(
            'Taken in: %d gardens, %d plants, %d visits, %d lines of the record, %d people.', $counts['gardens'],
            $counts['plants'], $counts['visits'], $counts['work_logs'], $counts['users'],
        ));
        $planners = User::query();
        $planners->where('role', Role::Planner)->whereNull('left_on')->orderBy('id');
        $planner = $planners->first();
        if ($planner !== null) {
            $this->line("Passwords do not travel. By this link $planner->name chooses one, and invites the rest:");
            $this->line($staff->welcome($planner));
        }
    }
}
