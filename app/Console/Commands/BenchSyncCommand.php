<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use PDO;
use RuntimeException;
use Symfony\Component\Process\Process;

/**
 * `./hook bench sync`: phones send while the server is killed under them, again and again; then every word is looked
 * for. Whatever was acknowledged must be there, once, and the record must be what stands of it.
 */
final class BenchSyncCommand extends Command
{
    private const DAY = '2027-03-08';

    private const PEOPLE = ['hand@hollowbrook.test', 'lead@hollowbrook.test', 'planner@hollowbrook.test'];

    protected $signature = 'bench:sync {--kills=25 : how often the server is killed} {--words=200 : of each phone} '
        .'{--port=8187}';

    protected $description = 'Kill the server while phones send, and count what is lost or doubled';

    public function handle(): int
    {
        $file = storage_path('bench/sync.sqlite');
        $this->make($file);
        $tasks = self::tasks($file);
        $office = 'http://127.0.0.1:'.(int) $this->option('port');
        $words = (int) $this->option('words');
        $server = $this->serve($file);
        $phones = array_map(fn (string $email): Process => $this->start([
            PHP_BINARY, 'artisan', 'bench:phone', $office, $email, json_encode($tasks, JSON_THROW_ON_ERROR),
            (string) $words,
        ], $file), self::PEOPLE);
        $kills = 0;
        while (array_filter($phones, static fn (Process $phone): bool => $phone->isRunning()) !== []) {
            usleep(random_int(200_000, 1_200_000));
            if ($kills < (int) $this->option('kills')) {
                self::kill($server);
                $kills++;
                $server = $this->serve($file);
            }
        }
        self::kill($server);

        return $this->told($phones, $file, $kills, $words);
    }

    /** @param  list<Process>  $phones */
    private function told(array $phones, string $file, int $kills, int $words): int
    {
        $answered = [];
        foreach ($phones as $phone) {
            $answer = json_decode($phone->getOutput(), true);
            $answered += is_array($answer) ? $answer : throw new RuntimeException($phone->getErrorOutput());
        }
        $kept = array_keys($answered, 'kept', true);
        $database = new PDO("sqlite:$file");
        $names = array_column(self::rows($database, 'select uuid from entries where digest is not null'), 'uuid');
        $there = array_count_values(array_map(strval(...), $names));
        $lost = count(array_diff($kept, array_keys($there)));
        $doubled = array_sum($there) - count($there) + count(array_diff(array_keys($there), array_keys($answered)));
        $sound = (string) self::rows($database, 'pragma integrity_check')[0]['integrity_check'];
        $astray = count(self::rows(
            $database,
            'select e.visit_task_id from (select distinct visit_task_id from entries where digest is not null) e'
            .' left join work_logs w on w.visit_task_id = e.visit_task_id where w.id is null',
        ));
        $this->line(sprintf(
            '%d phones, %d words each, the server killed %d times: %d kept, %d refused, %d lost, %d doubled, '
                .'%d tasks without their line of the record, integrity_check %s',
            count($phones), $words, $kills, count($kept), count($answered) - count($kept), $lost, $doubled, $astray,
            $sound,
        ));

        return $lost + $doubled + $astray === 0 && $sound === 'ok' && count($answered) === count($phones) * $words
            ? self::SUCCESS
            : self::FAILURE;
    }

    private function make(string $file): void
    {
        @mkdir(dirname($file), recursive: true);
        foreach ([$file, "$file-wal", "$file-shm"] as $old) {
            if (is_file($old)) {
                unlink($old);
            }
        }
        touch($file);
        foreach ([['migrate', '--force'], ['db:seed', '--class=DemoSeeder', '--force']] as $command) {
            $made = $this->start([PHP_BINARY, 'artisan', ...$command, '--quiet'], $file);
            if ($made->wait() !== 0) {
                throw new RuntimeException($made->getErrorOutput().$made->getOutput());
            }
        }
    }

    /** @return list<array{visit: int, task: int}> of visits of the crew of all who send */
    private static function tasks(string $file): array
    {
        $rows = self::rows(
            new PDO("sqlite:$file"),
            'select t.visit_id as visit, t.id as task from visit_tasks t join visits v on v.id = t.visit_id'
            .' join users u on u.crew_id = v.crew_id where u.email = \'hand@hollowbrook.test\''
            .' and v."on" >= \''.self::DAY.'\'',
        );
        $tasks = [];
        foreach ($rows as $row) {
            $tasks[] = ['visit' => (int) $row['visit'], 'task' => (int) $row['task']];
        }

        return $tasks;
    }

    /** @return list<array<string, scalar>> */
    private static function rows(PDO $database, string $sql): array
    {
        $found = $database->query($sql);
        if ($found === false) {
            throw new RuntimeException("no answer to: $sql");
        }
        /** @var list<array<string, scalar>> $rows */
        $rows = $found->fetchAll(PDO::FETCH_ASSOC);

        return $rows;
    }

    private function serve(string $file): Process
    {
        // A group of its own, so that its workers die with it.
        return $this->start([
            'setsid', PHP_BINARY, '-d', 'variables_order=EGPCS', '-S', '127.0.0.1:'.(int) $this->option('port'), '-t',
            'public', 'server.php',
        ], $file);
    }

    private static function kill(Process $server): void
    {
        while (($pid = $server->getPid()) !== null && $server->isRunning()) {
            // Just begun, it has no group of its own yet.
            posix_kill(-$pid, 9) || posix_kill($pid, 9);
            usleep(10_000);
        }
    }

    /** @param  list<string>  $command */
    private function start(array $command, string $file): Process
    {
        $process = new Process($command, base_path(), [
            'DB_DATABASE' => $file, 'HOOK_TODAY' => self::DAY, 'PHP_CLI_SERVER_WORKERS' => '3',
        ], null, null);
        $process->start();

        return $process;
    }
}
