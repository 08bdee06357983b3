<?php

declare(strict_types=1);

namespace Tests\Core\Method;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Fault;
use PruningHook\Core\Method\Method;
use PruningHook\Core\Method\Methods;
use PruningHook\Core\Method\Steps;
use PruningHook\Core\Plant\Plant;
use Tests\Support\TestBook;

/** The order of work on one plant: clean, suckers, what was missed, the method, the kind's own, clear up. */
final class StepsTest extends TestCase
{
    public function test_cleaning_comes_first_and_clearing_up_last(): void
    {
        $steps = $this->steps('thin', ['Kind step.'], 'Missed step.');
        self::assertStringStartsWith('Start at the base', $steps[0]);
        self::assertSame('Missed step.', $steps[1]);
        self::assertSame('Kind step.', $steps[count($steps) - 2]);
        self::assertStringStartsWith('Clear up', $steps[count($steps) - 1]);
    }

    public function test_shearing_and_dead_heading_start_without_a_clean(): void
    {
        self::assertStringStartsNotWith('Start at the base', $this->steps('shear')[0]);
        self::assertSame('Clear up every cutting.', $this->steps('dead-head')[1]);
    }

    public function test_amounts_stand_in_the_steps_in_words(): void
    {
        $amounts = [Amount::of('buds per lateral', 'buds', 2, 2, 3)];
        $steps = $this->steps('thin', ['Shorten to {buds per lateral}.', 'Aim at {=buds per lateral}.', 'Leave {whips}.'], null, $amounts);
        self::assertContains('Shorten to 2 to 3 buds.', $steps);
        self::assertContains('Aim at 2 buds.', $steps);
        self::assertSame([], array_filter($steps, static fn (string $step): bool => str_contains($step, 'whips')));
    }

    public function test_suckers_come_off_grafted_plants_whatever_the_kind_says(): void
    {
        $kind = TestBook::read()->kind('forsythia');
        $steps = Steps::for(Methods::get('thin'), $kind, Plant::of('p', 'forsythia', grafted: true), [], [], null);
        self::assertStringContainsString('suckers', $steps[1]);
    }

    #[DataProvider('methods')]
    public function test_every_method_the_book_uses_is_known_by_its_key_and_has_steps(string $key): void
    {
        $method = Methods::get($key);
        self::assertSame($key, $method->key());
        self::assertNotSame('', $method->name());
        self::assertNotEmpty($method->steps(TestBook::read()->kind('wisteria')));
        self::assertGreaterThan(0, $method->rank());
    }

    /** @return array<string, array{string}> */
    public static function methods(): array
    {
        $used = [];
        foreach (TestBook::read()->all() as $kind) {
            foreach ($kind->tasks as $task) {
                foreach ($task->methods as $method) {
                    $used[$method->value] = [$method->value];
                }
            }
        }

        return $used;
    }

    public function test_an_unknown_method_is_refused(): void
    {
        self::assertNull(Methods::find('hack'));
        $this->expectException(Fault::class);
        Methods::get('hack');
    }

    public function test_cleaning_goes_before_thinning_before_renewing_before_shaping_before_tying(): void
    {
        $ranks = array_map(static fn (string $key): int => Methods::get($key)->rank(), ['clean', 'desucker', 'thin', 'renew-by-thirds', 'spur-back', 'train-and-tie']);
        $sorted = $ranks;
        sort($sorted);
        self::assertSame($sorted, $ranks);
        self::assertCount(6, array_unique($ranks));
    }

    /**
     * @param  list<string>  $ofTheKind
     * @param  list<Amount>  $amounts
     * @return list<string>
     */
    private function steps(string $method, array $ofTheKind = [], ?string $missed = null, array $amounts = []): array
    {
        return Steps::for($this->method($method), TestBook::read()->kind('forsythia'), Plant::of('p', 'forsythia'), $amounts, $ofTheKind, $missed);
    }

    private function method(string $key): Method
    {
        return Methods::get($key);
    }
}
