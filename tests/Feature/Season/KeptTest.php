<?php

declare(strict_types=1);

namespace Tests\Feature\Season;

use App\Field\Record\LogWork;
use App\Ground\Bridge\CorePlants;
use App\Ground\Models\BloomNote;
use App\Ground\Models\Firm;
use App\Ground\Models\Garden;
use App\Ground\Models\Observation;
use App\Ground\Models\OwnKind;
use App\Ground\Models\Plant;
use App\Ground\Models\VisitTask;
use App\Ground\Models\WorkLog;
use App\Ground\Support\Heartbeat;
use App\Ground\Support\Today;
use App\Knowledge\OwnEntry;
use App\Knowledge\OwnKinds;
use App\Season\Due\Basis;
use App\Season\Due\DueCalculator;
use App\Season\Due\DueKeeper;
use App\Season\Due\Renewal;
use App\Season\Due\RenewDue;
use App\Season\Due\SignShifts;
use Database\Seeders\DemoSeeder;
use Database\Seeders\FirmSeeder;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\Observation as CoreObservation;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\PlantBook\SeasonReader;
use PruningHook\Core\Prescription\Prescriber;
use Tests\Feature\FeatureTestCase;

/**
 * What is kept of what is due is what a fresh and full working-out gives, and what is stale is never taken for fresh.
 */
final class KeptTest extends FeatureTestCase
{
    private const CHANGES = 500;

    protected function setUp(): void
    {
        parent::setUp();
        DB::table('gardens')->delete();
        DB::table('crews')->delete();
    }

    public function test_kept_rows_are_a_fresh_working_out_of_the_demo_and_stay_so_through_random_changes(): void
    {
        $this->seed(DemoSeeder::class);
        $this->holdsThrough(self::CHANGES, 5);
    }

    public function test_kept_rows_are_a_fresh_working_out_of_sixty_gardens_and_stay_so_through_random_changes(): void
    {
        $this->app->make(FirmSeeder::class)->fill(60, 5, 2);
        $this->holdsThrough(self::CHANGES, 20);
    }

    public function test_whoever_worked_from_a_later_revision_wins(): void
    {
        $garden = Garden::factory()->create();
        $plant = Plant::factory()->create(['garden_id' => $garden->id]);
        $basis = Basis::on(Today::day());
        $early = $this->app
            ->make(DueCalculator::class)
            ->calculate(
                Garden::query()->findOrFail($garden->id), $basis->from, $basis->coversTo(), Today::day(),
            );
        $plant->update(['height_mm' => 9000]);
        self::assertTrue($this->keeper()->renew($garden->id));
        $late = self::rows();
        self::assertFalse($this->keeper()->keep($early, $basis), 'it was read before the change');
        self::assertEquals($late, self::rows());
        self::assertTrue($this->keeper()->renew($garden->id), 'the same revision may be written again');
    }

    public function test_what_a_plant_has_shown_of_its_growth_is_in_what_is_kept(): void
    {
        $garden = Garden::factory()->create();
        $bush = Plant::factory()->create([
            'garden_id' => $garden->id,
            'kind' => 'butterfly-bush',
            'count' => 30,
            'height_mm' => 2400,
            'planted_on' => '2015-03-01',
        ]);
        $task = $garden
            ->visits()
            ->create(['on' => '2026-04-02'])
            ->tasks()
            ->create([
                'plant_id' => $bush->id,
                'task' => 'spring-cut',
                'season' => 2026,
                'position' => 0,
                'minutes' => 9,
                'prescribed' => $this->prescription(),
            ]);
        WorkLog::query()->create([
            'visit_task_id' => $task->id,
            'plant_id' => $bush->id,
            'task' => 'spring-cut',
            'recipe' => 'cut-to-flowering-height',
            'season' => 2026,
            'on' => '2026-04-02',
            'outcome' => 'done',
            'amounts' => [['effect' => 'cut-height', 'what' => 'cut height', 'unit' => 'mm', 'value' => 300]],
        ]);
        $bush->forceFill(['height_on' => '2026-01-10'])->save();
        $kept = function (): int {
            $this->app->forgetScopedInstances();
            $this->keeper()->renewAll();

            return (int) DB::table('season_tasks')->where(['task' => 'spring-cut', 'season' => 2027])->value('minutes');
        };
        $usual = $kept();
        BloomNote::query()->create(['plant_id' => $bush->id, 'season' => 2026, 'flowering_height_mm' => 900]);
        self::assertLessThan($usual, $kept(), 'it grew less than its kind does, and stands lower');
        $this->freshIsTrue(true);
    }

