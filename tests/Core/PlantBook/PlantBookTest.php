<?php

declare(strict_types=1);

namespace Tests\Core\PlantBook;

use App\Ground\Bridge\JsonSchema;
use App\Knowledge\PlantBookFiles;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Amount\AmountRules;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\PlantBook\KindReader;
use PruningHook\Core\PlantBook\Sources;
use Tests\Support\PlainKind;
use Tests\Support\TestBook;

final class PlantBookTest extends TestCase
{
    #[DataProvider('names')]
    public function test_a_kind_is_found_by_any_of_its_names(string $name, string $id): void
    {
        self::assertSame($id, TestBook::read()->find($name)?->id);
    }

    /** @return list<array{string, string}> */
    public static function names(): array
    {
        return [
            ['wisteria', 'wisteria'], ['Wisteria sinensis', 'wisteria'], ['BUDDLEJA DAVIDII', 'butterfly-bush'],
            ['buddleia', 'butterfly-bush'], ['butterfly bush', 'butterfly-bush'],
            ['Forsythia × intermedia', 'forsythia'], ['sour cherry', 'sour-cherry'], ['crepe myrtle', 'crape-myrtle'],
        ];
    }

    public function test_a_misspelt_name_gets_the_nearest(): void
    {
        self::assertSame('wisteria', strtolower((string) TestBook::read()->nearestName('wistria')));
        self::assertNull(TestBook::read()->nearestName('xyzzyplugh quux'));
    }

    public function test_every_file_passes_the_schema(): void
    {
        $root = dirname(__DIR__, 3);
        $schema = JsonSchema::fromFile("$root/plant-book/kind.schema.json");
        $kinds = (new PlantBookFiles("$root/plant-book", sys_get_temp_dir()))->kinds();
        foreach ($kinds as [$file, $kind]) {
            self::assertSame([], $schema->faults(json_decode((string) json_encode($kind))), $file);
        }
        self::assertCount(count($kinds), TestBook::read()->all());
    }

    public function test_the_schema_catches_a_misspelt_field(): void
    {
        $schema = JsonSchema::fromFile(dirname(__DIR__, 3).'/plant-book/kind.schema.json');
        $faults = $schema->faults(
            (object) [
                'id' => 'x',
                'name' => 'X',
                'botanical' => 'X y',
                'habit' => 'shrub',
                'wood' => 'old',
                'about' => 'A shrub.',
                'phenology' => (object) ['bud-break' => 'last-frost'],
                'tasks' => [],
                'bloom' => 'May',
            ],
        );
        self::assertContains('$.bloom: no such field is known here', $faults);
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('faulty')]
    public function test_a_fault_names_its_place(array $change, string $message): void
    {
        $this->expectException(Fault::class);
        $this->expectExceptionMessage($message);
        AmountRules::check(
            (new KindReader(Sources::of([]), TestBook::read()->recipes, TestBook::read()->stations))->read(
                Entry::of(array_replace_recursive(PlainKind::entry(['methods' => [['use' => 'thin']]]), $change)),
            ),
        );
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function faulty(): array
    {
        return [
            'an unknown anchor' => [
                ['tasks' => [['windows' => [['opens' => 'easter']]]]],
                'tasks[0].windows[0].opens: "easter" is not an anchor',
            ],
            'an unknown method' => [
                ['tasks' => [['methods' => [['use' => 'hack']]]]],
                'tasks[0].methods[0].use: "hack" is not a recipe',
            ],
            'an unlisted source' => [
                ['tasks' => [['windows' => [['source' => 'hearsay']]]]],
                'tasks[0].windows[0].source: "hearsay" is not listed',
            ],
            'an unknown amount rule' => [
                ['tasks' => [['amounts' => [['rule' => 'guess']]]]],
                'tasks[0].amounts[0].rule: "guess" is not an amount rule',
            ],
            'a pair that is not there' => [
                ['tasks' => [['pair' => ['task' => 'b', 'step' => 's']]]],
                '"b", which is no task here',
            ],
        ];
    }

    public function test_a_kind_knows_the_forms_it_is_trained_to(): void
    {
        $forms = static fn (string $kind): array => TestBook::read()->kind($kind)->forms;
        self::assertSame(['hedge'], $forms('yew'));
        self::assertContains('espalier', $forms('apple-espalier'));
        self::assertContains('wall', $forms('climbing-rose'));
        self::assertContains('free', $forms('lilac'));
    }
}
