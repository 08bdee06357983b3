<?php

declare(strict_types=1);

namespace Tests\Core\Exercise;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Exercise\CutCode;
use PruningHook\Core\Exercise\ExerciseCase;
use PruningHook\Core\Exercise\Progress;
use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Growth\Cutting;
use Tests\Support\Practising;

/** Cuts as a link carries them, and what somebody has practised. */
final class CutCodeTest extends TestCase
{
    use Practising;

    public function test_cuts_are_made_one_after_another_and_written_as_they_were(): void
    {
        $plant = $this->exercise('crowded-lilac')->plant;
        $stems = array_keys($plant->stems());
        $code = "x.t$stems[0].h$stems[1]-3.s$stems[2]-2.d1500";
        $written = CutCode::read($code, $plant);
        self::assertSame([], $written->faults);
        self::assertSame($code, $written->code());
        self::assertEquals(Cutting::of($plant, $written->cuts())->plant->axes, $written->left->axes);
        self::assertArrayNotHasKey($stems[0], $written->left->axes);
        self::assertSame(4, $written->left->axes[$stems[1]]->nodes());
        $dead = count($written->steps[0][1]);
        self::assertGreaterThan(1, $dead);
        self::assertSame([...array_fill(0, $dead, 1), 2, 3, 4, 5], $written->numbers(), 'a step has one number');
        self::assertSame([], CutCode::read('', $plant)->steps);
        self::assertSame([], CutCode::read('', $plant)->numbers());
        self::assertSame(
            "t$stems[0].h$stems[1]-3.s$stems[2]-2.d1500",
            CutCode::of(array_slice($written->cuts(), count($written->steps[0][1]))),
        );
        self::assertSame('a2.r900', CutCode::of([Cut::shorten(null, 2), Cut::raise(900)]));
    }

    public function test_clipping_and_clearing_are_cuts_to_the_whole_plant(): void
    {
        $hedge = $this->exercise('first-hedge')->plant;
        $clipped = CutCode::read('c30', $hedge);
        self::assertGreaterThan(10, count($clipped->cuts()));
        self::assertLessThan($hedge->nodes(), $clipped->left->nodes());
        $lilac = $this->exercise('crowded-lilac')->plant;
        self::assertLessThan($lilac->nodes(), CutCode::read('r900', $lilac)->left->nodes());
        self::assertLessThan($lilac->nodes(), CutCode::read('a2', $lilac)->left->nodes());
    }

    public function test_a_cut_on_wood_that_is_gone_is_told_and_the_rest_stands(): void
    {
        $plant = $this->exercise('crowded-lilac')->plant;
        [$first, $second] = array_keys($plant->stems());
        $written = CutCode::read("t$first.t$first.t$second", $plant);
        self::assertSame("t$first.t$second", $written->code());
        self::assertSame(["Axis $first is not there any more: it was cut off, or never grew."], $written->faults);
    }

    #[DataProvider('nonsense')]
    public function test_what_is_no_cut_is_told(string $part): void
    {
        $written = CutCode::read($part, $this->exercise('first-forsythia')->plant);
        self::assertSame([], $written->steps);
        self::assertCount(1, $written->faults);
    }

    /** @return iterable<array{string}> */
    public static function nonsense(): iterable
    {
        foreach (['z', 't', 't1-2', 'h1', 'x3', 'd0', 'a0', 't1e5', 'h1-9999', 'c', '-'] as $part) {
            yield $part => [$part];
        }
    }

    public function test_nobody_makes_more_cuts_than_that(): void
    {
        $this->expectExceptionMessage('a plant is cut in 120 cuts at the most');
        CutCode::read(implode('.', array_fill(0, 121, 'x')), $this->exercise('first-forsythia')->plant);
    }

    public function test_what_to_practise_next_is_easy_before_hard_and_the_failed_before_the_new(): void
    {
        $case = static fn (string $key, int $level): ExerciseCase => new ExerciseCase(
            $key, 'lilac', 't', $level, 'f', 5, 0, 0, null, null, null,
        );
        $cases = ['a' => $case('a', 1), 'b' => $case('b', 1), 'c' => $case('c', 1), 'd' => $case('d', 2)];
        $methods = ['a' => 'thin', 'b' => 'stool', 'c' => 'thin', 'd' => 'thin'];
        self::assertSame('a', self::next([], $cases, $methods));
        self::assertSame('b', self::next(['a' => 80], $cases, $methods), 'of the method that is behind');
        self::assertSame('c', self::next(['a' => 80, 'c' => 79], $cases, $methods), 'what went wrong comes again');
        self::assertSame('d', self::next(['a' => 80, 'b' => 80, 'c' => 100], $cases, $methods));
        self::assertNull(self::next(['a' => 80, 'b' => 80, 'c' => 100, 'd' => 90], $cases, $methods));
    }

    /**
     * @param  array<string, int>  $best
     * @param  array<string, ExerciseCase>  $cases
     * @param  array<string, string>  $methods
     */
    private static function next(array $best, array $cases, array $methods): ?string
    {
        return (new Progress(self::cases()->marking, $best, $methods, []))->next($cases)?->key;
    }

    public function test_a_sign_off_needs_cases_and_visits_and_no_more_cases_than_there_are(): void
    {
        $methods = ['a' => 'thin', 'b' => 'stool', 'c' => 'thin', 'd' => 'thin', 'e' => 'thin'];
        $progress = new Progress(self::cases()->marking, ['a' => 80, 'c' => 79, 'd' => 95], $methods, ['thin' => 1]);
        self::assertSame(['cases' => 1, 'visits' => 1], $progress->needs('thin'));
        self::assertSame(['cases' => 1, 'visits' => 2], $progress->needs('stool'));
        self::assertSame(['tried' => 3, 'well' => 2, 'of' => 4, 'visits' => 1], $progress->byMethod()['thin']);
        $done = new Progress(self::cases()->marking, ['b' => 80], $methods, ['stool' => 2]);
        self::assertSame(['cases' => 0, 'visits' => 0], $done->needs('stool'));
        self::assertSame(['cases' => 1, 'visits' => 2], $done->needs('nothing-known'));
    }
}