    public function test_a_change_makes_its_garden_stale_and_asks_the_queue(): void
    {
        [$touched, $other] = [Garden::factory()->create(), Garden::factory()->create(['latitude' => 40])];
        $plant = Plant::factory()->create(['garden_id' => $touched->id]);
        Plant::factory()->create(['garden_id' => $other->id]);
        // Nothing of a box hedge turns on how a wisteria is kept.
        $box = Garden::factory()->create(['latitude' => 45]);
        Plant::factory()->create(['garden_id' => $box->id, 'kind' => 'box-hedge']);
        $this->keeper()->renewAll();
        Queue::fake();
        $plant->update(['planted_on' => '2026-11-01']);
        Queue::assertPushed(RenewDue::class);
        self::assertSame([$touched->id], $this->stale());
        Firm::ours()
            ->fill(['practice' => ['wisteria-look' => 'relaxed']])
            ->save();
        self::assertEqualsCanonicalizing(
            [$touched->id, $other->id], $this->stale(), 'also where the firm had never chosen before',
        );
        $this->keeper()->renewAll();
        Firm::ours()
            ->fill(['practice' => []])
            ->save();
        self::assertSame([$touched->id, $other->id], $this->stale(), 'those whose plants turn on it');
        $this->app->make(RenewDue::class)->handle($this->keeper());
        self::assertSame([], $this->stale());
    }

    public function test_the_firms_own_kinds_make_their_gardens_stale_also_when_taken_back_and_brought_back(): void
    {
        Plant::factory()->create(['garden_id' => Garden::factory()->create()->id, 'kind' => 'box-hedge']);
        Plant::factory()->create(['garden_id' => Garden::factory()->create()->id, 'kind' => 'lilac']);
        $kinds = $this->app->make(OwnKinds::class);
        foreach (
            [
                static fn () => $kinds->write(
                    new OwnEntry('lilac', null, ['phenology' => ['bloom-end' => 'bloom-start+30']]),
                    'Seen here.',
                    null,
                ),
                static fn () => $kinds->takeBack('lilac'),
                static fn () => $kinds->bringBack('lilac'),
            ] as $change
        ) {
            $this->app->forgetScopedInstances();
            $this->keeper()->renewAll();
            self::assertSame([], $this->stale());
            $change();
            self::assertCount(1, $this->stale());
        }
    }

    public function test_what_was_worked_out_before_a_kind_was_corrected_is_not_kept_after_it(): void
    {
        $garden = Garden::factory()->create();
        Plant::factory()->create(['garden_id' => $garden->id, 'kind' => 'box-hedge']);
        $basis = Basis::on(Today::day());
        $early = $this->app->make(DueCalculator::class)->calculate(
            Garden::query()->findOrFail($garden->id), $basis->from, $basis->coversTo(), Today::day(),
        );
        // A garden of another kind could be corrected into this one while it is worked out.
        OwnKind::query()->create([
            'kind' => 'lilac', 'entry' => ['phenology' => ['bloom-end' => 'bloom-start+30']], 'note' => 'Seen here.',
        ]);
        self::assertFalse($this->keeper()->keep($early, $basis), 'the book it was read from is no longer the firm\'s');
        self::assertSame([$garden->id], $this->stale());
        $this->app->forgetScopedInstances();
        self::assertTrue($this->keeper()->renew($garden->id));
    }

