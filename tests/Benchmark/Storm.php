<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use Closure;
use CurlHandle;
use Illuminate\Support\Str;
use PruningHook\Core\Calendar\Day;
use RuntimeException;

/**
 * Many at once: one task planned by twenty, twenty taps on one survey, and eight people who write while the server is
 * killed under them. What was acknowledged must be there, once.
 */
final class Storm
{
    private const AT_ONCE = 20;

    private const WRITERS = 8;

    private readonly Office $office;

    public function __construct(int $port)
    {
        $this->office = new Office(storage_path('bench/storm.sqlite'), $port);
    }

    public function end(): void
    {
        $this->office->kill();
    }

    /** @param  Closure(string): mixed  $tell */
    public function blow(int $seconds, int $kills, Closure $tell): bool
    {
        $this->office->make();
        $this->office->open();
        $planned = $this->planOne($tell);
        $tapped = $this->tap($tell);
        $written = $this->write($seconds, $kills, $tell);
        $this->office->kill();
        $sound = (string) $this->office->rows('pragma integrity_check')[0]['integrity_check'];
        $broken = count($this->office->rows('pragma foreign_key_check'));
        $tell("integrity_check $sound, $broken rows that point nowhere");

        return $planned && $tapped && $written && $sound === 'ok' && $broken === 0;
    }

    /** @param  Closure(string): mixed  $tell */
    private function planOne(Closure $tell): bool
    {
        $person = new StormPerson($this->office->address(), 'planner@hollowbrook.test');
        $person->signIn();
        // What is due is worked out when it is looked at.
        $person->fetch('/');
        $day = Day::parse(Office::DAY);
        $free = $this->office->rows(
            "select s.plant_id as plant, s.task, s.season, p.garden_id as garden from season_tasks s
            join plants p on p.id = s.plant_id where s.done = 0 and s.opens <= $day->number
            and s.closes > $day->number and not exists (select 1 from visit_tasks t where t.plant_id = s.plant_id
            and t.task = s.task and t.season = s.season) limit 1",
        )[0] ?? throw new RuntimeException('nothing is left to plan');
        $calls = [];
        for ($call = 0; $call < self::AT_ONCE; $call++) {
            $calls[] = $person->post("/gardens/{$free['garden']}/visits", [
                'on' => (string) $day->plus(1), 'tasks' => ["{$free['plant']}:{$free['task']}:{$free['season']}"],
                'outside_reason' => 'So it was wished', 'crew_id' => '1',
            ]);
        }
        $answers = $this->all($calls);
        $kept = count(array_filter($answers, static fn (array $answer): bool => str_contains($answer[1], '/visits/')
            && ! str_contains($answer[1], '/plan')));
        $there = (int) $this->office->rows(sprintf(
            'select count(*) as n from visit_tasks where plant_id = %d and task = \'%s\' and season = %d',
            $free['plant'], $free['task'], $free['season'],
        ))[0]['n'];
        $tell(sprintf('%d plans of one task at once: %d planned, %d times in the book', self::AT_ONCE, $kept, $there));

        return $kept === 1 && $there === 1;
    }

    /** @param  Closure(string): mixed  $tell */
    private function tap(Closure $tell): bool
    {
        $plant = (int) $this->office->rows(
            'select plant_id from stem_surveys order by plant_id limit 1',
        )[0]['plant_id'];
        $count = fn (): int => (int) $this->office->rows(
            "select json_array_length(state, '$.stems') as n from stem_surveys where plant_id = $plant
            order by season desc limit 1",
        )[0]['n'];
        $before = $count();
        $person = new StormPerson($this->office->address(), 'planner@hollowbrook.test');
        $person->signIn();
        $calls = [];
        for ($call = 0; $call < self::AT_ONCE; $call++) {
            $calls[] = $person->post("/plants/$plant/stems", [
                '_method' => 'put', 'op' => 'add', 'azimuth_deg' => (string) (18 * $call),
                'tap' => Str::uuid()->toString(),
            ]);
        }
        $kept = count(array_filter(
            $this->all($calls), static fn (array $answer): bool => in_array($answer[0], [200, 302], true),
        ));
        $there = $count() - $before;
        $tell(sprintf('%d taps on one survey at once: %d acknowledged, %d kept', self::AT_ONCE, $kept, $there));

        return $kept === $there;
    }

