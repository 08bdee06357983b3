<?php

declare(strict_types=1);

namespace Tests\Feature\Io;

use App\Ground\Bridge\JsonSchema;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\PlantBook\Kind;
use Symfony\Component\Process\Process as Child;
use Tests\Support\TestBook;

/** ./hook prescribe, run as a person runs it. */
final class PrescribeCommandTest extends TestCase
{
    private const SITE = [
        'latitude' => 51.5,
        'longitude' => -1.2,
        'elevation_m' => 90,
        'last_frost' => '04-22',
        'first_frost' => '10-28',
        'winter' => 'cool',
    ];

    public function test_all_kinds_answer_in_the_documented_shape(): void
    {
        $plants = array_values(
            array_map(
                static fn (Kind $kind): array => [
                    'ref' => $kind->id,
                    'kind' => $kind->botanical,
                    'planted' => '2015-03-01',
                    'height_mm' => 2000,
                    'sure' => true,
                    'stems' => ['old' => 9, 'young' => 4],
                ],
                TestBook::read()->all(),
            ),
        );
        $run = $this->prescribe([
            'season' => 2027,
            'site' => self::SITE,
            'practice' => ['crape-myrtle-height' => 'natural'],
            'plants' => $plants,
        ]);
        self::assertSame([0, ''], [$run->getExitCode(), $run->getErrorOutput()]);
        $answer = json_decode($run->getOutput());
        self::assertSame(
            [],
            JsonSchema::fromFile($this->root().'/docs/formats/prescription.schema.json')->faults($answer),
        );
        self::assertIsObject($answer);
        self::assertSame(array_column($plants, 'ref'), array_column($answer->prescriptions, 'ref'));
    }

    public function test_all_that_can_be_said_of_a_plant_is_taken_and_counts_may_be_given_in_part(): void
    {
        $said = [
            'condition' => 'congested',
            'dieback_percent' => 10,
            'variegated' => true,
            'transplanted' => '2018-11-01',
            'disease' => 'honey fungus',
            'stress' => 'drought',
            'container' => true,
            'cultivar' => 'Sensation',
            'trunk_mm' => 40,
            'boundary' => true,
            'exposed' => true,
            'stems' => ['old' => 4],
        ];
        $run = $this->prescribe([
            'season' => 2027,
            'site' => self::SITE,
            'plants' => [
                ['ref' => 'p1', 'kind' => 'lilac', ...$said],
                [
                    'ref' => 'p2',
                    'kind' => 'yew',
                    'run_mm' => 9000,
                    'target_height_mm' => 1500,
                    'width_mm' => 600,
                    'sides' => 1,
                ],
                ['ref' => 'p3', 'kind' => 'apple', 'height_mm' => 3000, 'bearing' => 'tip', 'rootstock' => 'vigorous',
                    'protected' => true],
            ],
        ]);
        self::assertSame([0, ''], [$run->getExitCode(), $run->getErrorOutput()]);
        $answer = $run->getOutput();
        self::assertSame(
            [],
            JsonSchema::fromFile($this->root().'/docs/formats/prescription.schema.json')->faults(
                json_decode($answer),
            ),
        );
        foreach (
            [
                '10 % of it has died back', 'Water it deeply', 'plain green shoot', 'Honey fungus',
                'Hold the top to 60 cm', 'is protected',
            ] as $words
        ) {
            self::assertStringContainsString($words, $answer);
        }
    }

    public function test_the_worked_example_of_the_documentation_holds(): void
    {
        $run = new Child(['./hook', 'prescribe', 'docs/formats/example-input.json'], $this->root());
        $run->run();
        self::assertSame(0, $run->getExitCode(), $run->getErrorOutput());
        self::assertJsonStringEqualsJsonFile($this->root().'/docs/formats/example-output.json', $run->getOutput());
    }

    public function test_courses_are_grown_on_where_they_are_asked_for(): void
    {
        $run = new Child(['./hook', 'prescribe', 'docs/formats/example-input.json', '--courses'], $this->root());
        $run->run();
        self::assertSame([0, ''], [$run->getExitCode(), $run->getErrorOutput()]);
        $answer = json_decode($run->getOutput());
        self::assertSame(
            [], JsonSchema::fromFile($this->root().'/docs/formats/prescription.schema.json')->faults($answer),
        );
        $grown = json_decode($run->getOutput(), true);
        self::assertIsArray($grown);
        $with = array_filter(
            array_merge(...array_column($grown['prescriptions'], 'tasks')),
            static fn (array $task): bool => isset($task['courses']),
        );
        self::assertNotSame([], $with);
        foreach ($with as $task) {
            self::assertSame(['leave', 'usual'], array_slice(array_column($task['courses'], 'key'), 0, 2));
            self::assertCount(6, $task['courses'][0]['moments']);
            self::assertStringStartsWith('typical growth', $task['courses_rest_on']);
        }
    }

