<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Field\PlanVisit;
use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Crew;
use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use App\Ground\Models\Role;
use App\Ground\Models\User;
use App\Ground\Models\Visit;
use App\Ground\Models\VisitTask;
use App\Ground\Support\Heartbeat;
use App\Ground\Support\Today;
use App\Season\TaskChoice;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Prescription\Snapshot;
use Symfony\Component\HttpFoundation\Response;

/** The application on an empty database, on 20 February 2027: the wisteria's winter pass is open until 16 March. */
abstract class FeatureTestCase extends TestCase
{
    use RefreshDatabase;

    protected Crew $crew;

    protected Garden $garden;

    protected Plant $wisteria;

    /** On the database server that `./hook test --on pgsql` names: each of the processes has a database of its own. */
    public function createApplication(): Application
    {
        $app = parent::createApplication();
        $server = getenv('HOOK_TEST_PGSQL');
        if (is_string($server) && $server !== '') {
            config(['database.default' => 'pgsql', 'database.connections.pgsql' => [
                ...(array) config('database.connections.pgsql'), 'url' => $server,
                'database' => 'hook_test_'.(getenv('TEST_TOKEN') ?: '1'),
            ]]);
        }

        return $app;
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
        if (DB::getDriverName() === 'pgsql') {
            // Counters are not rolled back with the rows; each test begins at 1, as on SQLite.
            DB::select('select setval(quote_ident(sequencename)::regclass, 1, false) from pg_sequences');
        }
        Heartbeat::forget(Heartbeat::WORKER);
        Carbon::setTestNow('2027-02-20 10:00:00');
        $this->crew = Crew::query()->create(['name' => 'Wren crew']);
        $this->garden = Garden::factory()->create(['name' => 'Millrace House', 'crew_id' => $this->crew->id]);
        $this->wisteria = Plant::factory()->create(['garden_id' => $this->garden->id]);
    }

    protected function tearDown(): void
    {
        Carbon::setTestNow();
        Heartbeat::forget(Heartbeat::WORKER);
        parent::tearDown();
    }

    /**
     * A page as it is read: between its words white space is one space, however its source is broken into lines.
     *
     * @param  Response  $response
     * @param  Request  $request
     * @return TestResponse<Response>
     */
    protected function createTestResponse($response, $request): TestResponse
    {
        $page = $response->getContent();
        if (is_string($page) && str_starts_with((string) $response->headers->get('Content-Type'), 'text/html')) {
            $original = $response instanceof \Illuminate\Http\Response ? $response->original : null;
            $response->setContent((string) preg_replace('/\s+/', ' ', $page));
            if ($response instanceof \Illuminate\Http\Response) {
                $response->original = $original;
            }
        }

        return parent::createTestResponse($response, $request);
    }

    protected function planner(): User
    {
        return User::factory()->create(['role' => Role::Planner]);
    }

    protected function lead(bool $ofThisCrew = true): User
    {
        return $this->member(Role::Lead, $ofThisCrew);
    }

    protected function hand(bool $ofThisCrew = true): User
    {
        return $this->member(Role::Hand, $ofThisCrew);
    }

    protected function visit(string $on = '2027-02-20', string $task = 'winter-pass'): Visit
    {
        $this->app->forgetInstance(CorePlants::class);

        return $this->planned(
            $this->garden->fresh(['plants.workLogs']) ?? $this->garden, Day::parse($on),
            new TaskChoice($this->wisteria->id, $task, 2027),
        );
    }

    /** A visit of the crew with one task. */
    protected function planned(Garden $garden, Day $on, TaskChoice $task, ?string $reason = null): Visit
    {
        $plan = $this->app->make(PlanVisit::class);

        return $plan->write($plan->ready($garden, $on, [$task], $reason, Today::day()), $this->crew->id, null);
    }

    protected function visitTask(): VisitTask
    {
        return $this->visit()->tasks()->firstOrFail();
    }

    private function member(Role $role, bool $ofThisCrew): User
    {
        $crew = $ofThisCrew ? $this->crew : Crew::query()->firstOrCreate(['name' => 'Rook crew']);

        return User::factory()->create(['role' => $role, 'crew_id' => $crew->id]);
    }

    /**
     * A prescription as a sheet keeps it, of which a test says only what it is about.
     *
     * @param  array<string, mixed>  $said
     */
    protected function prescription(array $said = []): Snapshot
    {
        return Snapshot::read([
            'key' => 'task', 'name' => 'Task', 'method' => 'Thin', 'school' => null,
            'window' => [
                'opens' => '2027-01-01', 'best_from' => '2027-01-10', 'best_to' => '2027-02-10',
                'closes' => '2027-03-31',
            ],
            'amounts' => [], 'steps' => [], 'minutes' => 20, 'cautions' => [], 'reasons' => [], ...$said,
        ]);
    }
}