    public function test_a_worker_stops_in_time_goes_on_where_it_stopped_and_two_never_take_the_same_garden(): void
    {
        Queue::fake();
        foreach (range(1, 25) as $number) {
            Plant::factory()->create(['garden_id' => Garden::factory()->create(['name' => "Garden $number"])->id]);
        }
        $kept = [];
        DB::listen(static function (QueryExecuted $query) use (&$kept): void {
            if (str_starts_with($query->sql, 'update "kept_gardens" set "revision"')) {
                $kept[] = $query->bindings[count($query->bindings) - 2];
            }
        });
        self::assertEquals(new Renewal(0, true), $this->keeper()->renewFor(0.0));
        $second = null;
        $first = $this->keeper()->renewFor(60.0, function () use (&$second): void {
            $second ??= $this->keeper()->renewFor(60.0);
        });
        self::assertEquals([new Renewal(10, false), new Renewal(15, true)], [$first, $second]);
        self::assertCount(25, $kept);
        self::assertCount(25, array_unique($kept));
        // One that was killed with gardens in hand keeps them for half a minute.
        DB::table('gardens')->increment('revision');
        DB::table('kept_gardens')->limit(5)->update(['claimed_until' => time() + 20]);
        Queue::fake();
        self::assertEquals(new Renewal(20, true), $this->keeper()->renewFor(60.0));
        (new RenewDue)->handle($this->keeper());
        Queue::assertPushed(RenewDue::class, static fn (RenewDue $later): bool => $later->delay === 15);
        DB::table('kept_gardens')->update(['claimed_until' => time() - 1]);
        self::assertEquals(new Renewal(5, false), $this->keeper()->renewFor(60.0));
    }

    public function test_one_turn_is_asked_for_at_a_time_and_it_is_there_if_the_change_is(): void
    {
        config(['queue.default' => 'database']);
        $garden = Garden::factory()->create();
        $waiting = static fn (): int => DB::table('jobs')->count();
        DB::table('jobs')->delete();
        Plant::factory()->create(['garden_id' => $garden->id]);
        Plant::factory()->create(['garden_id' => $garden->id]);
        self::assertSame(1, $waiting());
        // One that is under way may have read the garden before it changed.
        DB::table('jobs')->update(['reserved_at' => time()]);
        Plant::factory()->create(['garden_id' => $garden->id]);
        self::assertSame(2, $waiting());
        DB::table('jobs')->delete();
        RenewDue::ask(900);
        RenewDue::ask(900);
        self::assertSame(1, $waiting());
        RenewDue::ask();
        self::assertSame(2, $waiting(), 'one that waits for later is too late');
        DB::table('jobs')->delete();
        try {
            DB::transaction(static function () use ($garden): never {
                Plant::factory()->create(['garden_id' => $garden->id]);
                throw new \LogicException('the power went');
            });
        } catch (\LogicException) {
            self::assertSame(0, $waiting());
        }
    }

    public function test_a_plant_that_was_moved_is_due_in_its_new_garden_alone_whichever_is_looked_at_first(): void
    {
        $this->actingAs($this->planner());
        foreach ([[0, 1], [1, 0]] as $order) {
            $gardens = Garden::factory()->count(2)->create()->all();
            $plant = Plant::factory()->create(['garden_id' => $gardens[0]->id]);
            $stays = Plant::factory()->create(['garden_id' => $gardens[0]->id, 'label' => 'It stays']);
            $this->keeper()->renewAll();
            $due = DB::table('season_tasks')->where('plant_id', $plant->id)->count();
            self::assertGreaterThan(0, $due);
            $plant->forceFill(['garden_id' => $gardens[1]->id])->save();
            foreach ($order as $which) {
                $this->get("/gardens/{$gardens[$which]->id}")->assertOk();
            }
            self::assertSame($due, DB::table('season_tasks')->where('plant_id', $plant->id)
                ->where('garden_id', $gardens[1]->id)->count());
            self::assertSame($due, DB::table('season_tasks')->where('plant_id', $plant->id)->count());
            self::assertSame(
                [$stays->id], DB::table('kept_plants')->where('garden_id', $gardens[0]->id)->pluck('plant_id')->all(),
            );
            // Back again, as undo does it.
            $plant->forceFill(['garden_id' => $gardens[0]->id])->save();
            foreach ($order as $which) {
                $this->get("/gardens/{$gardens[$which]->id}")->assertOk();
            }
            self::assertSame(
                [$due, 0],
                array_map(static fn (Garden $garden): int => DB::table('season_tasks')->where('plant_id', $plant->id)
                    ->where('garden_id', $garden->id)->count(), $gardens),
            );
        }
    }

