<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Ground\Bridge\JsonSchema;
use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use App\Ground\Support\LengthField;
use App\Ground\Support\Say;
use App\Ground\Support\Today;
use PHPUnit\Framework\Attributes\DataProvider;
use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Fault;
use RuntimeException;

/** The product's edges: how it says days and lengths, reads today, checks JSON, and carries a large book. */
final class EdgeTest extends FeatureTestCase
{
    public function test_an_amount_says_its_unit_once_and_never_asks_for_nought(): void
    {
        $said = static fn (Amount $amount): string => implode(' ', Say::amountLine($amount));
        self::assertSame(
            [
                '3 to 5 old stems to take out; 3 is best', 'up to 1 mains to take out; none is best',
                '2 to 3 buds per lateral; 2 is best', '6 stems to keep',
                '45 cm to 60 cm height of the cut; 50 cm is best',
                'up to 25 % of the live growth; 20 % is best',
            ],
            [
                $said(Amount::of('old stems to take out', 'stems', 3, 3, 5)),
                $said(Amount::of('mains to take out', 'mains', 0, 0, 1)),
                $said(Amount::of('buds per lateral', 'buds', 2, 2, 3)),
                $said(Amount::exactly('stems to keep', 'stems', 6)),
                $said(Amount::of('height of the cut', 'mm', 450, 500, 600)),
                $said(Amount::of('of the live growth', '%', 0, 20, 25)),
            ],
        );
    }

    public function test_days_are_said_shortly_and_with_the_year_only_where_it_differs(): void
    {
        self::assertSame(['14 Mar', '14 Mar 2026'], [Say::date('2027-03-14'), Say::date('2026-03-14')]);
        self::assertSame(
            ['today', 'tomorrow', 'yesterday', 'in 9 days', '9 days ago'],
            array_map(Say::days(...), [0, 1, -1, 9, -9]),
        );
        self::assertSame(['89 min', '1 h 30 min', '2 h'], array_map(Say::minutes(...), [89, 90, 120]));
        self::assertNull(Say::length(null));
    }

    #[DataProvider('lengths')]
    public function test_lengths_are_asked_for_in_the_unit_that_fits(
        Amount $amount,
        string $unit,
        int $kept,
        int $shown,
    ): void {
        self::assertSame($unit, LengthField::unit($amount));
        self::assertSame($shown, LengthField::shown($amount, $kept));
        self::assertSame($kept, LengthField::kept($amount, $shown));
    }

    /** @return array<string, array{Amount, string, int, int}> */
    public static function lengths(): array
    {
        $amount = static fn (string $unit, int $max): Amount => Amount::of('x', $unit, 0, 0, $max);

        return [
            'half a metre' => [$amount('mm', 500), 'cm', 480, 48],
            'a thumb of hedge' => [$amount('mm', 20), 'mm', 15, 15],
            'buds' => [$amount('buds', 3), 'buds', 2, 2],
        ];
    }

    public function test_today_is_the_clocks_unless_a_day_is_set(): void
    {
        self::assertSame('2027-02-20', (string) Today::day());
        config(['hook.today' => null]);
        self::assertSame('2027-02-20', (string) Today::day());
        config(['hook.today' => '2031-12-31']);
        self::assertSame('2031-12-31', (string) Today::day());
        config(['hook.today' => 'soon']);
        $this->expectException(Fault::class);
        Today::day();
    }

    /** @param  list<string>  $faults */
    #[DataProvider('documents')]
    public function test_a_schema_tells_each_fault_with_its_path(string $json, array $faults): void
    {
        $file = tempnam(sys_get_temp_dir(), 'schema');
        self::assertIsString($file);
        file_put_contents(
            $file,
            '{"type": "object", "required": ["name"], "additionalProperties": false, "properties": {"name": '
                .'{"type": "string", "minLength": 1},'.
                '"rows": {"type": "array", "items": {"type": "object", "properties": {"n": {"type": "integer", '
                    .'"minimum": 1, "maximum": 9}, "kind": {"enum": ["a", "b"]}}}}}}',
        );
        $found = JsonSchema::fromFile($file)->faults(json_decode($json));
        unlink($file);
        self::assertSame($faults, $found);
    }

    /** @return array<string, array{string, list<string>}> */
    public static function documents(): array
    {
        return [
            'sound' => ['{"name": "x", "rows": [{"n": 4, "kind": "a"}]}', []],
            'a missing field' => ['{"rows": []}', ['$.name: is missing']],
            'an empty text' => ['{"name": ""}', ['$.name: must not be empty']],
            'an unknown field' => ['{"name": "x", "nmae": "y"}', ['$.nmae: no such field is known here']],
            'deep inside' => [
                '{"name": "x", "rows": [{"n": 1}, {"n": 0}, {"n": 10}, {"n": "1"}, {"kind": "c"}]}',
                [
                    '$.rows[1].n: must be at least 1', '$.rows[2].n: must be at most 9',
                    '$.rows[3].n: is string, but must be integer',
                    '$.rows[4].kind: is not one of the values allowed here',
                ],
            ],
            'not an object at all' => ['[]', ['$: is array, but must be object']],
        ];
    }

    public function test_a_schema_that_is_not_there_is_told(): void
    {
        $this->expectException(RuntimeException::class);
        JsonSchema::fromFile('/nowhere.json');
    }

    public function test_four_hundred_plants_in_twelve_gardens_stand_on_one_wall_with_few_queries(): void
    {
        $kinds = ['wisteria', 'forsythia', 'bush-rose', 'box-hedge', 'grape-vine', 'sour-cherry', 'lilac', 'lavender'];
        foreach (range(1, 11) as $number) {
            Garden::factory()->create(['name' => "Garden $number"]);
        }
        $rows = [];
        foreach (range(1, 399) as $number) {
            $rows[] = [
                'garden_id' => 1 + $number % 12,
                'kind' => $kinds[$number % 8],
                'label' => "Plant $number",
                'count' => 1,
                'hazards' => '[]',
                'practice' => '{}',
            ];
        }
        Plant::query()->insert($rows);
        // The first look works out what is due; from then on it is only read.
        $this->actingAs($this->planner())->get('/?by=garden')->assertOk();
        $queries = 0;
        $this->app['db']->listen(static function () use (&$queries): void {
            $queries++;
        });
        $page = $this->get('/?by=garden')->assertOk();
        self::assertSame(12, substr_count((string) $page->getContent(), 'class="drawing"'), 'one line a garden');
        self::assertLessThan(36, $queries, 'the number of queries must not grow with the plants');
        $rows = 0;
        foreach (Garden::query()->pluck('id') as $garden) {
            $rows += substr_count(
                (string) $this->get("/season/groups/$garden?by=garden")
                    ->assertOk()
                    ->getContent(),
                'class="drawing"',
            );
        }
        self::assertSame(400, $rows, 'each line unfolds into its own plants');
    }

    public function test_the_wall_gathers_by_what_presses_most(): void
    {
        Plant::query()->delete();
        foreach (['wisteria' => 'Winter', 'lilac' => 'Later'] as $kind => $label) {
            Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => $kind, 'label' => $label]);
        }
        $this->actingAs($this->planner())
            ->get('/?by=urgency')
            ->assertOk()
            ->assertSeeInOrder(['The year by urgency', 'Open now', 'Winter', 'Later']);
        $this->get('/season/groups/open?by=urgency')->assertSee('Winter')->assertDontSee('Later');
    }
}
