<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use CurlHandle;
use Illuminate\Console\Command;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * `./hook bench serve`: how many requests a second the documented server answers, and how long they take, for 1 to 32
 * people who never pause, while phones send. What must hold: nothing fails, and the season is answered at least a third
 * as often as a page with nothing on it.
 */
final class BenchServeCommand extends Command
{
    private const CLIENTS = [1, 2, 4, 8, 16, 32];

    /** Phones that send meanwhile, and milliseconds between what each sends. */
    private const PHONES = 2;

    private const PAUSE_MS = 500;

    private const PLANNER = 'planner@hollowbrook.test';

    protected $signature = 'bench:serve {gardens=60 : of a firm that bench firm has made} '
        .'{--seconds=5 : for each number of people} {--port=8190}';

    protected $description = 'Measure the documented server with 1 to 32 people and phones that send';

    public function handle(): int
    {
        $gardens = (int) $this->argument('gardens');
        $made = storage_path("bench/firm-$gardens.sqlite");
        if (! is_file($made)) {
            $this->error("bench serve: make the firm first: ./hook bench firm $gardens");

            return self::INVALID;
        }
        $file = storage_path('bench/serve.sqlite');
        foreach (['', '-wal', '-shm'] as $part) {
            @unlink($file.$part);
            is_file($made.$part) && copy($made.$part, $file.$part);
        }
        config(['database.connections.sqlite.database' => $file, 'database.default' => 'sqlite']);
        DB::purge('sqlite');
        $this->callSilently('migrate', ['--force' => true]);
        $office = new ServedOffice($file, (int) $this->option('port'));
        try {
            $office->open();

            return $this->measured($office) ? self::SUCCESS : self::FAILURE;
        } finally {
            $office->close();
        }
    }

    private function measured(ServedOffice $office): bool
    {
        $pages = Pages::all();
        $mix = array_values(array_intersect_key($pages, array_flip(['season', 'round', 'sheet', 'garden', 'plant'])));
        $tasks = DB::table('visit_tasks')->join('visits', 'visits.id', '=', 'visit_tasks.visit_id')
            ->where('visits.on', '>=', Office::DAY)->limit(200)->get(['visit_id', 'visit_tasks.id'])->all();
        DB::disconnect();
        $people = [];
        for ($number = 0; $number < max(self::CLIENTS) + self::PHONES; $number++) {
            $person = new StormPerson($office->address(), self::PLANNER);
            $person->signIn();
            // Whatever is compiled on the first look is compiled.
            foreach ($number === 0 ? [...$mix, Pages::EMPTY] : [] as $page) {
                $person->fetch($page);
            }
            $people[] = $person;
        }
        $seconds = (float) $this->option('seconds');
        $failed = 0;
        $rates = [];
        foreach (['an empty page' => [Pages::EMPTY], 'season' => ['/'], 'all sorts' => $mix] as $what => $asked) {
            foreach ($what === 'all sorts' ? self::CLIENTS : [4] as $clients) {
                $load = new ServedLoad($people, $clients, self::PHONES, self::PAUSE_MS / 1000);
                $load->run(
                    $seconds, static fn (int $nth): string => $asked[$nth % count($asked)],
                    fn (StormPerson $phone): CurlHandle => self::entry($phone, $tasks),
                );
                $failed += array_sum(array_diff_key($load->statuses, [200 => 1]));
                $rates[$what] ??= $load->rate();
                $this->line(sprintf(
                    '%-14s %2d people: %5.1f a second, p50 %4.0f ms, p95 %4.0f ms; %d entries sent, p95 %4.0f ms; %s',
                    $what, $clients, $load->rate(), $load->quantile('page', 0.5), $load->quantile('page', 0.95),
                    count($load->took['entry'] ?? []), $load->quantile('entry', 0.95),
                    array_keys($load->statuses) === [200] ? 'all answered' : (string) json_encode($load->statuses),
                ));
            }
        }
        $share = $rates['season'] / $rates['an empty page'];
        $this->line(sprintf('the season is answered %.2f times as often as an empty page; %d failed', $share, $failed));

        return $failed === 0 && $share >= 1 / 3;
    }

    /** @param  array<array-key, \stdClass>  $tasks */
    private static function entry(StormPerson $phone, array $tasks): CurlHandle
    {
        $task = $tasks[array_rand($tasks)];

        return $phone->json('/entries', ['now' => Carbon::now()->toIso8601String(), 'entries' => [[
            'v' => 1, 'id' => (string) Str::uuid(), 'kind' => 'log', 'visit' => (int) $task->visit_id,
            'task' => (int) $task->id, 'said_at' => Carbon::now()->toIso8601String(), 'corrects' => [],
            'body' => ['outcome' => 'done', 'minutes' => 20],
        ]]]);
    }
}
