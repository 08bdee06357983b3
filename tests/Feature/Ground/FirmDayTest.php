<?php

declare(strict_types=1);

namespace Tests\Feature\Ground;

use App\Ground\Models\WorkLog;
use App\Ground\Support\Say;
use App\Ground\Support\Today;
use Illuminate\Support\Carbon;
use PHPUnit\Framework\Attributes\DataProvider;
use PruningHook\Core\Fault;
use Symfony\Component\Process\Process;
use Tests\Feature\FeatureTestCase;

/** The firm's own day begins and ends by its own clock, through the nights in which clocks are changed. */
final class FirmDayTest extends FeatureTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        config(['hook.today' => null]);
    }

    protected function tearDown(): void
    {
        Carbon::setTestNow();
        parent::tearDown();
    }

    /**
     * By the rules in force (IANA time zone database; from memory): New Zealand and New South Wales go back on the
     * first Sunday of April, California goes forward on the second of March, Britain on the last of March.
     *
     * @return array<string, array{string, string, string, string}> zone, moment in UTC, day and time there
     */
    public static function nights(): array
    {
        return [
            'Auckland, the night before' => ['Pacific/Auckland', '2027-04-03 11:30', '2027-04-04', '00:30'],
            'Auckland, late that day' => ['Pacific/Auckland', '2027-04-04 11:45', '2027-04-04', '23:45'],
            'Auckland, the next day' => ['Pacific/Auckland', '2027-04-04 12:15', '2027-04-05', '00:15'],
            'Sydney, the night before' => ['Australia/Sydney', '2027-04-03 13:30', '2027-04-04', '00:30'],
            'Sydney, late that day' => ['Australia/Sydney', '2027-04-04 13:30', '2027-04-04', '23:30'],
            'Los Angeles, the night before' => ['America/Los_Angeles', '2027-03-14 07:30', '2027-03-13', '23:30'],
            'Los Angeles, late that day' => ['America/Los_Angeles', '2027-03-15 06:30', '2027-03-14', '23:30'],
            'Los Angeles, the next day' => ['America/Los_Angeles', '2027-03-15 07:30', '2027-03-15', '00:30'],
            'London, the night before' => ['Europe/London', '2027-03-27 23:30', '2027-03-27', '23:30'],
            'London, the night after' => ['Europe/London', '2027-03-28 23:30', '2027-03-29', '00:30'],
        ];
    }

    public function test_things_that_hold_commas_are_told_apart_by_semicolons(): void
    {
        self::assertSame('secateurs, ladder', Say::list(['secateurs', 'ladder']));
        self::assertSame('bleach 1:9, fresh; ladder', Say::list(['bleach 1:9, fresh', 'ladder']));
        self::assertSame('', Say::list([]));
    }

    #[DataProvider('nights')]
    public function test_today_is_the_firms_day(string $zone, string $moment, string $day, string $time): void
    {
        config(['hook.time_zone' => $zone]);
        Carbon::setTestNow(Carbon::parse($moment, 'UTC'));
        self::assertSame($day, (string) Today::day());
        self::assertSame($time, Say::time(Carbon::now()));
        $this->actingAs($this->planner())->get('/')->assertSee(Say::longDate(Today::day()));
    }

    public function test_what_is_logged_is_done_today_or_on_a_day_that_was_said(): void
    {
        config(['hook.time_zone' => 'Pacific/Auckland']);
        Carbon::setTestNow(Carbon::parse('2027-02-20 12:30', 'UTC'));
        $task = $this->visitTask();
        $log = fn (array $more) => $this->actingAs($this->hand())
            ->put("/tasks/$task->id/log", ['outcome' => 'done', 'minutes' => 30, ...$more]);
        $log([])->assertSessionHasNoErrors();
        self::assertSame('2027-02-21', (string) WorkLog::query()->sole()->on);
        foreach (
            [
                '2027-02-22' => 'Nothing is done on a day that has not come.',
                'Monday' => 'That is not a day of the calendar.',
                '2027-02-30' => 'That is not a day of the calendar.',
                '1999-01-01' => 'It was only planted on 1 Mar 2015.',
            ] as $on => $says
        ) {
            $log(['on' => $on])->assertSessionHasErrors(['on' => $says], null, "task$task->id");
        }
        self::assertSame('2027-02-21', (string) WorkLog::query()->sole()->on);
        $log(['on' => '2027-02-18'])->assertSessionHasNoErrors();
        self::assertSame('2027-02-18', (string) WorkLog::query()->sole()->on);
        $this->get("/visits/$task->visit_id")->assertSee('name="on" max="2027-02-21"', false)
            ->assertSee('value="2027-02-18"', false);
    }

    public function test_a_zone_that_is_none_stops_the_start_in_words(): void
    {
        $start = new Process([PHP_BINARY, 'artisan', 'about'], base_path(), ['HOOK_TIME_ZONE' => 'Europe/Nowhere']);
        $start->run();
        self::assertNotSame(0, $start->getExitCode());
        self::assertStringContainsString(
            'HOOK_TIME_ZONE is "Europe/Nowhere", which is no time zone.',
            (string) preg_replace('/\s+/', ' ', $start->getOutput().$start->getErrorOutput()),
        );
        config(['hook.time_zone' => ['London']]);
        $this->expectException(Fault::class);
        Today::day();
    }
}
