<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use App\Field\PlanVisit;
use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Crew;
use App\Ground\Models\DraftStatus;
use App\Ground\Models\Garden;
use App\Ground\Models\Observation;
use App\Ground\Models\PlanDraft;
use App\Ground\Models\Plant;
use App\Ground\Models\Role;
use App\Ground\Models\User;
use App\Ground\Models\Visit;
use App\Ground\Models\VisitTask;
use App\Ground\Support\Dialect;
use App\Ground\Support\LengthField;
use App\Office\Clients\ClientLinks;
use App\Season\Due\DueKeeper;
use App\Season\TaskChoice;
use Closure;
use Illuminate\Contracts\Console\Kernel as Console;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Foundation\Application;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Plant\LoggedWork;
use Symfony\Component\HttpFoundation\Response;
use Throwable;

/**
 * The demo's firm, carried day by day through years over the product's own doors: plans are made and accepted on
 * Mondays, visits logged as a phone does it, days and workers lost, signs noted, clients written to. What must hold of
 * every firm is looked at as it goes; what does not is told once, in words.
 *
 * Outcomes are drawn by a seed: 73 % done, 14 % not, 7 % partly, 6 % done otherwise, as crews log them (common
 * practice, no source).
 */
final class LivedYear
{
    private const SEEDED = 7;

    /** Weeks a plan looks ahead. */
    private const WEEKS = 6;

    /**
     * In a hundred: visits nobody logs, crew days lost, mornings without a worker, gardens with a sign noted a week.
     */
    private const UNLOGGED = 6;

    private const DAYS_LOST = 2;

    private const NO_WORKER = 4;

    private const SIGNS = 8;

    /** Times its first forecast beyond which a task's minutes run away. */
    private const RUNS_AWAY = 4;

    /** Plants whose carried state is printed. */
    private const FOLLOWED = 12;

    /** @var array<string, string> what did not hold, once each */
    public array $broken = [];

    /** @var array<string, int> what happened, by month and what */
    private array $counts = [];

    /** @var array<string, int> the first forecast of a task's minutes, by plant and task */
    private array $first = [];

    private Day $today;

    private int $queries = 0;

    /** @param  Closure(string): mixed  $tell */
    public function __construct(private readonly Application $app, private readonly Closure $tell)
    {
    }

    public function live(Day $from, int $days): void
    {
        mt_srand(self::SEEDED);
        DB::listen(function (QueryExecuted $query): void {
            $this->queries++;
        });
        $this->today = $from;
        for ($day = 0; $day < $days; $day++) {
            $this->begin($from->plus($day));
            $this->day();
            if ($this->today->plus(1)->month() !== $this->today->month()) {
                $this->month();
            }
        }
        $this->followed();
    }

    private function begin(Day $day): void
    {
        $this->today = $day;
        config(['hook.today' => (string) $day]);
        Carbon::setTestNow(Carbon::parse("$day 07:00:00", 'UTC'));
    }

    private function day(): void
    {
        if ($this->chance(self::NO_WORKER)) {
            $this->count('mornings without a worker');
        } else {
            $this->work();
        }
        if ($this->today->weekday() === 1) {
            $this->get('/', $this->planner());
            $this->get('/plan', $this->planner());
            $this->plan();
            $this->signs();
            $this->clients();
            $this->look();
        }
        foreach (Crew::query()->get() as $crew) {
            $this->crew($crew);
        }
    }

    /** What waits for the worker is done. */
    private function work(): void
    {
        $this->app->forgetScopedInstances();
        $this->app->make(Console::class)->call('queue:work', [
            '--queue' => 'default,long', '--stop-when-empty' => true, '--sleep' => 0,
            // Whoever ran before in this process may have taken much already.
            '--memory' => 4096,
        ]);
        $failed = DB::table('failed_jobs')->count();
        if ($failed > 0) {
            $this->broke('a job failed', (string) strtok((string) DB::table('failed_jobs')->value('exception'), "\n"));
            DB::table('failed_jobs')->delete();
        }
    }

