<?php

declare(strict_types=1);

namespace Tests\Core\Structure;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Structure\Candidate;
use PruningHook\Core\Structure\Rub;
use PruningHook\Core\Structure\Rules\Damaged;
use PruningHook\Core\Structure\Rules\Dead;
use PruningHook\Core\Structure\Rules\Diseased;
use PruningHook\Core\Structure\Rules\Flagged;
use PruningHook\Core\Structure\Rules\Inward;
use PruningHook\Core\Structure\Rules\Nowhere;
use PruningHook\Core\Structure\Rules\Oldest;
use PruningHook\Core\Structure\Rules\Rubbing;
use PruningHook\Core\Structure\Rules\StemRule;
use PruningHook\Core\Structure\Rules\Suckers;
use PruningHook\Core\Structure\Rules\Traced;
use PruningHook\Core\Structure\Rules\Weak;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\StemAim;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\StemPlan;
use PruningHook\Core\Structure\Survey;
use Tests\Support\TestAim;

/** Each rule of the judging eye by itself. Common practice of the trade. */
final class RulesTest extends TestCase
{
    #[DataProvider('flagged')]
    public function test_a_marked_stem_is_found_by_its_rule_and_by_no_other(
        StemRule $rule,
        StemFault $fault,
        string $cut,
    ): void {
        $candidates = $this->candidates($rule, [self::stem('sound'), self::stem('marked', faults: [$fault])]);
        self::assertSame(['marked'], self::refs($candidates));
        self::assertStringContainsString($cut, $candidates[0]->cut);
        self::assertNotSame('', $rule->name());
        foreach ([new Dead, new Diseased, new Damaged, new Suckers, new Traced, new Nowhere] as $other) {
            if ($other::class !== $rule::class) {
                self::assertSame(
                    [], $this->candidates($other, [self::stem('sound'), self::stem('marked', faults: [$fault])]),
                    $other->name(),
                );
            }
        }
    }

    /** @return array<string, array{StemRule, StemFault, string}> */
    public static function flagged(): array
    {
        return [
            'dead' => [new Dead, StemFault::Dead, 'down to live wood'],
            'diseased' => [new Diseased, StemFault::Diseased, 'below the lowest damage'],
            'damaged' => [new Damaged, StemFault::Damaged, 'below the damage'],
            'reverted' => [new Traced, StemFault::Reverted, 'traced to its origin'],
            'watershoot' => [new Traced, StemFault::Watershoot, 'never snipped at the surface'],
            'going nowhere' => [new Nowhere, StemFault::Nowhere, 'out at the base'],
            'weak' => [new Weak, StemFault::Weak, 'out at the base'],
            'inward' => [new Inward, StemFault::Inward, 'at the base or at its parent'],
        ];
    }

    public function test_a_sucker_is_pulled_from_a_graft_and_cut_from_own_roots(): void
    {
        $stems = [self::stem('s', faults: [StemFault::Sucker])];
        self::assertStringContainsString('pulled off', $this->candidates(new Suckers, $stems, grafted: true)[0]->cut);
        self::assertStringContainsString('at its origin', $this->candidates(new Suckers, $stems)[0]->cut);
    }

    public function test_what_is_already_out_is_no_candidate(): void
    {
        $survey = Survey::of(
            [self::stem('a', faults: [StemFault::Dead]), self::stem('b', faults: [StemFault::Dead])],
            ['a'],
        );
        self::assertSame(
            ['b'],
            self::refs(array_values([...(new Dead)->candidates($survey, self::aim(StemPlan::Tidy), [])])),
        );
    }

    public function test_the_worse_goes_first(): void
    {
        $sorted = Flagged::sorted([
            self::stem('young', age: 1),
            self::stem('thin', age: 5, base: 8),
            self::stem('thick', age: 5, base: 20),
            self::stem('marked', age: 1, faults: [StemFault::Weak, StemFault::Inward]),
        ]);
        self::assertSame(
            ['marked', 'thin', 'thick', 'young'],
            array_map(static fn (Stem $stem): string => $stem->ref, $sorted),
        );
    }

    public function test_an_upright_stem_is_inward_only_to_a_bowl(): void
    {
        $stems = [self::stem('up', lean: 4), self::stem('out', lean: 35)];
        self::assertSame(['up'], self::refs($this->candidates(new Inward, $stems, StemPlan::Bowl)));
        self::assertSame([], $this->candidates(new Inward, $stems, StemPlan::Thirds));
    }

    public function test_thin_is_weak_only_beside_thicker_ones(): void
    {
        $thin = self::stem('thin', base: 5);
        self::assertSame(
            ['thin'],
            self::refs($this->candidates(new Weak, [$thin, self::stem('a', base: 14), self::stem('b', base: 16)])),
        );
        self::assertSame(
            [], $this->candidates(new Weak, [$thin, self::stem('a', base: 6), self::stem('b', base: 6)]),
            'a shrub of thin stems is not weak',
        );
        self::assertSame(
            [],
            $this->candidates(new Weak, [
                self::stem('a', base: 8), self::stem('b', base: 30), self::stem('c', base: 30),
            ]),
            'a pencil is thick enough',
        );
    }

