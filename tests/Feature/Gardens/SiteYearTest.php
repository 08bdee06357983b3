<?php

declare(strict_types=1);

namespace Tests\Feature\Gardens;

use App\Ground\Bridge\NormalsText;
use App\Ground\Models\Plant;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Fault;
use Tests\Feature\FeatureTestCase;

/** The year of a garden's site: carried, typed, read from a file, drawn, and questioned where it cannot be. */
final class SiteYearTest extends FeatureTestCase
{
    private const OXFORD = '4.7 4.9 7.2 9.6 12.9 16.0 18.2 17.8 15.0 11.3 7.5 5.0';

    public function test_months_that_were_measured_move_what_follows_warmth(): void
    {
        config(['hook.today' => '2027-04-24']);
        $lilac = Plant::factory()->create(['garden_id' => $this->garden->id, 'kind' => 'lilac']);
        $this->actingAs($this->planner())->get("/plants/$lilac->id")->assertSee('Best 22 May to 3 Jul');
        $warmer = implode(' ', array_map(
            static fn (string $mean): string => (string) ((float) $mean + 2), explode(' ', self::OXFORD),
        ));
        $this->save(['normals' => $warmer])->assertSessionHasNoErrors();
        self::assertSame(6.7, $this->garden->refresh()->normals[0] ?? null);
        $this->get("/plants/$lilac->id")->assertSee('Best 1 May to 12 Jun');
        $this->get('/?kind=lilac')->assertOk();
        self::assertSame(
            Day::parse('2027-05-01')->number,
            (int) DB::table('season_tasks')->where('plant_id', $lilac->id)->where('task', 'after-flowering')
                ->where('season', 2027)->value('best_from'),
            'the lists follow',
        );
        $this->get("/gardens/{$this->garden->id}/edit")->assertSee('as given for this site')->assertSee('6.7 6.9');
        $this->save(['normals' => ''])->assertSessionHasNoErrors();
        self::assertNull($this->garden->refresh()->normals);
    }

    public function test_the_winter_is_told_by_the_months_where_nobody_says(): void
    {
        $this->actingAs($this->planner());
        $this->save(['winter' => ''])->assertSessionHasNoErrors();
        self::assertSame('', $this->garden->refresh()->winter);
        $this->get("/gardens/{$this->garden->id}/edit")->assertSee('Winter: cool');
        $cold = [...array_fill(0, 3, '-4'), ...array_fill(0, 6, '14'), '5', '0', '-3'];
        $this->save(['winter' => '', 'normals' => implode(' ', $cold)])->assertSessionHasNoErrors();
        $this->get("/gardens/{$this->garden->id}/edit")->assertSee('Winter: cold');
    }

    /** @param  array<string, string>  $said */
    #[DataProvider('impossible')]
    public function test_what_cannot_be_is_said_beside_its_field_and_nothing_is_kept(
        array $said,
        string $field,
        string $says,
    ): void {
        $this->actingAs($this->planner())->from("/gardens/{$this->garden->id}/edit");
        $this->save([...$said, 'name' => 'Another name'])->assertSessionHasErrors($field);
        self::assertStringContainsString($says, (string) session('errors')?->first($field));
        self::assertSame(['Millrace House', null], [$this->garden->refresh()->name, $this->garden->normals]);
        $this->get("/gardens/{$this->garden->id}/edit")->assertSee('Another name');
    }

    /** @return array<string, array{array<string, string>, string, string}> */
    public static function impossible(): array
    {
        $with = static fn (string $from, string $to): string => str_replace($from, $to, self::OXFORD);

        return [
            'July of 80 degrees' => [['normals' => $with('18.2', '80')], 'normals', 'Month 7 cannot be 80 degrees'],
            'eleven months' => [['normals' => $with(' 5.0', '')], 'normals', 'Twelve months are needed'],
            'a word' => [['normals' => $with('7.2', 'mild')], 'normals', '"mild" is no number of degrees'],
            'a southern year in the north' => [
                ['normals' => '20 20 18 15 12 10 9 10 12 14 16 18'], 'normals', 'warm when those of the north half',
            ],
            'no frosts, and no warm winter' => [
                ['winter' => '', 'last_frost' => '', 'first_frost' => ''], 'last_frost',
                'Only a garden with a warm winter',
            ],
            'out at sea' => [
                ['longitude' => '-30', 'latitude' => '45'], 'latitude', 'That is out at sea, or far from any garden',
            ],
            'a slipped sign' => [
                ['latitude' => '34.68', 'longitude' => '-150.9'], 'latitude', 'far from any garden: the nearest place',
            ],
            'the two the other way round' => [
                [
                    'latitude' => '-0.1', 'longitude' => '51.5', 'winter' => 'warm', 'last_frost' => '',
                    'first_frost' => '',
                ], 'latitude',
                'Did you mean 51.5, -0.1',
            ],
            'at a pole' => [['latitude' => '89'], 'latitude', 'That is near a pole'],
        ];
    }

