<?php

declare(strict_types=1);

namespace Tests\Feature\Season;

use App\Ground\Models\Firm;
use App\Ground\Models\Garden;
use App\Ground\Models\Observation;
use App\Ground\Support\Heartbeat;
use App\Season\Due\SignShifts;
use App\Season\Due\SignsToWeigh;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use RuntimeException;
use Tests\Feature\FeatureTestCase;

/** A sign is kept at once; who is near it is weighed when nobody waits for the database. */
final class SignsToWeighTest extends FeatureTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Queue::fake();
        Heartbeat::beat(Heartbeat::WORKER);
        $this->beforeApplicationDestroyed(static fn () => Heartbeat::forget(Heartbeat::WORKER));
        $this->actingAs($this->planner());
    }

    public function test_noting_a_sign_holds_nobody_up_longer_where_more_gardens_hear_of_it(): void
    {
        $this->note('plum-bloom', '2027-02-16');
        $alone = $this->whileLocked(fn () => $this->note('forsythia-bloom', '2027-02-10'));
        Observation::query()->where('event', 'forsythia-bloom')->sole()->delete();
        Garden::factory()->count(30)->create(['latitude' => $this->garden->latitude]);
        $this->weigh();
        $among = $this->whileLocked(fn () => $this->note('forsythia-bloom', '2027-02-10'));
        self::assertCount(count($alone), $among);
        self::assertSame([], self::onlyReads($among, 'garden_seasons'));
        $moved = $this->whileLocked(fn () => $this->garden->update(['latitude' => $this->garden->latitude + 0.1]));
        self::assertSame([], self::onlyReads($moved, 'garden_seasons'));
        $told = static fn (): int => DB::table('garden_seasons')->where('spring_from', 'like', '%","%')->count();
        self::assertSame(1, $told(), 'the neighbours are left to the worker');
        $weighed = $this->whileLocked(fn () => $this->weigh());
        self::assertSame(31, $told());
        self::assertSame([], self::onlyReads($weighed, 'garden_seasons'));
        self::assertLessThan(12, count($weighed), 'thirty gardens are written in few statements');
    }

    public function test_the_page_says_that_the_neighbours_are_yet_to_hear_of_it(): void
    {
        $near = Garden::factory()->create(['latitude' => $this->garden->latitude]);
        $this->weigh();
        $page = "/gardens/{$this->garden->id}/signs";
        $this->get($page)->assertDontSee('still being applied');
        $this->note('plum-bloom', '2027-02-16');
        $this->note('forsythia-bloom', '2027-02-10');
        $this->get($page)->assertSee('still being applied')->assertSee('early', false);
        $this->get("/gardens/$near->id/signs")->assertSee('still being applied')->assertDontSee('early</b>', false);
        $this->weigh();
        $this->get("/gardens/$near->id/signs")->assertDontSee('still being applied')->assertSee('early</b>', false);
    }

    public function test_of_two_that_weigh_the_later_wins_and_nothing_is_forgotten(): void
    {
        $near = Garden::factory()->create(['latitude' => $this->garden->latitude]);
        $this->note('plum-bloom', '2027-02-16');
        $between = true;
        DB::listen(function (QueryExecuted $query) use (&$between): void {
            // Another notes a sign and weighs all of it, once the first has read what it will write.
            if ($between && str_contains($query->sql, 'from "garden_seasons" where "garden_id" in')) {
                $between = false;
                $this->note('forsythia-bloom', '2027-02-10');
                $this->weigh();
            }
        });
        $this->weigh();
        self::assertFalse($between);
        self::assertFalse(SignsToWeigh::areLeft());
        $from = DB::table('garden_seasons')->where('garden_id', $near->id)->sole();
        self::assertCount(2, (array) json_decode($from->spring_from, true));
    }

    public function test_a_page_writes_nothing_over_what_a_worker_has_in_hand(): void
    {
        $this->note('plum-bloom', '2027-02-16');
        $this->weigh();
        DB::table('firms')->update(['signs_weigher' => 'a worker']);
        $this->note('forsythia-bloom', '2027-02-10');
        $kept = static fn (): int => count((array) json_decode(
            DB::table('garden_seasons')->sole()->spring_from,
            true,
        ));
        self::assertSame(1, $kept());
        // A worker that broke off holds nothing up.
        $this->weigh();
        self::assertSame(2, $kept());
        self::assertFalse(SignsToWeigh::areLeft());
    }

    public function test_a_sign_that_was_not_kept_leaves_nothing_to_weigh(): void
    {
        $this->weigh();
        try {
            DB::transaction(function (): void {
                $this->garden->observations()->create([
                    'event' => 'plum-bloom', 'on' => '2027-02-16', 'season' => 2027,
                ]);
                throw new RuntimeException;
            });
        } catch (RuntimeException) {
            // What was begun is taken back.
        }
        self::assertFalse(SignsToWeigh::areLeft());
        $this->note('forsythia-bloom', '2027-02-10');
        self::assertSame(1, DB::table('garden_seasons')->count());
    }

    public function test_a_garden_without_signs_is_weighed_alone_and_at_once(): void
    {
        $this->note('plum-bloom', '2027-02-16');
        $this->weigh();
        $new = Garden::factory()->create(['latitude' => $this->garden->latitude]);
        self::assertSame(1, DB::table('garden_seasons')->where('garden_id', $new->id)->count());
        self::assertFalse(SignsToWeigh::areLeft());
        $new->update(['latitude' => $this->garden->latitude + 20]);
        self::assertSame(0, DB::table('garden_seasons')->where('garden_id', $new->id)->count());
        self::assertFalse(SignsToWeigh::areLeft());
    }

    private function note(string $event, string $on): void
    {
        $this->post("/gardens/{$this->garden->id}/signs", ['event' => $event, 'on' => $on])->assertSessionHasNoErrors();
        self::assertTrue(Observation::query()->where(['event' => $event, 'on' => $on])->exists());
    }

    private function weigh(): void
    {
        $this->app->make(SignShifts::class)->weigh(Firm::ours());
    }

    /**
     * @param  callable(): mixed  $do
     * @return list<string> statements within transactions
     */
    private function whileLocked(callable $do): array
    {
        $locked = [];
        $watches = true;
        $level = DB::transactionLevel();
        DB::listen(static function (QueryExecuted $query) use (&$locked, &$watches, $level): void {
            if ($watches && DB::transactionLevel() > $level) {
                $locked[] = $query->sql;
            }
        });
        $do();
        $watches = false;

        return $locked;
    }

    /**
     * @param  list<string>  $statements
     * @return list<string>
     */
    private static function onlyReads(array $statements, string $table): array
    {
        return array_values(array_filter(
            $statements,
            static fn (string $sql): bool => str_starts_with($sql, 'select') && str_contains($sql, $table),
        ));
    }
}
