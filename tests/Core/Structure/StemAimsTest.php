<?php

declare(strict_types=1);

namespace Tests\Core\Structure;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Vigour;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\StemAim;
use PruningHook\Core\Structure\StemAims;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\StemPlan;
use Tests\Support\Prescribing;
use Tests\Support\TestAim;
use Tests\Support\TestBook;

/** What a kind's stems are judged for, as the plant book and the schools have it. */
final class StemAimsTest extends TestCase
{
    use Prescribing;

    /** @param  array<string, string>  $firm */
    #[DataProvider('kinds')]
    public function test_the_plan_follows_from_the_kinds_methods(
        string $kind,
        ?string $aim,
        array $firm,
        StemPlan $plan,
        ?int $keep,
    ): void {
        $found = $this->aim($kind, $aim, $firm);
        self::assertSame([$plan, $keep], [$found->plan, $found->keep]);
    }

    /** @return array<string, array{string, ?string, array<string, string>, StemPlan, ?int}> */
    public static function kinds(): array
    {
        return [
            'a bush rose is a bowl of four' => ['bush-rose', null, [], StemPlan::Bowl, 4],
            'or only tidied, where the house does it lightly' => [
                'bush-rose',
                null,
                ['bush-rose-severity' => 'light-arc'],
                StemPlan::Tidy,
                null,
            ],
            'a forsythia goes by thirds' => ['forsythia', null, [], StemPlan::Thirds, null],
            'and so over three years' => ['lilac', 'renewal', [], StemPlan::Thirds, null],
            'a blackberry renews its canes' => ['blackberry', null, [], StemPlan::Canes, 6],
            'a climbing rose has its mains' => ['climbing-rose', null, [], StemPlan::Mains, 5],
            'a crape myrtle its trunks' => ['crape-myrtle', null, [], StemPlan::Mains, 4],
            'a lavender loses nothing for its age' => ['lavender', null, [], StemPlan::Tidy, null],
            'not even for renewal: it would not break' => ['lavender', 'renewal', [], StemPlan::Tidy, null],
        ];
    }

    public function test_the_budget_is_the_methods_then_the_kinds(): void
    {
        self::assertSame(75, $this->aim('bush-rose')->budgetPercent);
        self::assertSame(33, $this->aim('forsythia')->budgetPercent);
        self::assertSame(25, $this->aim('lime')->budgetPercent);
        self::assertStringContainsString('ANSI', $this->aim('lime')->source);
    }

    public function test_whoever_asks_otherwise_is_followed(): void
    {
        $book = TestBook::read();
        $aim = StemAims::with($book)->for($book->kind('bush-rose'), $this->practice(), null, null, 2, 10);
        self::assertSame(
            [2, 2, 2, 10, 'asked for'],
            [$aim->keepMin, $aim->keep, $aim->keepMax, $aim->budgetPercent, $aim->source],
        );
    }

    public function test_a_kind_that_comes_grafted_is_taken_for_grafted(): void
    {
        $book = TestBook::read();
        self::assertTrue($this->aim('bush-rose')->grafted);
        self::assertFalse(
            StemAims::with($book)->for($book->kind('bush-rose'), $this->practice(), null, false)->grafted,
        );
        self::assertFalse($this->aim('forsythia')->grafted);
    }

    public function test_it_is_kept_and_read_again_whole(): void
    {
        $aim = $this->aim('climbing-rose');
        self::assertEquals($aim, StemAim::fromArray($aim->toArray()));
    }

    public function test_absurd_numbers_are_told(): void
    {
        $this->expectException(Fault::class);
        $this->expectExceptionMessage('between 0 and 100 per cent');
        TestAim::of(StemPlan::Tidy, null, null, null, 140, 'x');
    }

    public function test_cleaning_is_what_is_ill_and_below_the_graft(): void
    {
        $stem = static fn (StemFault $fault): Stem => new Stem('s', 0, 30, 900, 15, 3, [$fault]);
        $cleaned = static fn (bool $grafted): array => array_values(
            array_map(
                static fn (StemFault $fault): string => $fault->value,
                array_filter(
                    StemFault::cases(),
                    static fn (StemFault $fault): bool => TestAim::of(
                        StemPlan::Tidy, null, null, null, 33, 'x', $grafted,
                    )->isCleaning($stem($fault)),
                ),
            ),
        );
        self::assertSame(['dead', 'diseased', 'damaged'], $cleaned(false));
        self::assertSame(['dead', 'diseased', 'damaged', 'sucker'], $cleaned(true));
    }

    public function test_a_strong_kind_grows_together_sooner(): void
    {
        // Two stems with a little air between them, the same for both kinds.
        $stems = [new Stem('a', 0, 30, 1200, 60), new Stem('b', 14, 30, 1200, 60)];
        $book = TestBook::read();
        $next = static fn (string $kind): int => min([
            999,
            ...array_map(
                static fn ($rub): int => $rub->clearanceNextMm,
                StemAims::with($book)->clearance($book->kind($kind))->rubs($stems),
            ),
        ]);
        self::assertSame(Vigour::Strong, $book->kind('wisteria')->vigour);
        self::assertLessThanOrEqual($next('star-magnolia'), $next('wisteria'));
    }

    /** @param  array<string, string>  $firm */
    private function aim(string $kind, ?string $aim = null, array $firm = []): StemAim
    {
        $book = TestBook::read();

        return StemAims::with($book)->for($book->kind($kind), $this->practice($firm), $aim);
    }
}