    public function test_pages_leave_what_is_much_to_a_worker_that_is_alive(): void
    {
        Queue::fake();
        foreach (range(1, 14) as $number) {
            Plant::factory()->create(['garden_id' => Garden::factory()->create(['name' => "Garden $number"])->id]);
        }
        Heartbeat::beat(Heartbeat::WORKER);
        $this->beforeApplicationDestroyed(static fn () => Heartbeat::forget(Heartbeat::WORKER));
        $this->actingAs($this->planner())->get('/')->assertOk()->assertSee('14 of 14 gardens');
        $first = Garden::query()->min('id');
        $this->get("/gardens/$first")->assertOk()->assertSee('Winter pass');
        $this->get('/')->assertOk()->assertSee('13 of 14 gardens');
        $second = Garden::query()->max('id');
        $this->get("/gardens/$second")->assertOk()->assertSee('Winter pass');
        $this->get('/')->assertOk()->assertDontSee('of 14 gardens');
    }

    public function test_a_sign_touches_only_the_gardens_whose_season_it_moves(): void
    {
        [$here, $near, $far] = [
            Garden::factory()->create(),
            Garden::factory()->create(['latitude' => 51.6]),
            Garden::factory()->create(['latitude' => 53]),
        ];
        $this->keeper()->renewAll();
        $note = static fn (string $event, string $on) => Observation::query()->create([
            'garden_id' => $here->id,
            'event' => $event,
            'on' => $on,
            'season' => 2027,
        ]);
        $note('plum-bloom', '2027-03-12');
        self::assertSame([], $this->stale(), 'one sign moves nothing');
        $lilac = $note('lilac-bloom', '2027-04-15');
        self::assertSame([$here->id], $this->stale(), 'who noted it does not wait for the neighbours');
        $this->weigh();
        self::assertEqualsCanonicalizing([$here->id, $near->id], $this->stale());
        $this->keeper()->renewAll();
        $lilac->delete();
        self::assertSame([$here->id], $this->stale());
        $this->weigh();
        self::assertEqualsCanonicalizing([$here->id, $near->id], $this->stale());
        $this->keeper()->renewAll();
        self::assertSame(0, DB::table('garden_seasons')->where('garden_id', $far->id)->count());
    }

    public function test_midnight_makes_nothing_stale_and_new_days_are_worked_out_before_they_are_looked_at(): void
    {
        Plant::factory()->create(['garden_id' => Garden::factory()->create()->id]);
        $this->keeper()->renewAll();
        foreach (['2027-02-21' => 0, '2027-04-01' => 0, '2027-09-01' => 1] as $day => $stale) {
            config(['hook.today' => $day]);
            self::assertCount($stale, $this->stale(), $day);
        }
    }

    public function test_many_stale_gardens_are_left_out_and_said_until_they_are_worked_out(): void
    {
        Queue::fake();
        foreach (range(1, 2 * DueKeeper::WHILE_WAITING + 3) as $number) {
            Plant::factory()->create(['garden_id' => Garden::factory()->create(['name' => "Garden $number"])->id]);
        }
        $this->actingAs($this->planner())
            ->get('/?by=kind')
            ->assertOk()
            ->assertSee('15 of 27 gardens')
            ->assertSee('<b>12</b>open so far', false)
            ->assertSee('Garden 12')
            ->assertDontSee('Garden 13');
        Queue::assertPushed(RenewDue::class);
        $last = Garden::query()->max('id');
        $this->get("/gardens/$last")
            ->assertOk()
            ->assertSee('Winter pass');
        $this->get('/?by=kind')
            ->assertSee('2 of 27 gardens')
            ->assertSee('Garden 27')
            ->assertDontSee('Garden 26');
        $this->get('/?by=kind')
            ->assertDontSee('being worked out anew')
            ->assertDontSee('so far')
            ->assertSee('Garden 26');
    }

