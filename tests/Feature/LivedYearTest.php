<?php

declare(strict_types=1);

namespace Tests\Feature;

use Database\Seeders\DemoSeeder;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use PruningHook\Core\Calendar\Day;
use Tests\Benchmark\Door;
use Tests\Benchmark\LivedYear;

/**
 * A year of the demo's firm over the product's own doors, as `./hook bench year` carries it: nothing is refused that
 * was offered, every plan accepted, nothing due that cannot be planned, nothing planned that is lost. In two halves, so
 * that they run side by side; `./hook bench year 5` lives through five years in one.
 */
final class LivedYearTest extends FeatureTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        DB::table('gardens')->delete();
        DB::table('crews')->delete();
        config(['queue.default' => 'database', 'queue.letters' => null, 'cache.default' => 'array']);
        Door::unlock($this->app);
    }

    #[DataProvider('halves')]
    public function test_a_firm_lives_through_half_a_year(string $from, int $days): void
    {
        config(['hook.today' => $from]);
        $this->seed(DemoSeeder::class);
        $told = [];
        $year = new LivedYear($this->app, static function (string $line) use (&$told): void {
            $told[] = $line;
        });
        $year->live(Day::parse($from), $days);
        self::assertSame([], $year->broken);
        self::assertStringContainsString('plans accepted', $told[0] ?? '');
        self::assertGreaterThan(100, DB::table('work_logs')->count());
    }

    /** @return iterable<string, array{string, int}> */
    public static function halves(): iterable
    {
        yield 'autumn to spring' => ['2026-11-02', 182];
        yield 'spring to autumn' => ['2027-05-03', 183];
    }
}