    public function test_the_stem_that_rubs_most_others_goes_before_the_worse_of_a_pair(): void
    {
        $stems = [
            self::stem('middle', age: 2), self::stem('left', age: 9), self::stem('right', age: 2), self::stem('free'),
        ];
        $rubs = [new Rub('left', 'middle', 0, 0, 400, true), new Rub('middle', 'right', 20, -5, 500, true)];
        $candidates = $this->candidates(new Rubbing, $stems, rubs: $rubs);
        self::assertSame(['middle', 'left', 'right'], self::refs($candidates));
        self::assertStringContainsString('it rubs 2 others', $candidates[0]->because);
        self::assertStringContainsString('they touch, 400 mm up', $candidates[1]->because);
        self::assertStringContainsString('grown together by next season', $candidates[2]->because);
    }

    public function test_a_rub_somebody_saw_counts_without_any_geometry(): void
    {
        self::assertSame(
            ['seen'],
            self::refs(
                $this->candidates(new Rubbing, [
                    self::stem('seen', faults: [StemFault::Rubbing]),
                    self::stem('other'),
                ]),
            ),
        );
    }

    public function test_age_takes_the_oldest_and_of_equals_those_that_crowd(): void
    {
        $stems = [
            self::stem('old', azimuth: 180, age: 9), self::stem('crowds', azimuth: 10, age: 4),
            self::stem('alone', azimuth: 120, age: 4), self::stem('beside', azimuth: 0, age: 2),
            self::stem('far', azimuth: 240, age: 2),
        ];
        self::assertSame(
            ['old', 'crowds'],
            array_slice(self::refs($this->candidates(new Oldest, $stems, StemPlan::Bowl, keep: 3)), 0, 2),
        );
    }

    public function test_tidying_takes_nothing_for_its_age(): void
    {
        self::assertSame(
            [],
            $this->candidates(
                new Oldest, [self::stem('ancient', age: 40), self::stem('new', age: 1)], StemPlan::Tidy,
            ),
        );
    }

    public function test_thirds_never_take_the_young_and_canes_only_those_that_fruited(): void
    {
        $stems = [
            self::stem('new', age: 1), self::stem('last', age: 2), self::stem('old', age: 5),
            self::stem('older', age: 7),
        ];
        self::assertSame(['older', 'old'], self::refs($this->candidates(new Oldest, $stems, StemPlan::Thirds)));
        self::assertSame(
            ['older', 'old', 'last', 'new'],
            self::refs($this->candidates(new Oldest, $stems, StemPlan::Canes, keep: 1)),
            'the new last, where there are too many',
        );
        self::assertNotContains('new', self::refs($this->candidates(new Oldest, $stems, StemPlan::Canes)));
    }

    public function test_middling_wood_is_not_taken_where_the_oldest_must_wait(): void
    {
        $candidates = $this->candidates(
            new Oldest, [self::stem('oldest', age: 12), self::stem('old', age: 7), self::stem('middling', age: 4)],
            StemPlan::Thirds,
        );
        self::assertSame(['oldest', 'old'], self::refs($candidates));
        self::assertStringContainsString('the oldest that stands, 12 years', $candidates[0]->because);
        self::assertStringContainsString('at 7 years it is among the oldest', $candidates[1]->because);
    }

    public function test_many_equals_are_thinned_one_by_one_to_an_even_ring(): void
    {
        $stems = array_map(
            static fn (int $index): Stem => self::stem(sprintf('s%02d', $index), azimuth: $index * 24, age: 4),
            range(0, 14),
        );
        $going = array_slice(self::refs($this->candidates(new Oldest, $stems, StemPlan::Bowl, keep: 5)), 0, 10);
        self::assertCount(10, array_unique($going));
        $left = array_filter($stems, static fn (Stem $stem): bool => ! in_array($stem->ref, $going, true));
        $ways = array_values(array_map(static fn (Stem $stem): float => $stem->azimuthDeg, $left));
        sort($ways);
        foreach ($ways as $index => $way) {
            self::assertLessThanOrEqual(
                120, ($ways[$index + 1] ?? $ways[0] + 360) - $way, 'no gap of a third of the plant',
            );
        }
    }

    /**
     * @param  list<Stem>  $stems
     * @param  list<Rub>  $rubs
     * @return list<Candidate>
     */
    private function candidates(
        StemRule $rule,
        array $stems,
        StemPlan $plan = StemPlan::Tidy,
        ?int $keep = null,
        bool $grafted = false,
        array $rubs = [],
    ): array {
        return array_values([...$rule->candidates(Survey::of($stems), self::aim($plan, $keep, $grafted), $rubs)]);
    }

    private static function aim(StemPlan $plan, ?int $keep = null, bool $grafted = false): StemAim
    {
        return TestAim::of($plan, null, $keep, $keep, 100, 'common practice', $grafted);
    }

    /** @param  list<StemFault>  $faults */
    private static function stem(
        string $ref,
        float $azimuth = 0,
        float $lean = 30,
        int $base = 15,
        ?int $age = 3,
        array $faults = [],
    ): Stem {
        return new Stem($ref, $azimuth, $lean, 900, $base, $age, $faults);
    }

    /**
     * @param  list<Candidate>  $candidates
     * @return list<string>
     */
    private static function refs(array $candidates): array
    {
        return array_map(static fn (Candidate $candidate): string => $candidate->stem->ref, $candidates);
    }
}