    private function holdsThrough(int $changes, int $between): void
    {
        mt_srand(8);
        $checked = 0;
        $this->keeper()->renewAll();
        $this->freshIsTrue(true);
        for ($change = 1; $change <= $changes; $change++) {
            $this->change();
            if ($change % $between === 0) {
                $checked += $this->freshIsTrue(false);
                $stale = $this->stale();
                shuffle($stale);
                $this->keeper()->ensure(array_slice($stale, intdiv(count($stale), 2)));
                $this->app->forgetScopedInstances();
            }
        }
        self::assertGreaterThan(20, $checked, 'some gardens must have stayed fresh between the changes');
        $this->keeper()->renewAll();
        $this->freshIsTrue(true);
    }

    /** One change, of any sort a person can make. */
    private function change(): void
    {
        $plant = Plant::query()->inRandomOrder(mt_rand())->firstOrFail();
        $garden = Garden::query()->inRandomOrder(mt_rand())->firstOrFail();
        $task = VisitTask::query()->inRandomOrder(mt_rand())->firstOrFail();
        match (mt_rand(0, 52)) {
            0, 13, 14, 15, 16 => $plant->update([
                'height_mm' => mt_rand(300, 6000),
                'stems_old' => mt_rand(0, 9),
                'count' => mt_rand(1, 9),
            ]),
            1, 17, 18, 19, 20 => $plant->update([
                'planted_on' => (string) Day::parse('2027-02-20')->minus(mt_rand(0, 1500)),
            ]),
            2, 21, 22, 23, 24 => $plant->update([
                'kind' => ['lilac', 'forsythia', 'wisteria', 'grape-vine', 'box-hedge', 'sour-cherry'][mt_rand(0, 5)],
            ]),
            3, 25, 26, 27 => $plant->delete(),
            4 => Plant::onlyTrashed()->inRandomOrder(mt_rand())->first()?->restore(),
            5, 28, 29, 30, 31, 32 => $this->app
                ->make(LogWork::class)
                ->log(
                    $task->load('visit'),
                    [
                        'outcome' => ['done', 'partly', 'not-done'][mt_rand(0, 2)],
                        'minutes' => mt_rand(5, 300),
                        'removed_percent' => mt_rand(0, 30),
                    ],
                    null,
                ),
            6, 33, 34, 35 => WorkLog::query()->inRandomOrder(mt_rand())->first()?->delete(),
            7 => Observation::query()->updateOrCreate(
                [
                    'garden_id' => $garden->id,
                    'season' => 2027,
                    'event' => [
                        'witch-hazel-bloom',
                        'forsythia-bloom',
                        'plum-bloom',
                        'first-frost',
                        'apple-leaf-fall',
                    ][mt_rand(0, 4)],
                ],
                ['on' => (string) Day::parse('2027-02-01')->plus(mt_rand(-30, 60))],
            ),
            8 => Observation::query()->inRandomOrder(mt_rand())->first()?->delete(),
            9 => $garden->update([
                'latitude' => $garden->latitude + mt_rand(-30, 30) / 100,
                'last_frost' => sprintf('04-%02d', mt_rand(1, 30)),
            ]),
            41, 42, 43 => $plant->update(['state' => $this->seen()]),
            // A cut at its height and flowers in the same season: what it has shown of its growth.
            44, 45, 46, 47 => [
                $task
                    ->load('visit')
                    ->plant->update([
                        'kind' => 'butterfly-bush',
                        'height_mm' => mt_rand(800, 2500),
                        'height_on' => '2025-01-01',
                    ]),
                WorkLog::query()->updateOrCreate(
                    ['visit_task_id' => $task->id],
                    [
                        'plant_id' => $task->plant_id,
                        'task' => $task->task,
                        'recipe' => 'renovate',
                        'season' => 2026,
                        'on' => '2026-04-0'.mt_rand(1, 9),
                        'outcome' => 'done',
                        'amounts' => [
                            [
                                'effect' => 'cut-height',
                                'what' => 'cut height',
                                'unit' => 'mm',
                                'value' => mt_rand(200, 600),
                            ],
                        ],
                    ],
                ),
                BloomNote::query()->updateOrCreate(
                    ['plant_id' => $task->plant_id, 'season' => 2026],
                    ['flowering_height_mm' => mt_rand(900, 2600)],
                ),
            ],
            // An aim that its record has reached, or not.
            48, 49, 50 => [
                $task
                    ->load('visit')
                    ->plant->update(['kind' => 'lilac', 'aim' => 'renewal', 'planted_on' => '2010-03-01']),
                WorkLog::query()->updateOrCreate(
                    ['visit_task_id' => $task->id],
                    [
                        'plant_id' => $task->plant_id,
                        'task' => 'after-flowering',
                        'recipe' => ['renovate', 'fruit-bush-reset'][mt_rand(0, 1)],
                        'season' => 2026,
                        'on' => '2026-06-10',
                        'outcome' => 'done',
                        'amounts' => [],
                    ],
                ),
            ],
            10 => $garden->update([
                'practice' => mt_rand(0, 1) === 0
                        ? []
                        : ['wisteria-look' => 'relaxed', 'crape-myrtle-height' => 'heading'],
            ]),
            11 => $this->firm(),
            default => BloomNote::query()->updateOrCreate(
                ['plant_id' => $plant->id, 'season' => 2027],
                ['flowering_height_mm' => mt_rand(500, 2000)],
            ),
        };
    }

