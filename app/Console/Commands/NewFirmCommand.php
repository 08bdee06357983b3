<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Ground\Models\Firm;
use App\Ground\Models\Role;
use App\Ground\Models\User;
use App\People\Staff;
use Closure;
use DateTimeZone;
use Illuminate\Console\Command;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Support\Facades\App;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\PlantBook;

/** `./hook new-firm`: asks what a firm needs to begin with, and leaves it ready for its first garden. */
final class NewFirmCommand extends Command
{
    protected $signature = 'new-firm
        {--name= : what the firm is called}
        {--place= : where its crews set out: degrees as 51.75,-1.26 or a station of the plant book}
        {--zone= : its time zone, as Europe/London}
        {--planner= : who plans}
        {--email= : with which they sign in}';

    protected $description = 'Begin a firm: no gardens, no plants, one planner';

    public function handle(Staff $staff, PlantBook $book, Filesystem $files): int
    {
        if (Firm::query()->exists() || User::query()->exists()) {
            return $this->refuse(sprintf('there is a firm already: %s. Nothing was changed', Firm::ours()->name));
        }
        try {
            $name = $this->answer('name', 'What is the firm called?', self::text(80));
            [$latitude, $longitude] = $this->answer(
                'place', 'Where do its crews set out? Degrees as 51.75,-1.26, or a station of the plant book',
                static fn (string $said): array => self::place($said, $book),
            );
            $zone = $this->answer('zone', 'Its time zone, as Europe/London', self::zone(...));
            $planner = $this->answer('planner', 'Who plans?', self::text(80));
            $email = $this->answer('email', 'Their e-mail address', self::email(...));
        } catch (Fault $fault) {
            return $this->refuse($fault->getMessage().'. Nothing was changed');
        }
        $firm = ['name' => $name, 'depot_latitude' => $latitude, 'depot_longitude' => $longitude];
        $first = ['name' => $planner, 'email' => $email, 'role' => Role::Planner, 'crew_id' => null];
        $link = DB::transaction(static function () use ($staff, $firm, $first): string {
            Firm::query()->create($firm);

            return $staff->welcome($staff->add($first));
        });
        $this->keepZone($files, $zone);
        $this->line("$name has been added. Its days follow the clock of $zone.");
        $this->line('Serve it with ./hook serve. There this link lets '.$planner.' choose a password, once:');
        $this->line($link);

        return self::SUCCESS;
    }

    private function refuse(string $because): int
    {
        $this->output->getErrorStyle()->writeln("hook: $because.");

        return self::FAILURE;
    }

    /**
     * What was given as an option, or is asked for until it can be understood.
     *
     * @template T
     *
     * @param  Closure(string): T  $read  throws a Fault for what is none
     * @return T
     *
     * @throws Fault where nobody can be asked
     */
    private function answer(string $option, string $question, Closure $read): mixed
    {
        $given = $this->option($option);
        if (is_string($given)) {
            return $read(trim($given));
        }
        if (! $this->input->isInteractive()) {
            throw new Fault("--$option is needed: $question");
        }
        while (true) {
            $said = $this->ask($question);
            try {
                return $read(is_string($said) ? trim($said) : '');
            } catch (Fault $fault) {
                $this->line(ucfirst($fault->getMessage()).'.');
            }
        }
    }

    /** @return Closure(string): string */
    private static function text(int $most): Closure
    {
        return static fn (string $said): string => $said !== '' && mb_strlen($said) <= $most
            && mb_check_encoding($said, 'UTF-8')
            ? $said
            : throw new Fault("a name of 1 to $most letters is needed");
    }

    /** @return array{float, float} */
    private static function place(string $said, PlantBook $book): array
    {
        if (preg_match('/^\s*(-?\d{1,2}(?:\.\d+)?)\s*[,;\s]\s*(-?\d{1,3}(?:\.\d+)?)\s*$/', $said, $of) === 1) {
            [$latitude, $longitude] = [(float) $of[1], (float) $of[2]];
            if (abs($latitude) <= 90 && abs($longitude) <= 180) {
                return [$latitude, $longitude];
            }
        }
        foreach ($book->stations->all as $station) {
            if (mb_strtolower($station->name) === mb_strtolower($said)) {
                return [$station->site->latitude, $station->site->longitude];
            }
        }
        throw new Fault("\"$said\" is no place: write degrees, south and west with a minus, as 51.75,-1.26");
    }

    private static function zone(string $said): string
    {
        return in_array($said, timezone_identifiers_list(DateTimeZone::ALL_WITH_BC), true)
            ? $said
            : throw new Fault("\"$said\" is no time zone: write it as Europe/London or Pacific/Auckland");
    }

    private static function email(string $said): string
    {
        return filter_var($said, FILTER_VALIDATE_EMAIL) !== false
            ? mb_strtolower($said)
            : throw new Fault("\"$said\" is no e-mail address");
    }

    /** In the one place the firm's clock is told. */
    private function keepZone(Filesystem $files, string $zone): void
    {
        $path = App::environmentFilePath();
        $env = $files->exists($path) ? $files->get($path) : '';
        $line = "HOOK_TIME_ZONE=$zone";
        $with = preg_replace('/^HOOK_TIME_ZONE=.*$/m', $line, $env, 1, $count);
        $files->replace($path, $count === 1 ? (string) $with : rtrim($env)."\n$line\n", 0600);
    }
}