    public function test_an_unknown_plant_is_told_for_itself_and_the_others_go_on(): void
    {
        $ask = fn (string ...$kinds): Child => $this->prescribe([
            'season' => 2027, 'site' => self::SITE, 'plants' => array_map(
                static fn (string $kind, int $index): array => ['ref' => "p$index", 'kind' => $kind], $kinds,
                array_keys($kinds),
            ),
        ]);
        $run = $ask('wistria', "Syringa vulgaris 'Charles Joly'", 'clematis', 'cosmos');
        self::assertSame(0, $run->getExitCode(), $run->getErrorOutput());
        /** @var array{prescriptions: list<array{ref: string, kind: array{id: string}}>, faults: list<mixed>} $told */
        $told = json_decode($run->getOutput(), true, flags: JSON_THROW_ON_ERROR);
        self::assertSame(
            [['p1', 'lilac']],
            array_map(static fn (array $one): array => [$one['ref'], $one['kind']['id']], $told['prescriptions']),
        );
        self::assertSame([
            [
                'path' => '$.plants[0].kind',
                'because' => 'the plant book has no kind "wistria"; did you mean "wisteria"?',
                'suggestions' => ['Wisteria'],
            ],
            [
                'path' => '$.plants[2].kind',
                'because' => 'the plant book has no kind "clematis": Which group of clematis: small flowers in spring, '
                    .'large flowers in early summer, or flowers from midsummer on?',
                'suggestions' => array_map(
                    static fn (string $id): string => TestBook::read()->nameOf($id),
                    ['large-clematis', 'late-clematis', 'mountain-clematis', 'alpine-clematis', 'armand-clematis'],
                ),
            ],
            [
                'path' => '$.plants[3].kind',
                'because' => 'the plant book has no kind "cosmos"; until it has a name it may be given as '
                    .'unnamed-shrub, unnamed-tree, unnamed-climber or unnamed-perennial: dead wood only',
                'suggestions' => [],
            ],
        ], $told['faults']);
        $none = $ask('wistria');
        self::assertSame(2, $none->getExitCode());
        self::assertStringContainsString('"prescriptions": []', $none->getOutput());
        self::assertSame(
            '$.plants[0].kind: the plant book has no kind "wistria"; did you mean "wisteria"?',
            trim($none->getErrorOutput()),
        );
    }