    /** @return array<string, mixed> what a person may say of a plant, of one sort */
    private function seen(): array
    {
        return [
            [],
            ['condition' => 'neglected'],
            ['condition' => 'congested'],
            ['stress' => 'drought'],
            ['protected' => true],
            ['trunk_mm' => mt_rand(20, 300)],
            ['transplanted' => '2026-11-01'],
            ['exposed' => true, 'sides' => 1],
        ][mt_rand(0, 7)];
    }

    private function firm(): void
    {
        if (mt_rand(0, 1) === 0) {
            Firm::query()
                ->firstOrFail()
                ->fill(['practice' => mt_rand(0, 1) === 0 ? [] : ['bush-rose-severity' => 'light-arc']])
                ->save();
        } else {
            OwnKind::query()->create([
                'kind' => 'lilac',
                'entry' => ['phenology' => ['bloom-end' => 'bloom-start+'.mt_rand(10, 40)]],
                'note' => 'Seen here.',
            ]);
        }
        // What was read of the firm in this request holds no more.
        $this->app->forgetScopedInstances();
    }

    /** Every garden that counts as fresh holds what a full working-out gives; all of them do where all were renewed. */
    private function freshIsTrue(bool $all): int
    {
        $this->weigh();
        $this->app->forgetScopedInstances();
        $stale = $this->stale();
        self::assertSame([], $all ? $stale : []);
        $kept = [];
        foreach (DB::table('season_tasks')->get() as $row) {
            $kept[(int) $row->garden_id][] = implode(' ', [
                $row->plant_id,
                $row->season,
                $row->task,
                $row->name,
                $row->method,
                $row->opens,
                $row->best_from,
                $row->best_to,
                $row->closes,
                $row->minutes,
                $row->people,
                $row->skills,
                $row->outcome,
                $row->logged_on,
                (int) $row->done,
            ]);
        }
        $checked = 0;
        $gardens = Garden::query()
            ->with('plants.workLogs', 'plants.bloomNotes')
            ->whereKeyNot($stale)
            ->inRandomOrder(mt_rand())
            ->limit($all ? 1000 : 4)
            ->get();
        foreach ($gardens as $garden) {
            self::assertEqualsCanonicalizing(
                $this->truth($garden),
                $kept[$garden->id] ?? [],
                "garden $garden->id, after which changes the seed tells",
            );
            $checked++;
        }

        return $checked;
    }

