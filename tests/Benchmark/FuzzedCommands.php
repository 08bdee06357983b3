<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use Illuminate\Support\Facades\Artisan;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Console\Output\BufferedOutput;
use Throwable;

/** Files with something wrong in them, given to the commands that read files. */
final readonly class FuzzedCommands
{
    /** By the file that is given to each when nothing is wrong. */
    public const COMMANDS = [
        'prescribe' => 'example-input.json', 'judge' => 'example-stems.json', 'plan' => 'example-plan-input.json',
    ];

    /** What would only keep a plan looking for better ones, at most. */
    private const LONGEST = ['plan' => ['iterations' => 20]];

    private const VALUES = [
        null, true, false, 0, -1, 1.5, 1.0, 1e300, PHP_INT_MAX, PHP_INT_MIN, '', ' ', 'x', "\u{0}", '🌳', [], [[]],
        ['a' => 1], '2027-02-30', '0001-01-01', '9999-12-31', '99999999999999999999999', 'NaN', [null], '-', '1e5',
    ];

    private Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** @return array{says: string, uncaught: int} */
    public function give(string $command, int $files): array
    {
        $good = (string) file_get_contents(base_path('docs/formats/'.self::COMMANDS[$command]));
        $path = (string) tempnam(sys_get_temp_dir(), 'fuzz');
        $exits = [];
        $faults = [];
        for ($number = 0; $number < $files; $number++) {
            file_put_contents($path, $this->mangled($good, self::LONGEST[$command] ?? []));
            try {
                $output = new BufferedOutput;
                $exit = Artisan::call($command, ['file' => $path], $output);
                $exits[$exit] = ($exits[$exit] ?? 0) + 1;
            } catch (Throwable $thrown) {
                $at = sprintf('%s: %s at %s:%d', $thrown::class, mb_strimwidth($thrown->getMessage(), 0, 120),
                    basename($thrown->getFile()), $thrown->getLine());
                $faults[$at] ??= (string) file_get_contents($path);
            }
        }
        unlink($path);
        ksort($exits);
        $says = sprintf('%s: %d mangled files, exit %s; %d uncaught', $command, $files, implode(', ', array_map(
            static fn (int $exit, int $count): string => "$exit x $count", array_keys($exits), $exits,
        )), $files - array_sum($exits));
        foreach ($faults as $at => $file) {
            $says .= "\n    $at\n        ".mb_strimwidth((string) preg_replace('/\s+/', ' ', $file), 0, 200, '...');
        }

        return ['says' => $says, 'uncaught' => $files - array_sum($exits)];
    }

    /** @param  array<string, int>  $longest  by key, where it is more or left out */
    private function mangled(string $good, array $longest): string
    {
        if ($this->random->getInt(1, 10) === 1) {
            // The file itself: cut off, or a byte of it changed.
            $at = $this->random->getInt(0, strlen($good) - 1);

            return $this->random->getInt(0, 1) === 0
                ? substr($good, 0, $at)
                : substr_replace($good, chr($this->random->getInt(0, 255)), $at, 1);
        }
        $data = json_decode($good, true, 512, JSON_THROW_ON_ERROR);
        $times = $this->random->getInt(1, 3);
        for ($time = 0; $time < $times; $time++) {
            $this->spoil($data);
        }
        foreach (is_array($data) ? $longest : [] as $key => $most) {
            $said = $data[$key] ?? PHP_INT_MAX;
            $data[$key] = is_int($said) ? min($said, $most) : $said;
        }

        return (string) json_encode($data, JSON_INVALID_UTF8_SUBSTITUTE | JSON_PRESERVE_ZERO_FRACTION);
    }

    private function spoil(mixed &$data): void
    {
        $at = &$data;
        while (is_array($at) && $at !== [] && $this->random->getInt(1, 5) > 1) {
            $keys = array_keys($at);
            $key = $keys[$this->random->getInt(0, count($keys) - 1)];
            $how = $this->random->getInt(1, 12);
            if ($how === 1) {
                unset($at[$key]);

                return;
            }
            if ($how === 2) {
                $at['unheard-of'] = self::VALUES[$this->random->getInt(0, count(self::VALUES) - 1)];

                return;
            }
            $at = &$at[$key];
        }
        $of = $this->random->getInt(0, 1) === 0 ? self::VALUES : self::kin($at);
        $at = $of[$this->random->getInt(0, count($of) - 1)];
    }

    /**
     * What is of the same sort, so that it passes the first look.
     *
     * @return non-empty-list<mixed>
     */
    private static function kin(mixed $value): array
    {
        return match (true) {
            is_int($value) => [0, 1, 1.0, 2, 3, 7, 12, 52, 99, 366, 1000, 9999, 1_000_000, -1, $value + 1],
            is_float($value) => [0.0, 0.5, 89.999, -89.999, 179.999, -179.999, 66.6, 1, $value / 2, $value * 10],
            is_bool($value) => [true, false],
            is_string($value) && preg_match('/^\d{4}-\d\d-\d\d$/', $value) === 1 => [
                '0001-01-01', '1700-01-01', '1999-12-31', '2027-01-01', '2027-03-28', '2027-12-31', '2028-02-29',
                '2099-06-15', '9999-12-31',
            ],
            is_string($value) => [
                $value.'x', strtoupper($value), 'bush-rose', 'wisteria', 'grapevine', 'free', 'hedge', 'wall', 'bloom',
                'A', 'old', 'mild', 'cold', '08:00', '23:59', '00:00', 'spur', 'neglected',
            ],
            default => [[], null],
        };
    }
}