    public function test_whoever_is_sure_of_an_odd_place_says_so(): void
    {
        $this->actingAs($this->planner());
        $this->save(['latitude' => '45', 'longitude' => '-30', 'sure' => '1'])->assertSessionHasNoErrors();
        self::assertSame(-30.0, $this->garden->refresh()->longitude);
    }

    public function test_months_are_read_from_a_file(): void
    {
        $this->actingAs($this->planner());
        $names = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
        $rows = array_map(
            static fn (string $month, string $mean): string => "$month;".str_replace('.', ',', $mean), $names,
            explode(' ', self::OXFORD),
        );
        $file = UploadedFile::fake()->createWithContent('year.csv', "\u{FEFF}Monat;Mittel\r\n".implode("\r\n", $rows));
        $this->save(['normals_file' => $file])->assertSessionHasNoErrors();
        self::assertSame([4.7, 5], [$this->garden->refresh()->normals[0] ?? null, $this->garden->normals[11] ?? null]);
        $broken = UploadedFile::fake()->createWithContent('year.csv', "Jan,4\nMar,7");
        $this->save(['normals_file' => $broken])->assertSessionHasErrors([
            'normals_file' => 'Month 2 is expected in the line "Mar,7".',
        ]);
    }

    public function test_twelve_figures_are_read_however_they_are_parted(): void
    {
        $year = array_map(floatval(...), explode(' ', self::OXFORD));
        $comma = str_replace('.', ',', self::OXFORD);
        foreach ([
            self::OXFORD, str_replace(' ', ', ', self::OXFORD), str_replace(' ', ';', $comma), $comma,
            implode("\n", explode(' ', self::OXFORD)),
            implode("\n", array_map(
                static fn (int $month, string $mean): string => "$month,$mean", range(1, 12),
                explode(' ', self::OXFORD),
            )),
        ] as $text) {
            self::assertSame($year, NormalsText::read($text)->means, $text);
        }
        self::assertSame(-9.1, NormalsText::read("\u{2212}9.1 ".substr(self::OXFORD, 4))->means[0]);
        $this->expectException(Fault::class);
        NormalsText::read('4,7');
    }

    public function test_the_year_is_drawn_as_it_is_written_down(): void
    {
        $this->actingAs($this->planner());
        $at = [
            'latitude' => '51.9', 'longitude' => '-1.4', 'elevation_m' => '263', 'last_frost' => '05-20',
            'first_frost' => '10-10', 'winter' => '', 'normals' => '',
        ];
        $ask = fn (array $more): TestResponse => $this->get(
            '/site-year?'.http_build_query([...$at, ...$more]), ['Accept' => 'application/json'],
        );
        $ask([])->assertOk()->assertSee('carried from Oxford, 18 km away and 200 m lower')->assertSee('last frost');
        $ask(['latitude' => '34.0', 'longitude' => '-118.2', 'last_frost' => '', 'first_frost' => ''])
            ->assertOk()->assertSee('Winter: warm')->assertDontSee('hard cold');
        $ask(['normals' => '1 2 3'])->assertUnprocessable()
            ->assertJsonPath('message', 'Twelve months are needed, January to December, not 3.');
        $ask(['last_frost' => '13-45'])->assertUnprocessable();
        $ask(['latitude' => ''])->assertUnprocessable();
    }

    /** @param  array<string, mixed>  $facts */
    private function save(array $facts): TestResponse
    {
        return $this->put("/gardens/{$this->garden->id}", [
            ...$this->garden->only(['name', 'client', 'latitude', 'longitude', 'elevation_m', 'last_frost',
                'first_frost', 'winter']),
            ...$facts,
        ]);
    }
}