    private function plan(): void
    {
        $this->send('POST', '/plan/drafts', $this->planner(), ['weeks' => self::WEEKS, 'stay' => 'some']);
        $draft = PlanDraft::latestOne();
        if ($draft === null) {
            return;
        }
        // What is built first is good enough: it is not how well it looks that is tried.
        $draft->update(['seconds' => 0]);
        $this->work();
        $draft->refresh();
        $this->count('plans made');
        if ($draft->status !== DraftStatus::Ready) {
            $this->broke('a plan was not made', "$this->today: {$draft->status->value} $draft->says");

            return;
        }
        if (($draft->result['changes'] ?? []) === []) {
            $this->count('plans accepted');
            $this->nothingHidden($draft);

            return;
        }
        $this->get("/plan/drafts/$draft->id", $this->planner());
        $this->send('PUT', "/plan/drafts/$draft->id", $this->planner(), ['all' => 1]);
        $this->work();
        $draft->refresh();
        if ($draft->status === DraftStatus::Accepted) {
            $this->count('plans accepted');
        } else {
            $this->broke('a plan was not accepted', "$this->today: {$draft->status->value} $draft->says");
        }
        $this->nothingHidden($draft);
    }

    /** Every task that could be done within the plan's days stands on a visit, or is told as left without a day. */
    private function nothingHidden(PlanDraft $draft): void
    {
        $left = array_flip(array_column($draft->result['left'] ?? [], 'task'));
        $held = [];
        $standing = DB::table('visit_tasks')->join('visits', 'visits.id', '=', 'visit_tasks.visit_id')
            ->where('visit_tasks.standing', 1);
        foreach (Visit::holding($standing, $this->today)->get(['plant_id', 'task', 'season']) as $task) {
            $held["$task->plant_id:$task->task:$task->season"] = true;
        }
        foreach ($this->due() as $ref) {
            if (! isset($held[$ref]) && ! isset($left[$ref])) {
                $this->broke('a task is due, on no visit and told nowhere', "$this->today: $ref");
            }
        }
        $this->count('left without a day', count($left));
    }

    /** @return list<string> refs of what is due within the days of a plan made today */
    private function due(): array
    {
        $to = $this->today->plus(7 * self::WEEKS)->number;

        return array_values(DB::table('season_tasks')->where('done', false)->whereNull('hands_off')
            ->where('closes', '>', $this->today->number)->where('opens', '<=', $to)->where('best_from', '<=', $to)
            ->get(['plant_id', 'task', 'season'])
            ->map(static fn ($row): string => "$row->plant_id:$row->task:$row->season")->all());
    }

    private function signs(): void
    {
        foreach (Garden::query()->get() as $garden) {
            if (! $this->chance(self::SIGNS)) {
                continue;
            }
            $events = array_keys(Observation::SIGNS);
            // A date that no season could bring is questioned: that is an answer like any other.
            $this->send('POST', "/gardens/$garden->id/signs", $this->planner(), [
                'event' => $events[mt_rand(0, count($events) - 1)], 'on' => (string) $this->today,
            ], true);
        }
    }

    private function clients(): void
    {
        $gardens = Garden::query()->get()->all();
        $garden = $gardens[mt_rand(0, count($gardens) - 1)];
        if (! $this->chance(25)) {
            return;
        }
        $this->send('POST', "/gardens/$garden->id/letter", $this->planner(), []);
        $page = (string) parse_url($this->app->make(ClientLinks::class)->open($garden, null), PHP_URL_PATH);
        $this->get($page, null);
        $visit = Visit::query()->where('garden_id', $garden->id)->where('on', '>', (string) $this->today)->first();
        if ($visit !== null) {
            $this->send('POST', $page, null, ['kind' => 'agree', 'visit' => $visit->id]);
            $this->count('days agreed with clients');
        }
    }

