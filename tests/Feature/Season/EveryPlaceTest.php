<?php

declare(strict_types=1);

namespace Tests\Feature\Season;

use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use App\Knowledge\PlantBookFiles;
use App\Knowledge\ReferenceSites;
use PHPUnit\Framework\Attributes\DataProvider;
use PruningHook\Core\Calendar\Site;
use Tests\Core\Prescription\EveryPlaceTest as CoreEveryPlaceTest;
use Tests\Feature\FeatureTestCase;
use Tests\Support\TestBook;

/**
 * Every kind at twenty places on four days, through the pages: no page goes down, and what cannot be worked out says
 * why.
 */
final class EveryPlaceTest extends FeatureTestCase
{
    /** Each place opens the page of one kind in so many; between them they open every kind. */
    private const ONE_IN = 20;

    #[DataProvider('places')]
    public function test_wall_garden_plant_and_kind_show_every_kind_there(Site $site, int $number): void
    {
        $this->garden->delete();
        $garden = Garden::factory()->create([
            'latitude' => $site->latitude,
            'longitude' => $site->longitude,
            'elevation_m' => $site->elevationM,
            'winter' => $site->winter->value,
            'last_frost' => $site->lastFrost === null ? null : (string) $site->lastFrost,
            'first_frost' => $site->firstFrost === null ? null : (string) $site->firstFrost,
        ]);
        $kinds = array_keys(TestBook::read()->names);
        Plant::query()->insert(
            array_map(
                static fn (string $kind): array => [
                    'garden_id' => $garden->id,
                    'kind' => $kind,
                    'label' => "The $kind",
                    'count' => 1,
                    'hazards' => '[]',
                    'practice' => '{}',
                ],
                $kinds,
            ),
        );
        $this->actingAs($this->planner());
        foreach (CoreEveryPlaceTest::DAYS as $turn => $day) {
            config(['hook.today' => $day]);
            $this->get('/')->assertOk()->assertSee($garden->name);
            $this->get("/season/groups/$garden->id?rows=".(1 + $turn))
                ->assertOk()
                ->assertSee('class="drawing"', false);
            $rows = 0;
            for ($at = 1; $at <= ceil(count($kinds) / 150); $at++) {
                $page = $this->get("/gardens/$garden->id?plants=$at")->assertOk()->getContent();
                $rows += substr_count((string) $page, 'class="wall-row"');
            }
            self::assertSame(count($kinds), $rows, 'each of its plants has a row');
            foreach (Plant::query()->get() as $index => $plant) {
                if ($index % self::ONE_IN === $number && intdiv($index, self::ONE_IN) % 4 === $turn) {
                    $this->get("/plants/$plant->id")
                        ->assertOk()
                        ->assertSee("The $plant->kind");
                    $this->get("/plant-book/$plant->kind?garden=$garden->id")->assertOk();
                }
            }
        }
    }

    /** @return array<string, array{Site, int}> */
    public static function places(): array
    {
        $sites = (new ReferenceSites(
            new PlantBookFiles(dirname(__DIR__, 3).'/plant-book', sys_get_temp_dir()),
        ))->all();

        return array_combine(
            array_keys($sites),
            array_map(
                static fn (Site $site, int $number): array => [$site, $number],
                $sites,
                range(0, count($sites) - 1),
            ),
        );
    }
}