    /**
     * What is due in a garden by the long way: the full prescription of each plant, with every sign of the firm read
     * anew.
     *
     * @return list<string>
     */
    private function truth(Garden $garden): array
    {
        $book = $this->app->make(PlantBook::class);
        $bridge = $this->app->make(CorePlants::class);
        $years = $this->years($garden, $book, $bridge);
        $covers = DB::table('kept_gardens')->where('garden_id', $garden->id)->first();
        $truth = [];
        foreach ($garden->plants as $plant) {
            $core = $bridge->plant($plant, Today::day());
            foreach (range(2026, 2028) as $season) {
                try {
                    $prescribed = Prescriber::with($book)->prescribe(
                        $core, $years->season($season), $bridge->practice($garden),
                    );
                } catch (Fault) {
                    // Not in the ground in that season.
                    continue;
                }
                foreach ([...$prescribed->tasks, ...$prescribed->followUps] as $task) {
                    $window = $task->window;
                    if (
                        $window->closes->number < $covers->covers_from
                        || $window->opens->number > $covers->covers_to
                        || ($core->planted !== null && $window->closes->isBefore($core->planted))
                    ) {
                        continue;
                    }
                    $log = $core->logged($task->key, $season);
                    $truth[] = implode(' ', [
                        $plant->id,
                        $season,
                        $task->key,
                        $task->name,
                        $task->methodKey,
                        $window->opens->number,
                        $window->bestFrom->number,
                        $window->bestTo->number,
                        $window->closes->number,
                        $task->minutes,
                        $task->kit->people,
                        json_encode($task->kit->skills),
                        $log?->outcome->value,
                        $log?->on->number,
                        (int) ($log?->outcome->isDone() === true),
                    ]);
                }
            }
        }

        return $truth;
    }

    private function years(Garden $garden, PlantBook $book, CorePlants $bridge): SiteYears
    {
        $site = $bridge->site($garden);
        $seasons = [];
        foreach (
            Observation::query()
                ->with('garden')
                ->get()
                ->sortBy([['on', 'asc'], ['id', 'asc']])
                ->groupBy('season') as $season => $signs
        ) {
            $own = $near = [];
            foreach ($signs as $sign) {
                $there = $bridge->site($sign->garden);
                $seen = new CoreObservation($sign->event, $sign->on);
                if ($sign->garden_id === $garden->id) {
                    $own[] = $seen;
                } elseif ($site->kilometresTo($there) <= $book->figures->number(Figure::NeighboursWithin)) {
                    $near[] = [$seen, SiteYear::of($there, (int) $season), $sign->garden->name];
                }
            }
            $seasons[(int) $season] = SeasonReader::with($book)->read(
                $own,
                SiteYear::of($site, (int) $season),
                $near,
            );
        }

        return SiteYears::of($site, $seasons);
    }

    /** @return list<int> gardens whose rows do not count as fresh */
    private function stale(): array
    {
        return array_values(
            array_map(
                intval(...),
                Basis::on(Today::day())
                    ->stale(
                        DB::table('gardens')->leftJoin('kept_gardens', 'kept_gardens.garden_id', '=', 'gardens.id'),
                    )
                    ->pluck('gardens.id')
                    ->all(),
            ),
        );
    }

    /** As the worker does before anything else. */
    private function weigh(): void
    {
        $this->app->make(SignShifts::class)->weigh(Firm::ours()->refresh());
    }

    private function keeper(): DueKeeper
    {
        return $this->app->make(DueKeeper::class);
    }

    /** @return list<\stdClass> */
    private static function rows(): array
    {
        return array_values(
            DB::table('season_tasks')
                ->orderBy('plant_id')
                ->orderBy('opens')
                ->get()
                ->map(static function (\stdClass $row): \stdClass {
                    unset($row->id);

                    return $row;
                })
                ->all(),
        );
    }
}