    /** @param  Closure(string): mixed  $tell */
    private function write(int $seconds, int $kills, Closure $tell): bool
    {
        $line = curl_multi_init();
        $people = $waiting = $known = [];
        $answered = $sent = $killed = 0;
        for ($writer = 0; $writer < self::WRITERS; $writer++) {
            $people[$writer] = new StormPerson($this->office->address(), 'planner@hollowbrook.test');
            $people[$writer]->signIn();
        }
        $until = microtime(true) + $seconds;
        $next = microtime(true) + 0.5;
        $facts = [];
        while (microtime(true) < $until || $waiting !== []) {
            foreach ($people as $writer => $person) {
                if (! isset($waiting[$writer]) && (isset($facts[$writer]) || microtime(true) < $until)) {
                    // What was not answered is sent again as it was.
                    $facts[$writer] ??= [
                        'kind' => 'bush-rose', 'label' => "Storm $writer-".$sent++, 'count' => '1',
                        '_once' => Str::uuid()->toString(),
                    ];
                    $waiting[$writer] = $person->post('/gardens/1/plants', $facts[$writer]);
                    curl_multi_add_handle($line, $waiting[$writer]);
                }
            }
            curl_multi_exec($line, $running);
            curl_multi_select($line, 0.02);
            while (($done = curl_multi_info_read($line)) !== false) {
                /** @var CurlHandle $handle */
                $handle = $done['handle'];
                $writer = (int) array_search($handle, $waiting, true);
                [$status, $to] = self::answer($handle);
                curl_multi_remove_handle($line, $handle);
                unset($waiting[$writer]);
                if ($status === 302 && str_contains($to, '/plants/')) {
                    $known[] = $facts[$writer]['label'];
                    $answered++;
                    unset($facts[$writer]);
                } elseif ($status !== 503) {
                    $people[$writer]->signIn();
                }
            }
            if ($killed < $kills && microtime(true) > $next) {
                $this->office->kill();
                $this->office->open();
                $killed++;
                $next = microtime(true) + $seconds / max(1, $kills) * random_int(5, 15) / 10;
            }
            if ($killed < $kills && microtime(true) >= $until) {
                $until = $next + 0.2;
            }
        }
        curl_multi_close($line);
        $there = array_count_values(array_map(strval(...), array_column($this->office->rows(
            "select label from plants where label like 'Storm %'",
        ), 'label')));
        $lost = count(array_diff($known, array_keys($there)));
        $doubled = array_sum($there) - count($there);
        $tell(sprintf(
            '%d people wrote for %d s, the server killed %d times: %d acknowledged, %d lost, %d doubled',
            self::WRITERS, $seconds, $killed, $answered, $lost, $doubled,
        ));

        return $lost === 0 && $doubled === 0 && $answered > 0;
    }

    /**
     * @param  list<CurlHandle>  $calls
     * @return list<array{int, string}> status, and where it leads
     */
    private function all(array $calls): array
    {
        $line = curl_multi_init();
        foreach ($calls as $call) {
            curl_multi_add_handle($line, $call);
        }
        do {
            curl_multi_exec($line, $running);
            curl_multi_select($line, 0.05);
        } while ($running > 0);
        $answers = array_map(self::answer(...), $calls);
        curl_multi_close($line);

        return $answers;
    }

    /** @return array{int, string} */
    private static function answer(CurlHandle $call): array
    {
        return [
            (int) curl_getinfo($call, CURLINFO_RESPONSE_CODE), (string) curl_getinfo($call, CURLINFO_REDIRECT_URL),
        ];
    }
}
