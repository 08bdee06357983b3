<?php

declare(strict_types=1);

namespace Tests\Feature\Io;

use App\Ground\Bridge\InputFaults;
use App\Ground\Bridge\JsonSchema;
use App\Io\Json\PlanInput;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\PlanInstances;

/** `./hook plan`, as it is run: what it prints, and how it refuses. */
final class PlanCommandTest extends TestCase
{
    public function test_a_whole_number_may_be_written_as_a_fraction_and_none_is_too_large_to_be_exact(): void
    {
        $root = dirname(__DIR__, 3).'/docs/formats';
        $schema = JsonSchema::fromFile("$root/plan-input.schema.json");
        $given = (string) file_get_contents("$root/example-plan-input.json");
        $seed = static fn (string $seed): string => (string) preg_replace('/"seed":\s*\d+/', '"seed": '.$seed, $given);
        self::assertSame(7, PlanInput::read($seed('7.0'), $schema)->seed);
        foreach (['1e300', '99999999999999999999999', '-9223372036854775809'] as $large) {
            try {
                PlanInput::read($seed($large), $schema);
                self::fail("$large was taken");
            } catch (InputFaults $faults) {
                self::assertSame(['$.seed: no number as large as that can be meant'], $faults->faults);
            }
        }
    }

    public function test_it_prints_a_plan_in_its_own_schema_and_the_same_each_time(): void
    {
        $given = PlanInstances::of(9);
        $given['iterations'] = 200;
        [$code, $out, $err] = self::asked($given);
        self::assertSame([0, ''], [$code, $err]);
        $plan = json_decode($out);
        self::assertSame([], self::schema('plan.schema.json')->faults($plan));
        self::assertSame(200, $plan->iterations);
        self::assertGreaterThan(0, $plan->seconds);
        self::assertLessThan(100, $plan->seconds);
        [, $again] = self::asked($given);
        $same = static fn (string $json): string => (string) preg_replace('/"(seconds|peak_mb)": [\d.]+/', '', $json);
        self::assertSame($same($out), $same($again));
    }

    public function test_the_example_of_the_docs_is_what_it_prints(): void
    {
        $given = json_decode((string) file_get_contents(self::docs('example-plan-input.json')), true);
        [$code, $out] = self::asked($given);
        self::assertSame(0, $code);
        $kept = json_decode((string) file_get_contents(self::docs('example-plan.json')), true);
        $printed = json_decode($out, true);
        foreach (['seconds', 'peak_mb'] as $measured) {
            unset($kept[$measured], $printed[$measured]);
        }
        self::assertSame($kept, $printed);
    }

