<?php

declare(strict_types=1);

namespace Tests\Core\Safety;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Fault;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Safety\Cautions;
use Tests\Support\Prescribing;
use Tests\Support\Sites;
use Tests\Support\TestBook;

/** Cautions stand where the work is. That they do is common practice, no source; local codes come first. */
final class CautionsTest extends TestCase
{
    use Prescribing;

    #[DataProvider('cases')]
    public function test_what_calls_for_a_caution(
        Plant $plant,
        string $task,
        string $word,
        bool $said,
        ?Site $site = null,
    ): void {
        $all = implode(' ', $this->task($plant, $task, $site)->cautions);
        $said ? self::assertStringContainsString($word, $all) : self::assertStringNotContainsString($word, $all);
    }

    /** @return array<string, array{0: Plant, 1: string, 2: string, 3: bool, 4?: Site}> */
    public static function cases(): array
    {
        $rose = static fn (int $height): Plant => new Plant('r', 'climbing-rose', heightMm: $height);

        return [
            'a ladder above reach' => [$rose(2300), 'prune-and-train', 'ladder', true],
            'none within reach' => [$rose(1900), 'prune-and-train', 'ladder', false],
            'a typical height where none is measured' => [
                new Plant('t', 'crape-myrtle'), 'winter-structure', 'ladder', true,
            ],
            'thorns' => [$rose(1900), 'prune-and-train', 'Thorns', true],
            'no thorns' => [new Plant('f', 'forsythia'), 'after-flowering', 'Thorns', false],
            'nests in a dense plant in spring' => [new Plant('f', 'forsythia'), 'after-flowering', 'nests', true],
            'no nests in deep winter' => [new Plant('k', 'hardy-kiwi-female'), 'winter-pass', 'nests', false],
            'nests in the southern spring' => [
                new Plant('f', 'forsythia'), 'after-flowering', 'nests', true, Sites::southernEnglandMirrored(),
            ],
            'nests in an open plant, where its window reaches into spring' => [
                new Plant('c', 'blackcurrant'), 'winter-renewal', 'nests', true,
            ],
            'no nests in a grass' => [new Plant('m', 'miscanthus'), 'cut-down', 'nests', false],
            'yew clippings by a field' => [new Plant('y', 'yew'), 'late-trim', 'kill horses and cattle', true],
            'cherry laurel in a van' => [new Plant('l', 'cherry-laurel'), 'shaping', 'cyanide', true],
            'rue in sunlight' => [new Plant('r', 'rue'), 'spring-cut', 'burns skin in sunlight', true],
            'a clematis' => [new Plant('c', 'late-clematis'), 'late-winter', 'sap can irritate', true],
            'an ash' => [new Plant('a', 'ash', heightMm: 4000), 'winter-structure', 'Ash dieback', true],
            'a power line' => [
                new Plant('c', 'blackcurrant', hazards: ['power-line']), 'winter-renewal', 'power line', true,
            ],
            'poison' => [new Plant('w', 'wisteria'), 'winter-pass', 'poisonous', true],
            'a protected tree' => [new Plant('p', 'plane'), 'winter-structure', 'consent', true],
            'heat in summer work' => [new Plant('w', 'wisteria'), 'summer-pass', 'High summer', true],
            'no heat in winter work' => [new Plant('w', 'wisteria'), 'winter-pass', 'High summer', false],
        ];
    }

    public function test_the_hazards_of_the_place_come_first_and_nothing_is_said_twice(): void
    {
        $plant = new Plant('r', 'climbing-rose', heightMm: 3000, hazards: ['road', 'power-line', 'road']);
        $cautions = $this->task($plant, 'prune-and-train')->cautions;
        self::assertStringContainsString('Traffic', $cautions[0]);
        self::assertStringContainsString('power line', $cautions[1]);
        self::assertSame($cautions, array_values(array_unique($cautions)));
    }

    public function test_a_hazard_without_words_is_a_fault_and_not_silence(): void
    {
        $this->expectException(Fault::class);
        $this->expectExceptionMessage('no caution is called "bear"');
        $this->task(new Plant('c', 'blackcurrant', hazards: ['bear']), 'winter-renewal');
    }

    public function test_every_caution_is_short_and_called_for_somewhere(): void
    {
        $called = ['power-line', 'road', 'glass', 'nests', 'ladder', 'thorns', 'boundary'];
        foreach (TestBook::read()->all() as $kind) {
            $called = [...$called, ...$kind->cautions];
            foreach ($kind->tasks as $task) {
                $called = [...$called, ...$task->cautions];
            }
        }
        foreach (TestBook::read()->cautions as $key => $text) {
            self::assertLessThan(160, strlen($text), "$key is too long to be read up a ladder");
            self::assertContains($key, $called, "$key is never said");
        }
    }

    public function test_the_texts_can_be_had_without_a_plant_book(): void
    {
        $task = TestBook::read()->kind('forsythia')->tasks['after-flowering'];
        $year = \PruningHook\Core\Calendar\SiteYear::of(Sites::southernEngland(), 2027);
        $window = $this->task(new Plant('f', 'forsythia', heightMm: 1500), 'after-flowering')->window;
        self::assertSame(
            ['Look for nests.'],
            Cautions::from(['nests' => 'Look for nests.'], TestBook::read()->figures)->for(
                TestBook::read()->kind('forsythia'), new Plant('f', 'forsythia', heightMm: 1500), $task, $window,
                $year, true,
            ),
        );
    }
}
