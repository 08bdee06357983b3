<?php

declare(strict_types=1);

namespace Tests\Core\Method;

use PHPUnit\Framework\TestCase;
use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\Method\Steps;
use PruningHook\Core\Plant\Circumstances;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\StemCount;
use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\PlantBook\KindReader;
use PruningHook\Core\PlantBook\TaskRule;
use PruningHook\Core\Schools\ChosenSchools;
use Tests\Support\PlainKind;
use Tests\Support\TestBook;

/** One recipe told for one plant: clean, suckers, what was missed, the work with the kind's own word, clear up. */
final class StepsTest extends TestCase
{
    public function test_cleaning_comes_first_then_what_was_missed_and_clearing_up_last(): void
    {
        $steps = $this->steps('thin', missed: 'Missed step.');
        self::assertStringStartsWith('Start at the base', $steps[0]);
        self::assertSame('Missed step.', $steps[1]);
        self::assertStringStartsWith('Clear up', $steps[count($steps) - 1]);
        self::assertSame('Missed step.', $this->steps('shear', missed: 'Missed step.')[0], 'nothing is cleaned first');
    }

    public function test_a_kind_replaces_a_step_by_its_key_leaves_one_out_and_fills_a_place(): void
    {
        $plain = $this->steps('thin');
        $own = $this->steps('thin', ['fork' => 'Cut to the trunk.', 'to-the-base' => false, 'dry' => 'Only when dry.']);
        self::assertContains('Cut to the trunk.', $own);
        self::assertContains('Only when dry.', $own);
        self::assertDoesNotMatchRegularExpression('/Shorten nothing|branch collar/', implode(' ', $own));
        self::assertCount(count($plain), $own, 'one replaced, one left out, one filled in');
        self::assertSame(1, array_search('Only when dry.', $own, true), 'where the recipe has the place for it');
    }

    public function test_a_kinds_word_may_hang_on_a_condition(): void
    {
        $own = [
            'dry' => [
                'either' => [['when' => ['aim' => 'renewal'], 'says' => 'For renewal.'], ['says' => 'Otherwise.']],
            ],
        ];
        self::assertContains('Otherwise.', $this->steps('thin', $own));
        self::assertContains('For renewal.', $this->steps('thin', $own, aim: 'renewal'));
        self::assertSame(
            [],
            array_intersect(
                ['For years.'],
                $this->steps('thin', ['dry' => ['when' => ['aim' => 'fruit'], 'says' => 'For years.']]),
            ),
        );
    }

    public function test_amounts_stand_in_the_steps_in_words_and_unknown_ones_fall_to_the_next_wording(): void
    {
        $amounts = [Amount::of('buds per lateral', 'buds', 2, 2, 3)];
        $say = fn (array $says): array => $this->steps('thin', ['dry' => ['says' => $says]], amounts: $amounts);
        self::assertContains('Shorten to 2 to 3 buds.', $say(['Shorten to {buds per lateral}.']));
        self::assertContains('Aim at 2 buds.', $say(['Aim at {=buds per lateral}.']));
        self::assertContains('Count them.', $say(['Leave {whips}.', 'Count them.']));
        self::assertSame(
            [],
            array_values(
                array_filter($say(['Leave {whips}.']), static fn (string $step): bool => str_contains($step, 'Leave')),
            ),
        );
    }

    public function test_no_step_tells_of_none_of_a_thing(): void
    {
        $none = [Amount::exactly('suckers left', 'suckers', 0)];
        self::assertNotContains(
            'Leave 0 suckers.',
            $this->steps('thin', ['dry' => 'Leave {suckers left}.'], amounts: $none),
        );
        $take = [Amount::exactly('old stems to take out', 'stems', 0)];
        $steps = implode(' ', $this->steps('renew-by-thirds', amounts: $take, stems: StemCount::of(0, 5)));
        self::assertStringNotContainsString(' 0 ', $steps);
    }

    public function test_suckers_come_off_grafted_plants_and_no_others(): void
    {
        self::assertStringContainsString('suckers', $this->steps('thin', grafted: true)[1]);
        self::assertStringNotContainsString('suckers', $this->steps('thin')[1]);
    }

    public function test_the_cut_over_a_bud_goes_by_how_the_buds_stand(): void
    {
        self::assertContains('Cut 5 mm above an outward bud, sloping gently away from it.', $this->steps('light-arc'));
        self::assertContains(
            'Cut straight across, just above a pair of buds.',
            $this->steps('light-arc', traits: ['opposite-buds']),
        );
    }

    public function test_a_kind_that_names_a_step_its_recipe_does_not_have_stops_the_book(): void
    {
        $this->expectExceptionMessage('tasks[0].steps.polish: no recipe of this task has such a step');
        $this->rule('thin', ['polish' => 'Polish it.']);
    }

    /**
     * @param  array<string, mixed>  $own  the kind's word, by key
     * @param  list<Amount>  $amounts
     * @param  list<string>  $traits
     * @return list<string>
     */
    private function steps(
        string $recipe,
        array $own = [],
        ?string $missed = null,
        array $amounts = [],
        ?string $aim = null,
        ?bool $grafted = null,
        array $traits = [],
        ?StemCount $stems = null,
    ): array {
        return Steps::for(
            TestBook::read()->recipes->get($recipe),
            $this->rule($recipe, $own),
            new Plant('p', 'forsythia', stems: $stems),
            new Circumstances(WinterClass::Cool, ChosenSchools::of([]), null, null, $aim, $grafted, $traits),
            $amounts,
            $missed === null ? [] : [$missed],
        );
    }

    /** @param  array<string, mixed>  $own */
    private function rule(string $recipe, array $own): TaskRule
    {
        $book = TestBook::read();
        $kind = (new KindReader($book->sources, $book->recipes, $book->stations))->read(
            Entry::of(PlainKind::entry(['methods' => [['use' => $recipe]], 'steps' => $own])),
        );

        return $kind->tasks['a'];
    }
}
