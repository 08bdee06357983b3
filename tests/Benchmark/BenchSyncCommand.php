<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use Illuminate\Console\Command;
use RuntimeException;
use Symfony\Component\Process\Process;

/**
 * `./hook bench sync`: phones send while the server is killed under them, again and again; then every word is looked
 * for. Whatever was acknowledged must be there, once, and the record must be what stands of it; words that cannot be
 * kept are refused and hold no other up, and a phone whose storage was cleared sends all it shows once more.
 */
final class BenchSyncCommand extends Command
{
    private const PEOPLE = ['hand@hollowbrook.test', 'lead@hollowbrook.test', 'planner@hollowbrook.test'];

    protected $signature = 'bench:sync {--kills=25 : how often the server is killed} {--words=200 : of each phone} '
        .'{--port=8187}';

    protected $description = 'Kill the server while phones send, and count what is lost or doubled';

    public function handle(): int
    {
        $office = new Office(storage_path('bench/sync.sqlite'), (int) $this->option('port'));
        $office->make();
        $tasks = self::tasks($office);
        $words = (int) $this->option('words');
        $office->open();
        $phones = array_map(static fn (string $email): Process => $office->start([
            PHP_BINARY, 'tests/benchmark', 'bench:phone', $office->address(), $email,
            json_encode($tasks, JSON_THROW_ON_ERROR),
            (string) $words,
        ]), self::PEOPLE);
        $kills = 0;
        while (array_filter($phones, static fn (Process $phone): bool => $phone->isRunning()) !== []) {
            usleep(random_int(200_000, 1_200_000));
            if ($kills < (int) $this->option('kills')) {
                $office->kill();
                $kills++;
                $office->open();
            }
        }
        $office->kill();

        return $this->told($phones, $office, $kills, $words);
    }

    /** @param  list<Process>  $phones */
    private function told(array $phones, Office $office, int $kills, int $words): int
    {
        $answered = $odd = [];
        foreach ($phones as $phone) {
            $answer = json_decode($phone->getOutput(), true);
            if (! is_array($answer)) {
                throw new RuntimeException($phone->getErrorOutput());
            }
            $answered += $answer['answered'];
            $odd = [...$odd, ...$answer['odd']];
        }
        $refused = array_keys($answered, 'refused', true);
        $kept = array_keys($answered, 'kept', true);
        $names = array_column($office->rows('select uuid from entries where digest is not null'), 'uuid');
        $there = array_count_values(array_map(strval(...), $names));
        $lost = count(array_diff($kept, array_keys($there)));
        $doubled = array_sum($there) - count($there) + count(array_diff(array_keys($there), array_keys($answered)));
        $sound = (string) $office->rows('pragma integrity_check')[0]['integrity_check'];
        $astray = count($office->rows(
            'select e.visit_task_id from (select distinct visit_task_id from entries where digest is not null) e'
            .' left join work_logs w on w.visit_task_id = e.visit_task_id where w.id is null',
        ));
        $this->line(sprintf(
            '%d phones, %d words each, the server killed %d times, each phone\'s storage cleared once: %d kept, '
                .'%d of %d odd ones refused, %d others refused, %d stalled, %d lost, %d doubled, %d tasks '
                .'without their line of the record, integrity_check %s',
            count($phones), $words, $kills, count($kept), count(array_intersect($refused, $odd)), count($odd),
            count(array_diff($refused, $odd)), count($phones) * $words - count($answered), $lost, $doubled, $astray,
            $sound,
        ));

        return $lost + $doubled + $astray === 0 && $sound === 'ok' && count($answered) === count($phones) * $words
            && array_diff($odd, $refused) === [] && array_diff($refused, $odd) === []
            ? self::SUCCESS
            : self::FAILURE;
    }

    /** @return list<array{visit: int, task: int}> of visits of the crew of all who send */
    private static function tasks(Office $office): array
    {
        $rows = $office->rows(
            'select t.visit_id as visit, t.id as task from visit_tasks t join visits v on v.id = t.visit_id'
            .' join users u on u.crew_id = v.crew_id where u.email = \'hand@hollowbrook.test\''
            .' and v."on" >= \''.Office::DAY.'\'',
        );
        $tasks = [];
        foreach ($rows as $row) {
            $tasks[] = ['visit' => (int) $row['visit'], 'task' => (int) $row['task']];
        }

        return $tasks;
    }
}
