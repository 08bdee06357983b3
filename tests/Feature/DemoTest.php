<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use App\Ground\Models\Visit;
use App\Ground\Models\WorkLog;
use Database\Seeders\DemoSeeder;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;

/** The demo is alive on any day of the year: something is due, something is planned, two years are logged. */
final class DemoTest extends FeatureTestCase
{
    /**
     * The kinds that show each sort of work: two passes, thirds, flowering heights, hedges, canes, closures, young
     * plants.
     */
    private const KINDS = [
        'wisteria', 'bush-rose', 'climbing-rose', 'rambling-rose', 'crape-myrtle', 'butterfly-bush', 'forsythia',
        'box-hedge', 'blackberry', 'grape-vine', 'hardy-kiwi-female', 'hardy-kiwi-male', 'sweet-pepperbush',
        'bluebeard', 'panicle-hydrangea', 'sour-cherry', 'ornamental-cherry', 'blackcurrant',
    ];

    #[DataProvider('days')]
    public function test_the_demo_is_alive(string $today): void
    {
        DB::table('gardens')->delete();
        DB::table('crews')->delete();
        config(['hook.today' => $today]);
        $this->seed(DemoSeeder::class);
        self::assertSame(6, Garden::query()->count());
        self::assertGreaterThanOrEqual(55, Plant::query()->count());
        self::assertSame([], array_diff(self::KINDS, Plant::query()->pluck('kind')->all()));
        self::assertGreaterThan(0, Visit::query()->whereDate('on', '>=', $today)->count());
        self::assertGreaterThan(80, WorkLog::query()->count());
        $season = $this->actingAs($this->planner())->get('/')->assertOk();
        $season->assertSee('days left');
        foreach (Plant::query()->pluck('id') as $id) {
            $this->get("/plants/$id")->assertOk();
        }
    }

    /** @return list<array{string}> */
    public static function days(): array
    {
        return [['2026-01-05'], ['2026-03-30'], ['2026-06-21'], ['2026-09-30'], ['2026-11-24'], ['2028-02-29']];
    }
}
