<?php

declare(strict_types=1);

namespace Tests\Feature\Io;

use App\Ground\Bridge\JsonSchema;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process as Child;

/** `./hook judge` as a person calls it. */
final class JudgeCommandTest extends TestCase
{
    private const STEM = ['ref' => 'a', 'azimuth_deg' => 0, 'lean_deg' => 30, 'length_mm' => 900, 'base_mm' => 15];

    public function test_the_example_of_the_documentation_is_judged(): void
    {
        $run = new Child(['./hook', 'judge', 'docs/formats/example-stems.json'], $this->root());
        $run->run();
        self::assertSame(0, $run->getExitCode(), $run->getErrorOutput());
        $answer = json_decode($run->getOutput());
        self::assertSame(
            [],
            JsonSchema::fromFile($this->root().'/docs/formats/judgement.schema.json')->faults($answer),
        );
        self::assertIsObject($answer);
        self::assertSame(['dead', 'sucker', 'crossing', 'south', 'north'], array_column($answer->remove, 'ref'));
        self::assertSame('bowl', $answer->plan);
        self::assertLessThanOrEqual($answer->budget_percent, $answer->share_removed_percent);
    }

    public function test_another_school_takes_less(): void
    {
        $file = (string) file_get_contents($this->root().'/docs/formats/example-stems.json');
        $answer = json_decode($this->judge(str_replace('"open-bowl"', '"light-arc"', $file))->getOutput());
        self::assertIsObject($answer);
        self::assertSame(['dead', 'sucker', 'crossing'], array_column($answer->remove, 'ref'));
        self::assertSame('tidy', $answer->plan);
    }

    public function test_the_day_of_the_survey_is_read(): void
    {
        $canes = array_map(
            fn (int $each): array => [...self::STEM, 'ref' => "c$each", 'azimuth_deg' => $each * 50, 'age_years' => 2],
            range(1, 6),
        );
        foreach (['2027-02-10' => 0, '2027-09-20' => 6] as $day => $out) {
            $run = $this->judge(
                (string) json_encode(['kind' => 'raspberry-summer', 'surveyed' => $day, 'stems' => $canes]),
            );
            self::assertSame(0, $run->getExitCode(), $run->getErrorOutput());
            $answer = json_decode($run->getOutput());
            self::assertIsObject($answer);
            self::assertCount($out, $answer->remove, $day);
        }
    }

    /** @param  array<string, mixed>  $input */
    #[DataProvider('faults')]
    public function test_each_fault_is_one_line_with_its_path(array $input, string $line): void
    {
        $run = $this->judge(
            (string) json_encode(array_replace_recursive(['kind' => 'bush-rose', 'stems' => [self::STEM]], $input)),
        );
        self::assertSame([2, ''], [$run->getExitCode(), $run->getOutput()]);
        self::assertSame([$line], explode("\n", trim($run->getErrorOutput())));
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function faults(): array
    {
        return [
            'a survey on no day' => [
                ['surveyed' => '2027-02-30'],
                '$.surveyed: 2027-02-30 is not a day of the calendar',
            ],
            'an unknown kind' => [
                ['kind' => 'bush-rode'],
                '$.kind: the plant book has no kind "bush-rode"; did you mean "Bush rose"?',
            ],
            'an unknown school' => [
                ['school' => 'topping'],
                '$: school: "topping" is no school for bush-rose: choose open-bowl or light-arc',
            ],
            'a stem as thick as it is long' => [
                ['stems' => [['length_mm' => 20]]],
                '$.stems[0]: 20 mm long and 15 mm thick at the base is no stem: did you mean 20 cm long?',
            ],
            'a stem that hangs down' => [['stems' => [['lean_deg' => 120]]], '$.stems[0].lean_deg: must be at most 90'],
            'an unknown fault' => [
                ['stems' => [['faults' => ['ugly']]]],
                '$.stems[0].faults[0]: is not one of the values allowed here',
            ],
            'two of one name' => [['stems' => [self::STEM, self::STEM]], '$.stems: two stems are called "a"'],
            'a cut that is no stem' => [['cut' => ['z']], '$.stems: there is no stem called "z"'],
            'nothing to keep' => [['keep' => 0], '$.keep: must be at least 1'],
            'no stems' => [['stems' => null], '$.stems: is null, but must be array'],
        ];
    }

    private function judge(string $json): Child
    {
        $run = new Child(['./hook', 'judge'], $this->root(), null, $json);
        $run->run();

        return $run;
    }

    private function root(): string
    {
        return dirname(__DIR__, 3);
    }
}
