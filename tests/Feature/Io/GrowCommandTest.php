<?php

declare(strict_types=1);

namespace Tests\Feature\Io;

use App\Ground\Bridge\JsonSchema;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process as Child;

/** `./hook grow` as a person calls it. */
final class GrowCommandTest extends TestCase
{
    private const PLANT = ['kind' => 'forsythia', 'seasons_grown' => 5, 'seasons' => [[]]];

    public function test_the_example_of_the_documentation_is_grown(): void
    {
        $run = new Child(['./hook', 'grow', 'docs/formats/example-grow.json'], dirname(__DIR__, 3));
        $run->run();
        self::assertSame([0, ''], [$run->getExitCode(), $run->getErrorOutput()]);
        $told = json_decode($run->getOutput());
        self::assertSame([], self::schema()->faults($told));
        self::assertSame([2027, 2028, 2029, 2030], array_column($told->seasons, 'season'));
        [$thinned, $after, $cutDown, $again] = $told->seasons;
        self::assertSame([0, 0], [$after->removed_nodes, $again->removed_nodes]);
        self::assertGreaterThan(0, $thinned->removed_percent);
        // Thinned straight after bloom it flowers the better for it; cut down in winter hardly at all, and then again.
        self::assertGreaterThan($thinned->flowers, $after->flowers);
        self::assertLessThan(0.3 * $after->flowers, $cutDown->flowers);
        self::assertGreaterThan($cutDown->flowers, $again->flowers);
        self::assertLessThan($after->height_mm, $cutDown->height_mm);
    }

    public function test_axes_are_printed_where_they_are_asked_for_and_cut_where_they_stand(): void
    {
        $told = self::told([...self::PLANT, 'axes' => true, 'height_mm' => 1800]);
        self::assertSame([], self::schema()->faults($told));
        $axes = $told->seasons[0]->axes;
        self::assertSame(count($axes), count(array_unique(array_column($axes, 'id'))));
        self::assertSame([2027], array_column($told->seasons, 'season'), 'where none is given');
        self::assertEquals(
            self::told(['kind' => 'forsythia', 'seasons' => [[]], 'seasons_grown' => 6]),
            self::told(['kind' => 'forsythia', 'seasons' => [[]]]), 'so many seasons where none are given',
        );
        foreach (['azimuth_deg', 'lean_deg', 'base_mm'] as $measure) {
            $values = array_column($axes, $measure);
            $tenths = array_map(static fn (float $value): float => round(10 * $value, 6), $values);
            self::assertSame(array_map(round(...), $tenths), $tenths, "$measure to one decimal");
            self::assertNotEquals(array_map(floor(...), $values), $values);
        }
        $tops = array_map(static fn (object $axis): int => $axis->tip[2], $axes);
        self::assertGreaterThan(1700, max($tops));
        $stem = $axes[0]->id;
        $cut = self::told([...self::PLANT, 'axes' => true, 'seasons' => [['winter' => [
            ['do' => 'thin', 'axis' => $stem], ['do' => 'shorten', 'buds' => 2], ['do' => 'raise', 'height_mm' => 300],
            ['do' => 'face', 'towards_deg' => 90, 'distance_mm' => 300], ['do' => 'down', 'height_mm' => 1500],
        ]]]]);
        self::assertNotContains($stem, array_column($cut->seasons[0]->axes, 'id'));
        self::assertGreaterThan(10, $cut->seasons[0]->removed_percent);
    }

    public function test_stems_that_were_surveyed_are_grown_on_from(): void
    {
        $stem = ['lean_deg' => 10, 'length_mm' => 900, 'age_years' => 3];
        $told = self::told(['kind' => 'bush-rose', 'height_mm' => 1000, 'seasons' => [[]], 'axes' => true, 'stems' => [
            ['azimuth_deg' => 0] + $stem, ['azimuth_deg' => 120] + $stem, ['azimuth_deg' => 240] + $stem,
        ]]);
        self::assertSame('the stems as they were surveyed', $told->rests_on);
        self::assertGreaterThanOrEqual(3, $told->seasons[0]->stems);
        self::assertGreaterThan(3, count($told->seasons[0]->axes));
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('faults')]
    public function test_each_fault_is_told_with_its_path(array $input, string $line): void
    {
        $run = self::grow([...self::PLANT, ...$input]);
        self::assertSame([2, ''], [$run->getExitCode(), $run->getOutput()]);
        self::assertStringContainsString($line, $run->getErrorOutput());
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function faults(): iterable
    {
        yield 'a kind nobody knows' => [['kind' => 'forsithya'], 'did you mean "Forsythia"'];
        yield 'a stem that reaches above the plant' => [
            ['height_mm' => 1000, 'stems' => [['azimuth_deg' => 0, 'lean_deg' => 5, 'length_mm' => 3000]]],
            '$.stems: stem 0 reaches 2988 mm up and the plant is 1000 mm tall',
        ];
        yield 'a cut on wood that is gone' => [
            ['seasons' => [['winter' => [['do' => 'thin', 'axis' => 0], ['do' => 'thin', 'axis' => 0]]]]],
            '$.seasons[0]: axis 0 is not there any more',
        ];
        yield 'a node that is not there' => [
            ['seasons' => [[], ['winter' => [['do' => 'head', 'axis' => 0, 'node' => 900]]]]],
            '$.seasons[1]: axis 0 has',
        ];
        yield 'no such cut' => [['seasons' => [['winter' => [['do' => 'saw']]]]], '$.seasons[0].winter[0]'];
        yield 'more seasons than can be told' => [['seasons_grown' => 90], '$.seasons_grown'];
    }

    /** @param  array<string, mixed>  $input */
    private static function grow(array $input): Child
    {
        $run = new Child(['./hook', 'grow'], dirname(__DIR__, 3));
        $run->setInput((string) json_encode(self::objects($input)));
        $run->run();

        return $run;
    }

    /**
     * A season without cuts is an empty object, not an empty list.
     *
     * @param  array<string, mixed>  $input
     * @return array<string, mixed>
     */
    private static function objects(array $input): array
    {
        $input['seasons'] = array_map(static fn (array $season): object => (object) $season, $input['seasons']);

        return $input;
    }

    /** @param  array<string, mixed>  $input */
    private static function told(array $input): object
    {
        $run = self::grow($input);
        self::assertSame(0, $run->getExitCode(), $run->getErrorOutput());
        $told = json_decode($run->getOutput());
        self::assertIsObject($told);

        return $told;
    }

    private static function schema(): JsonSchema
    {
        return JsonSchema::fromFile(dirname(__DIR__, 3).'/docs/formats/grown.schema.json');
    }
}