    /** Of all that is due by now each can be planned, and none asks for more than stands or runs away. */
    private function look(): void
    {
        // As every page that offers them does it first.
        $this->app->forgetScopedInstances();
        $this->app->make(DueKeeper::class)->renewAll();
        $open = DB::table('season_tasks')->where('done', false)->whereNull('hands_off')
            ->where('opens', '<=', $this->today->number)->where('closes', '>=', $this->today->number)
            ->get(['garden_id', 'plant_id', 'task', 'season', 'minutes']);
        foreach ($open->groupBy('garden_id') as $id => $tasks) {
            $garden = Garden::query()->findOrFail($id);
            $this->app->forgetScopedInstances();
            $plans = $this->app->make(PlanVisit::class);
            foreach ($tasks as $task) {
                $ref = "$task->plant_id:$task->task:$task->season";
                try {
                    $jobs = $plans->jobs($garden, [TaskChoice::parse($ref)], $this->today);
                    $this->amounts($ref, $jobs[0]->task->amounts, (int) $task->plant_id);
                } catch (ValidationException $refused) {
                    $this->broke('a due task cannot be planned', "$this->today $ref: {$refused->getMessage()}");
                } catch (Throwable $thrown) {
                    $this->broke('a due task cannot be planned', "$this->today $ref: ".$thrown->getMessage());
                }
                $this->minutes("$task->plant_id:$task->task", (int) $task->minutes);
            }
        }
    }

    /** @param  list<Amount>  $amounts */
    private function amounts(string $ref, array $amounts, int $plant): void
    {
        $row = Plant::query()->with(['garden', 'workLogs', 'bloomNotes'])->findOrFail($plant);
        $stems = $this->app->make(CorePlants::class)->plant($row, $this->today)->stems;
        if ($stems === null) {
            return;
        }
        foreach ($amounts as $amount) {
            $stand = match ($amount->effect) {
                Effect::OldStemsOut => $stems->old,
                Effect::YoungStemsOut => $stems->young,
                Effect::StemsOut => $stems->all(),
                default => null,
            };
            if ($stand !== null && $amount->max > $stand) {
                $this->broke('more is asked for than stands', "$this->today $ref: $amount->max of $stand");
            }
        }
    }

    private function minutes(string $task, int $minutes): void
    {
        // What is there for one pass in the year it was missed is three passes' work.
        $first = $this->first[$task] ??= $minutes;
        if ($minutes > self::RUNS_AWAY * max(10, $first)) {
            $this->broke('minutes run away', "$this->today $task: $minutes, begun with $first");
        }
    }

    private function crew(Crew $crew): void
    {
        $of = Visit::query()->with(['tasks.log', 'tasks.plant', 'garden'])->where('crew_id', $crew->id);
        $of->where('on', (string) $this->today)->orderBy('id');
        $visits = $of->get();
        if ($visits->isEmpty()) {
            return;
        }
        if ($this->chance(self::DAYS_LOST)) {
            $this->send('POST', "/crews/$crew->id/off", $this->planner(), [
                'on' => (string) $this->today, 'why' => 'storm',
            ]);
            $this->count('crew days lost');

            return;
        }
        $hand = $this->member($crew);
        $this->get('/round', $hand);
        foreach ($visits as $visit) {
            $this->get("/visits/$visit->id", $hand);
            if ($this->chance(self::UNLOGGED)) {
                $this->count('visits nobody logged');

                continue;
            }
            $this->log($visit, $hand);
        }
    }

    private function log(Visit $visit, User $hand): void
    {
        Carbon::setTestNow(Carbon::parse("$this->today 15:00:00", 'UTC'));
        $entries = [];
        foreach ($visit->tasks as $task) {
            if ($task->log === null) {
                $entries[] = [
                    'v' => 1, 'id' => (string) Str::uuid(), 'kind' => 'log', 'visit' => $visit->id, 'task' => $task->id,
                    'said_at' => Carbon::now()->toIso8601String(), 'corrects' => [], 'body' => $this->said($task),
                ];
            }
        }
        foreach (array_chunk($entries, 20) as $some) {
            $answer = $this->send('POST', '/entries', $hand, [
                'now' => Carbon::now()->toIso8601String(), 'entries' => $some,
            ]);
            $results = (array) (json_decode((string) $answer->getContent(), true)['results'] ?? []);
            foreach ($results as $result) {
                if (is_array($result) && ($result['state'] ?? '') !== 'kept') {
                    $this->broke('what a sheet asked for was not taken', "$this->today: ".json_encode($result));
                }
            }
        }
    }

