<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** The one command: what it says when it is asked wrongly, and that it says it in one clear sentence. */
final class HookTest extends TestCase
{
    /** @param  list<string>  $arguments */
    #[DataProvider('refusals')]
    public function test_a_wrong_call_gets_one_clear_sentence(array $arguments, string $says): void
    {
        $run = $this->hook($arguments);
        self::assertSame(1, $run->getExitCode());
        self::assertSame('', $run->getOutput());
        self::assertSame("hook: $says", trim($run->getErrorOutput()));
    }

    /** @return array<string, array{list<string>, string}> */
    public static function refusals(): array
    {
        return [
            'an unknown command' => [['prune'], 'no such command: prune. ./hook help lists them'],
            'an unknown option' => [['demo', '--loud'], 'no such option: --loud. ./hook help lists them'],
            'a port in words' => [['demo', '--port', 'eighty'], '--port takes a number from 1 to 65535'],
            'a port that is none' => [['demo', '--port', '99999'], '--port takes a number from 1 to 65535'],
            'a day in words' => [
                ['serve', '--today', 'tomorrow'], '--today takes a day of the calendar, yyyy-mm-dd',
            ],
            'a day of no calendar' => [
                ['serve', '--today', '2027-02-30'], '--today takes a day of the calendar, yyyy-mm-dd',
            ],
            'an option of no command' => [['prescribe', '--loud'], 'The "--loud" option does not exist.'],
        ];
    }

    public function test_files_are_named_as_seen_from_where_it_is_called(): void
    {
        $root = dirname(__DIR__, 2);
        $calls = [
            ['../../hook', 'prescribe', 'example-input.json'], ['../../hook', 'judge', 'example-stems.json'],
            ['../../hook', 'plan', 'example-plan-input.json'],
            ['../../hook', 'window', 'wisteria', '--site', 'example-input.json', '--day', '2027-03-08'],
            ['../../hook', 'window', 'wisteria', '--site=example-input.json', '--day=2027-03-08'],
        ];
        foreach ($calls as $call) {
            $run = new Process($call, "$root/docs/formats", timeout: 120);
            $run->run();
            self::assertSame('', $run->getErrorOutput(), implode(' ', $call));
            self::assertSame(0, $run->getExitCode());
            self::assertNotSame([], json_decode($run->getOutput(), true));
        }
        $run = new Process(['../../hook', 'prescribe', 'nowhere.json'], "$root/docs/formats", timeout: 120);
        self::assertSame(2, $run->run());
        self::assertSame('nowhere.json: no such file, or not readable', trim($run->getErrorOutput()));
    }

    public function test_a_busy_port_is_told_at_once_with_a_way_out(): void
    {
        $taken = stream_socket_server('tcp://127.0.0.1:0');
        self::assertIsResource($taken);
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($taken, false), ':'), 1);
        $run = $this->hook(['demo', '--port', (string) $port]);
        fclose($taken);
        self::assertSame(1, $run->getExitCode());
        self::assertSame(
            sprintf(
                'hook: port %d is taken. Stop what uses it, or choose another: ./hook demo --port %d', $port,
                $port + 1,
            ),
            trim($run->getErrorOutput()),
        );
    }

    public function test_server_and_worker_end_with_the_command_and_leave_nothing_behind(): void
    {
        $root = dirname(__DIR__, 2);
        $file = (string) tempnam(sys_get_temp_dir(), 'hook');
        unlink($file);
        $port = 8197;
        $run = new Process(
            ['./hook', 'serve', '--port', (string) $port],
            $root,
            [
                'DB_DATABASE' => $file,
                'HOOK_QUEUE' => 'database',
                'APP_ENV' => 'local',
                'CACHE_STORE' => 'file',
                'SESSION_DRIVER' => 'file',
            ],
            timeout: 120,
        );
        $run->start();
        $answer = false;
        for ($tries = 0; $tries < 300 && $answer === false && $run->isRunning(); $tries++) {
            usleep(200_000);
            $answer = @file_get_contents("http://127.0.0.1:$port/up");
        }
        self::assertNotFalse($answer, $run->getOutput().$run->getErrorOutput());
        self::assertFileExists("$root/storage/framework/served-$port/config.php", 'settings are read once');
        $children = array_filter(explode("\n", trim((string) shell_exec('pgrep -P '.$run->getPid()))));
        self::assertGreaterThanOrEqual(2, count($children), 'a server and a worker');
        $run->signal(SIGTERM);
        $run->wait();
        // The worker ends what it has in hand first.
        $left = static fn (): array => array_filter($children, static fn (string $child): bool => self::runs($child));
        for ($tries = 0; $tries < 50 && $left() !== []; $tries++) {
            usleep(200_000);
        }
        self::assertSame('', trim((string) shell_exec("pgrep -f '[S] 127.0.0.1:$port'")));
        self::assertSame([], $left());
        self::assertDirectoryDoesNotExist("$root/storage/framework/served-$port");
        array_map(unlink(...), glob("$file*") ?: []);
    }

    /** True while a process is there and has not ended; one that has may still wait to be fetched. */
    private static function runs(string $process): bool
    {
        $stat = @file_get_contents("/proc/$process/stat");

        return $stat !== false && preg_match('/\) ([A-Z]) /', $stat, $state) === 1 && $state[1] !== 'Z';
    }

    public function test_help_lists_every_command(): void
    {
        $help = $this->hook(['help'])->getOutput();
        self::assertSame($help, $this->hook([])->getOutput());
        $script = (string) file_get_contents(dirname(__DIR__, 2).'/hook');
        self::assertGreaterThan(4, preg_match_all('/^    ([a-z]+(?: \| [a-z]+)*)\)$/m', $script, $commands));
        foreach ($commands[1] as $names) {
            foreach (explode(' | ', $names) as $name) {
                self::assertStringContainsString("./hook $name", $help);
            }
        }
    }

    /** @param  list<string>  $arguments */
    private function hook(array $arguments): Process
    {
        $run = new Process(['./hook', ...$arguments], dirname(__DIR__, 2));
        $run->run();

        return $run;
    }
}
