<?php

declare(strict_types=1);

namespace Tests\Core\Method;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Fault;
use PruningHook\Core\Method\Methods;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\StemCount;
use PruningHook\Core\PlantBook\TaskRule;
use Tests\Support\Prescribing;
use Tests\Support\TestBook;

/** Every method of the trade: named, in the order of work, with steps that speak of this plant. */
final class MethodsTest extends TestCase
{
    use Prescribing;

    private const METHODS = ['clean', 'desucker', 'trace-out', 'thin', 'renew-by-thirds', 'renovate', 'restore-lopped', 'clear-the-stem', 'balanced', 'open-bowl', 'light-arc',
        'cut-to-flowering-height', 'spur-back', 'cane-renewal', 'cordon-laterals', 'vine-cane', 'vine-spur', 'shear', 'light-tidy', 'dead-head', 'stool', 'heading-back', 'train-and-tie', 'cut-down', 'prune-and-train'];

    public function test_each_has_a_name_and_answers_to_its_key(): void
    {
        $kind = TestBook::read()->kind('lilac');
        foreach (self::METHODS as $key) {
            $method = Methods::get($key);
            self::assertSame($key, $method->key());
            self::assertNotSame('', $method->name());
            self::assertNotSame([], $method->steps($kind), $key);
        }
        self::assertCount(count(self::METHODS), array_unique(array_map(static fn (string $key): string => Methods::get($key)->name(), self::METHODS)), 'no two are called the same');
        $this->expectException(Fault::class);
        Methods::get('topping');
    }

    public function test_they_follow_the_order_of_work(): void
    {
        $ranks = array_map(static fn (string $key): int => Methods::get($key)->rank(), ['clean', 'desucker', 'thin', 'renew-by-thirds', 'light-arc', 'train-and-tie']);
        $sorted = $ranks;
        sort($sorted);
        self::assertSame($sorted, $ranks, 'clean, suckers, thin, renew, shape, tie');
    }

    public function test_every_method_the_book_uses_is_one_of_them_and_most_are_used(): void
    {
        $used = [];
        foreach (TestBook::read()->all() as $kind) {
            foreach ($kind->tasks as $task) {
                $used = [...$used, ...array_map(static fn ($piece): string => $piece->value, $task->methods)];
            }
        }
        self::assertSame([], array_diff(array_unique($used), self::METHODS));
        self::assertGreaterThan(20, count(array_unique($used)));
    }

    /** @param  list<string>  $says */
    #[DataProvider('plants')]
    public function test_steps_speak_of_this_plant(Plant $plant, string $task, string $method, array $says): void
    {
        $found = $this->task($plant, $task);
        self::assertSame($method, $found->methodKey);
        $steps = implode(' ', $found->steps);
        foreach ($says as $words) {
            self::assertStringContainsString($words, $steps);
        }
        self::assertStringNotContainsString('{', $steps);
    }

    /** @return array<string, array{Plant, string, string, list<string>}> */
    public static function plants(): array
    {
        return [
            'a neglected lilac' => [Plant::of('p', 'lilac', stems: StemCount::of(9, 4), aim: 'renewal'), 'after-flowering', 'renovate', ['Take out 3 of the 9 old stems at the base this year', 'Leave the 4 stems of young wood']],
            'a lime to be walked under' => [Plant::of('p', 'lime', heightMm: 6000, aim: 'clear-stem'), 'winter-structure', 'clear-the-stem', ['Clear the stem to 1.8 m to 2 m', 'in three cuts']],
            'a lopped lime' => [Plant::of('p', 'lime', aim: 'renewal'), 'winter-structure', 'restore-lopped', ['keep the best one or two shoots', 'Shorten the stub', 'keep one leader']],
            'a willow for its stems' => [Plant::of('p', 'willow', form: 'multi-stem'), 'stooling', 'stool', ['low framework']],
            'a vine by weight' => [Plant::of('p', 'grape-vine', aim: 'fruit', practice: ['vine-system' => 'cane'], pruningsG: 1361), 'final-pass', 'balanced', ['Keep 50 buds in all']],
            'a variegated holly' => [Plant::of('p', 'holly'), 'trace-out', 'trace-out', ['Trace each to its origin']],
            'a vine with dead buds' => [Plant::of('p', 'grape-vine', budMortalityPercent: 50), 'final-pass', 'vine-spur', ['Cut each chosen cane to 6 nodes']],
        ];
    }

    public function test_a_willow_that_is_a_tree_is_not_stooled(): void
    {
        self::assertNull($this->prescribe(Plant::of('p', 'willow'))->task('stooling'));
        self::assertNotNull($this->prescribe(Plant::of('p', 'willow'))->task('winter-structure'));
        self::assertNull($this->prescribe(Plant::of('p', 'willow', form: 'multi-stem'))->task('winter-structure'));
    }

    public function test_no_task_of_the_book_lacks_a_kit(): void
    {
        foreach (TestBook::read()->all() as $kind) {
            foreach ($this->prescribe(Plant::of('p', $kind->id))->tasks as $task) {
                self::assertContains('eye protection', $task->kit->gear, $kind->id);
                self::assertGreaterThanOrEqual(1, $task->kit->people);
                self::assertGreaterThanOrEqual(0, $task->kit->debrisLitres);
                self::assertNotSame([], $task->kit->tools);
                self::assertContains('debris', array_map(static fn ($working): string => $working->what, $task->workings), "$kind->id $task->key");
            }
        }
    }

    public function test_first_year_tasks_are_the_same_for_all(): void
    {
        foreach (['lilac', 'bush-rose', 'apple'] as $kind) {
            self::assertArrayHasKey('first-year', array_map(static fn (TaskRule $task): string => $task->key, TestBook::read()->kind($kind)->tasks));
        }
    }
}