    /** @return array<string, mixed> as a hand fills in the form */
    private function said(VisitTask $task): array
    {
        $drawn = mt_rand(1, 100);
        $outcome = match (true) {
            $drawn <= 73 => 'done', $drawn <= 87 => 'not-done', $drawn <= 94 => 'partly', default => 'changed',
        };
        $sort = $task->isCut() ? 'cuts' : 'checks';
        $this->count("$sort on sheets");
        $this->count("$sort $outcome");
        $minutes = max(1, (int) round($task->minutes * mt_rand(75, 130) / 100));
        if (in_array($outcome, ['done', 'changed'], true)) {
            $this->count('minutes forecast', $task->minutes);
            $this->count('minutes logged', $minutes);
        }
        $why = ['weather', 'time', 'reach', 'tools'][mt_rand(0, 3)];

        return array_filter([
            'outcome' => $outcome,
            'on' => (string) $this->today,
            'why' => in_array($outcome, ['partly', 'not-done'], true) ? $why : null,
            'minutes' => $outcome === 'not-done' ? null : $minutes,
            'amounts' => $outcome === 'not-done' || ! $this->chance(70) ? null : $this->counted($task),
            'findings' => $this->chance(6) ? [['dead-wood', 'disease', 'suckers', 'weak-growth'][mt_rand(0, 3)]] : null,
        ], static fn (mixed $value): bool => $value !== null);
    }

    /** @return array<int, int> by place of the amount, within what was asked for */
    private function counted(VisitTask $task): array
    {
        $counted = [];
        foreach ($task->prescribed->amounts as $index => $amount) {
            $counted[$index] = LengthField::shown($amount, mt_rand($amount->min, max($amount->min, $amount->max)));
        }

        return $counted;
    }

    /** What the month came to; its windows that have closed are met or missed, each with the reason. */
    private function month(): void
    {
        $first = Day::of($this->today->year(), $this->today->month(), 1);
        $closed = DB::table('season_tasks')->whereNull('hands_off')
            ->whereBetween('closes', [$first->number, $this->today->number])->get();
        $missed = [];
        foreach ($closed as $task) {
            if (! (bool) $task->done) {
                $why = $this->why((int) $task->plant_id, (string) $task->task, (int) $task->season);
                $missed[$why] = ($missed[$why] ?? 0) + 1;
            }
        }
        $met = $closed->where('done', 1)->count();
        $of = fn (string $what): int => $this->counts[$what] ?? 0;
        ($this->tell)(sprintf(
            '%s: due %d, met %d, missed %d%s; %d of %d plans accepted, %d left without a day; %d cuts and %d checks on '
                .'sheets (%d and %d done); minutes logged %.2f of forecast; lost: %d crew days, %d visits not logged, '
                .'%d mornings without a worker; %.1f MB, %d queries',
            $this->today->inWords().' '.$this->today->year(), $closed->count(), $met, array_sum($missed),
            $missed === [] ? '' : ' ('.implode(', ', array_map(
                static fn (string $why, int $count): string => "$count $why", array_keys($missed), $missed,
            )).')',
            $of('plans accepted'), $of('plans made'), $of('left without a day'), $of('cuts on sheets'),
            $of('checks on sheets'), $of('cuts done') + $of('cuts changed'), $of('checks done') + $of('checks changed'),
            $of('minutes logged') / max(1, $of('minutes forecast')), $of('crew days lost'),
            $of('visits nobody logged'), $of('mornings without a worker'), $this->megabytes(), $this->queries,
        ));
        $this->counts = [];
        $this->queries = 0;
        if ($this->today->month() === 12) {
            $this->everyCutComesBack($this->today->year());
        }
    }