    /** @return array<string, array{array<string, mixed>, list<string>}> a sound instance changed, and what is told */
    public static function faults(): array
    {
        $sound = [
            'horizon' => ['from' => '2027-01-04', 'to' => '2027-01-15'], 'depot' => ['lat' => 51.2, 'lon' => -1.1],
            'crews' => [['ref' => 'c', 'people' => 1, 'week' => ['mon' => ['08:00', '16:00']]]],
            'gardens' => [['ref' => 'g', 'lat' => 51.25, 'lon' => -1.1, 'closed' => ['tue']], ['ref' => 'h']],
            'tasks' => [[
                'ref' => 't', 'garden' => 'g', 'opens' => '2027-01-04', 'best_from' => '2027-01-05',
                'best_to' => '2027-01-06', 'closes' => '2027-01-07', 'minutes' => 60,
            ]],
        ];
        $task = $sound['tasks'][0];
        $visit = ['garden' => 'g', 'crew' => 'c', 'date' => '2027-01-04', 'tasks' => ['t']];
        $change = static fn (array $change): array => [...$sound, ...$change];

        return [
            'nothing' => [[], ['$.horizon: is missing', '$.crews: is missing', '$.gardens: is missing',
                '$.tasks: is missing']],
            'no crews' => [$change(['crews' => []]), ['$.crews: there is no crew to plan for']],
            'nothing to do' => [
                $change(['gardens' => [], 'tasks' => []]),
                ['$.gardens: there is no garden to plan', '$.tasks: there is no task to plan'],
            ],
            'a horizon that ends first' => [
                $change(['horizon' => ['from' => '2027-02-01', 'to' => '2027-01-01']]),
                ['$.horizon: 2027-01-01 comes before 2027-02-01'],
            ],
            'no such day' => [
                $change(['tasks' => [[...$task, 'opens' => '2027-02-30']]]),
                ['$.tasks[0]: 2027-02-30 is not a day of the calendar'],
            ],
            'a window that closes first' => [
                $change(['tasks' => [[...$task, 'closes' => '2027-01-01']]]), ['$.tasks[0]: '],
            ],
            'fewer on no day' => [
                $change(['crews' => [[...$sound['crews'][0], 'fewer' => ['soon' => 1]]]]), ['$.crews[0]: '],
            ],
            'a garden nobody knows' => [
                $change(['tasks' => [[...$task, 'garden' => 'x']]]), ['$.tasks[0].garden: there is no garden "x"'],
            ],
            'two of a name' => [$change(['tasks' => [$task, $task]]), ['$.tasks[1].ref: "t" stands twice']],
            'half a place' => [
                $change(['gardens' => [['ref' => 'g', 'lat' => 51.2]]]),
                ['$.gardens[0]: a place has lat and lon, or neither'],
            ],
            'a day that ends before it begins' => [
                $change(['crews' => [['ref' => 'c', 'people' => 1, 'week' => ['mon' => ['16:00', '08:00']]]]]),
                ['$.crews[0]: a day ends after it begins'],
            ],
            'a fixed visit of nobody' => [
                $change(['fixed' => [[...$visit, 'crew' => 'x', 'tasks' => ['y']]]]),
                ['$.fixed[0].crew: there is no crew "x"', '$.fixed[0].tasks[0]: there is no task "y"'],
            ],
            'a fixed visit on a day off' => [
                $change(['fixed' => [[...$visit, 'date' => '2027-01-05']]]),
                ['$.fixed[0].date: c does not work on 2027-01-05'],
            ],
            'a fixed visit outside the window' => [
                $change(['fixed' => [[...$visit, 'date' => '2027-01-11']]]),
                ['$.fixed[0]: t may not be done on 2027-01-11'],
            ],
            'a fixed visit longer than the day' => [
                $change(['tasks' => [[...$task, 'minutes' => 600]], 'fixed' => [$visit]]), ['$.fixed[0]: c works '],
            ],
            'a fixed visit without the skill' => [
                $change(['tasks' => [[...$task, 'skills' => ['saw']]], 'fixed' => [$visit]]),
                ['$.fixed[0]: c cannot do t'],
            ],
            'a task on two visits' => [
                $change(['fixed' => [$visit, $visit]]), ['$.fixed[1].tasks[0]: "t" stands on two visits'],
            ],
            'a task elsewhere' => [
                $change(['fixed' => [[...$visit, 'garden' => 'h']]]), ['$.fixed[0].tasks[0]: "t" is in g'],
            ],
        ];
    }

    /**
     * @param  array<string, mixed>  $given
     * @param  list<string>  $told  how each line begins
     */
    #[DataProvider('faults')]
    public function test_what_contradicts_itself_is_refused_by_its_path(array $given, array $told): void
    {
        [$code, $out, $err] = self::asked($given);
        self::assertSame([2, ''], [$code, $out]);
        $lines = explode("\n", trim($err));
        foreach ($told as $index => $line) {
            self::assertStringStartsWith($line, $lines[$index] ?? '', $err);
        }
    }

    public function test_what_is_no_json_is_refused(): void
    {
        [$code, , $err] = self::asked('{');
        self::assertSame([2, "$: is not JSON: Syntax error\n"], [$code, $err]);
    }

    /**
     * @param  array<string, mixed>|string  $given
     * @return array{int, string, string} exit code, standard output and error
     */
    private static function asked(array|string $given): array
    {
        $process = proc_open(
            ['php', 'artisan', 'plan', '-'], [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes, dirname(__DIR__, 3),
        );
        self::assertIsResource($process);
        fwrite($pipes[0], is_string($given) ? $given : json_encode((object) $given, JSON_THROW_ON_ERROR));
        fclose($pipes[0]);
        $said = [(string) stream_get_contents($pipes[1]), (string) stream_get_contents($pipes[2])];

        return [proc_close($process), ...$said];
    }

    private static function schema(string $name): JsonSchema
    {
        return JsonSchema::fromFile(self::docs($name));
    }

    private static function docs(string $name): string
    {
        return dirname(__DIR__, 3)."/docs/formats/$name";
    }
}