    public function test_find_prints_what_a_name_may_stand_for(): void
    {
        $find = function (string $name): array {
            $run = new Child(['./hook', 'find', $name], $this->root());
            $run->run();
            self::assertSame(0, $run->getExitCode(), $run->getErrorOutput());

            return (array) json_decode($run->getOutput(), true, flags: JSON_THROW_ON_ERROR);
        };
        self::assertSame(['matches' => [[
            'id' => 'rosemary', 'name' => 'Rosemary', 'botanical' => 'Salvia rosmarinus',
            'because' => 'also called Rosmarinus officinalis', 'ask' => null,
        ]]], $find('rosmarinus officinalis'));
        self::assertSame(['matches' => []], $find('xyzzy'));
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('faults')]
    public function test_each_fault_is_one_line_with_its_path(array $input, string $line): void
    {
        $run = $this->prescribe(
            array_replace_recursive(
                ['season' => 2027, 'site' => self::SITE, 'plants' => [['ref' => 'p1', 'kind' => 'wisteria']]],
                $input,
            ),
        );
        self::assertSame([2, ''], [$run->getExitCode(), $run->getOutput()]);
        self::assertSame([$line], explode("\n", trim($run->getErrorOutput())));
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function faults(): array
    {
        return [
            'an unknown disease' => [
                ['plants' => [['disease' => 'the dwindles', 'kind' => 'lilac']]],
                '$.plants[0].disease: no disease is known as "the dwindles"; known are '.
                implode(', ', array_column(TestBook::read()->states->diseases, 'name')),
            ],
            'die-back of more than all' => [
                ['plants' => [['dieback_percent' => 120]]],
                '$.plants[0].dieback_percent: must be at most 100',
            ],
            'moved in the future' => [
                ['today' => '2027-02-01', 'plants' => [['transplanted' => '2027-03-01']]],
                '$.plants[0].transplanted: 2027-03-01 is in the future of 2027-02-01',
            ],
            'an impossible date' => [
                ['plants' => [['planted' => '2020-02-30']]],
                '$.plants[0].planted: 2020-02-30 is not a day of the calendar',
            ],
            'an impossible frost' => [
                ['site' => ['last_frost' => '02-30']],
                '$.site.last_frost: "02-30" is not a day of any year',
            ],
            'a wrong type' => [
                ['plants' => [['height_mm' => 'tall']]],
                '$.plants[0].height_mm: is string, but must be integer or null',
            ],
            'a negative length' => [['plants' => [['height_mm' => -4]]], '$.plants[0].height_mm: must be at least 0'],
            'an unknown field' => [
                ['plants' => [['heigth_mm' => 4]]],
                '$.plants[0].heigth_mm: no such field is known here',
            ],
            'an unknown winter' => [
                ['site' => ['winter' => 'mild']],
                '$.site.winter: is not one of the values allowed here',
            ],
            'an unknown school' => [
                ['practice' => ['crape-myrtle-height' => 'topping']],
                '$.practice: "topping" is not an answer to "crape-myrtle-height": choose natural or heading',
            ],
            'a plant of the future' => [
                ['plants' => [['planted' => '2029-01-01']]],
                '$.plants[0].planted: planted on 2029-01-01, after season 2027 is over',
            ],
            'a task it does not have' => [
                [
                    'plants' => [
                        [
                            'history' => [
                                ['task' => 'mowing', 'season' => 2026, 'on' => '2026-01-01', 'outcome' => 'done'],
                            ],
                        ],
                    ],
                ],
                '$.plants[0].history[0].task: wisteria has no task "mowing"',
            ],
        ];
    }

    public function test_several_faults_are_all_told(): void
    {
        $run = $this->prescribe(['season' => 'x', 'site' => self::SITE, 'plants' => [['kind' => 'box']]]);
        self::assertSame(
            ['$.season: is string, but must be integer', '$.plants[0].ref: is missing'],
            explode("\n", trim($run->getErrorOutput())),
        );
    }

    public function test_what_is_not_json_or_not_there_is_told(): void
    {
        $run = new Child(['./hook', 'prescribe', '-'], $this->root(), input: '{');
        $run->run();
        self::assertSame([2, '$: is not JSON: Syntax error'], [$run->getExitCode(), trim($run->getErrorOutput())]);
        $run = new Child(['./hook', 'prescribe', 'nowhere.json'], $this->root());
        $run->run();
        self::assertSame(
            [2, 'nowhere.json: no such file, or not readable'],
            [$run->getExitCode(), trim($run->getErrorOutput())],
        );
    }

    public function test_observations_move_the_season_and_are_questioned(): void
    {
        $seen = [
            ['event' => 'forsythia-bloom', 'date' => '2027-03-06'],
            ['event' => 'plum-bloom', 'date' => '2027-03-18'],
        ];
        $ask = fn (array $more): Child => $this->prescribe([
            'season' => 2027,
            'site' => self::SITE,
            'plants' => [['ref' => 'l', 'kind' => 'lilac']],
            ...$more,
        ]);
        self::assertStringContainsString('"best_from": "2027-05-22"', $ask([])->getOutput());
        self::assertStringContainsString(
            '"best_from": "2027-05-12"',
            $ask(['observations' => $seen, 'today' => '2027-04-01'])->getOutput(),
        );
        $wrong = $ask([
            'today' => '2027-03-05',
            'observations' => [
                ['event' => 'forsythia-bloom', 'date' => '2026-03-02'],
                ['event' => 'plum-bloom', 'date' => '2027-03-15'],
            ],
        ]);
        self::assertSame(2, $wrong->getExitCode());
        self::assertSame(
            [
                '$.observations[0]: forsythia-bloom on 2026-03-02 is 379 days from the usual 2027-03-16; did you '
                    .'mean 2027-03-02?',
                '$.observations[1].date: 2027-03-15 is in the future of 2027-03-05',
            ],
            explode("\n", trim($wrong->getErrorOutput())),
        );
    }

    /** @param  list<string>  $arguments */
    #[DataProvider('windows')]
    public function test_the_window_command_tells_a_day(array $arguments, int $exit, string $says): void
    {
        $site = tempnam(sys_get_temp_dir(), 'site');
        self::assertIsString($site);
        file_put_contents($site, (string) json_encode(self::SITE));
        $run = new Child(['./hook', 'window', ...str_replace('SITE', $site, $arguments)], $this->root());
        $run->run();
        unlink($site);
        self::assertSame($exit, $run->getExitCode());
        self::assertStringContainsString($says, $run->getOutput().$run->getErrorOutput());
    }

    /** @return array<string, array{list<string>, int, string}> */
    public static function windows(): array
    {
        return [
            'a cost' => [['forsythia', '--site', 'SITE', '--day', '2027-01-20'], 0, '"state": "at-a-cost"'],
            'a best day' => [['Wisteria sinensis', '--site', 'SITE', '--day', '2027-01-20'], 0, '"state": "best"'],
            'the end of the year belongs to the season running out' => [
                ['sour cherry', '--site', 'SITE', '--day', '2027-12-01'], 0, '"state": "closed"',
            ],
            'an unknown kind' => [['wistria', '--site', 'SITE', '--day', '2027-01-20'], 2, 'did you mean "wisteria"?'],
            'no such day' => [
                ['wisteria', '--site', 'SITE', '--day', '2027-02-30'], 2,
                '--day: 2027-02-30 is not a day of the calendar',
            ],
            'no site' => [['wisteria', '--day', '2027-02-20'], 2, '--site: a JSON file is needed'],
            'no such file' => [
                ['wisteria', '--site', 'nowhere.json', '--day', '2027-02-20'], 2,
                'nowhere.json is not a readable JSON file',
            ],
        ];
    }

    /** @param  array<string, mixed>  $input */
    private function prescribe(array $input): Child
    {
        $run = new Child(['./hook', 'prescribe'], $this->root(), input: (string) json_encode($input));
        $run->run();

        return $run;
    }

    private function root(): string
    {
        return dirname(__DIR__, 3);
    }
}