    private function why(int $plant, string $task, int $season): string
    {
        $log = DB::table('work_logs')->where(['plant_id' => $plant, 'task' => $task, 'season' => $season])
            ->orderByDesc('on')->first();
        if ($log !== null) {
            return $log->outcome === 'partly' ? 'partly done' : "not done: $log->why";
        }

        return DB::table('visit_tasks')->where(['plant_id' => $plant, 'task' => $task, 'season' => $season])->exists()
            ? 'planned and lost'
            : (str_starts_with($task, 'follow-') ? 'checks never planned' : 'never planned');
    }

    /** What was cut in a season is cut again in the next, by this task or another. */
    private function everyCutComesBack(int $season): void
    {
        $cut = DB::table('work_logs')->where('season', $season)->whereIn('outcome', ['done', 'changed'])
            ->where('recipe', '!=', LoggedWork::FOLLOW_UP)->distinct()->pluck('plant_id');
        $again = DB::table('season_tasks')->whereIn('plant_id', $cut)->where('season', $season + 1)
            ->where('method', '!=', LoggedWork::FOLLOW_UP)->distinct()->pluck('plant_id');
        foreach ($cut->diff($again) as $plant) {
            $this->broke('a plant that was cut is cut no more', "plant $plant after season $season");
        }
    }

    /** The carried state of a dozen plants. */
    private function followed(): void
    {
        $bridge = $this->app->make(CorePlants::class);
        $plants = Plant::query()->with(['garden', 'workLogs', 'bloomNotes'])->get()->sortBy('id')
            ->filter(static fn (Plant $plant): bool => $plant->height_mm !== null || $plant->stems_old !== null);
        foreach ($plants->take(self::FOLLOWED) as $row) {
            $plant = $bridge->plant($row, $this->today);
            ($this->tell)(sprintf(
                '%s (%s): %s%s, %d logs', $row->label, $row->kind,
                $plant->heightMm === null ? 'height unknown' : "$plant->heightMm mm",
                $plant->stems === null ? '' : ", {$plant->stems->old} old and {$plant->stems->young} young stems",
                count($plant->history),
            ));
            if ($plant->heightMm !== null && $row->height_mm !== null && $plant->heightMm > 5 * $row->height_mm) {
                $this->broke('heights run away', "$row->label: $plant->heightMm mm, measured at $row->height_mm");
            }
        }
    }

    private function get(string $path, ?User $who): void
    {
        $this->answered(Door::knock($this->app, Request::create($path), $who), "GET $path", false);
    }

    /**
     * @param  array<string, mixed>  $with
     * @param  bool  $mayRefuse  whether a 422 is an answer like any other
     */
    private function send(string $method, string $path, ?User $who, array $with, bool $mayRefuse = false): Response
    {
        $request = Request::create(
            $path, $method, server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
            content: (string) json_encode($with),
        );
        $response = Door::knock($this->app, $request, $who);
        $this->answered($response, "$method $path", $mayRefuse);

        return $response;
    }

    private function answered(Response $response, string $asked, bool $mayRefuse): void
    {
        $status = $response->getStatusCode();
        if ($status >= 500 || ($status >= 400 && ! ($mayRefuse && $status === 422))) {
            $thrown = $response instanceof JsonResponse || $response instanceof HttpResponse
                ? $response->exception?->getMessage() : null;
            $this->broke("an answer of $status", "$this->today $asked: ".mb_substr(
                $thrown ?? (string) $response->getContent(), 0, 300,
            ));
        }
    }

    private function broke(string $what, string $where): void
    {
        if (! isset($this->broken[$what])) {
            ($this->tell)("BROKEN: $what ($where)");
        }
        $this->broken[$what] ??= $where;
    }

    private function count(string $what, int $by = 1): void
    {
        $this->counts[$what] = ($this->counts[$what] ?? 0) + $by;
    }

    private function chance(int $inHundred): bool
    {
        return mt_rand(1, 100) <= $inHundred;
    }

    private function planner(): User
    {
        return User::query()->where('role', Role::Planner)->firstOrFail();
    }

    private function member(Crew $crew): User
    {
        $people = User::query()->where('crew_id', $crew->id);
        $people->orderByDesc('id');

        return $people->firstOrFail();
    }

    private function megabytes(): float
    {
        return Dialect::of(DB::connection())->bytes() / 1e6;
    }
}
