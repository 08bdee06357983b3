<?php

declare(strict_types=1);

namespace Tests\Core\PlantBook;

use App\Knowledge\PlantBookFiles;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Inheritance;

/** A kind laid over its group; and a plant book on disk that is wrong names file, kind and place. */
final class InheritanceTest extends TestCase
{
    private string $folder = '';

    protected function tearDown(): void
    {
        if ($this->folder !== '') {
            exec('rm -rf '.escapeshellarg($this->folder));
        }
    }

    public function test_named_values_are_laid_over_lists_replaced_and_tasks_matched_by_key(): void
    {
        $groups = [
            'shrub' => [
                'habit' => 'shrub',
                'traits' => ['dense'],
                'phenology' => ['bud-break' => 'a', 'leaf-fall' => 'b'],
                'tasks' => [
                    ['key' => 'one', 'name' => 'One', 'minutes' => ['base' => 4]],
                    ['key' => 'two', 'name' => 'Two'],
                ],
            ],
        ];
        $kind = (new Inheritance($groups))->complete([
            'id' => 'k',
            'group' => 'shrub',
            'traits' => ['thorny'],
            'phenology' => ['bud-break' => 'c'],
            'tasks' => [['key' => 'one', 'name' => 'Other'], ['key' => 'three']],
        ]);
        self::assertSame('shrub', $kind['habit']);
        self::assertSame(['thorny'], $kind['traits']);
        self::assertSame(['bud-break' => 'c', 'leaf-fall' => 'b'], $kind['phenology']);
        self::assertSame(
            [
                ['key' => 'one', 'name' => 'Other', 'minutes' => ['base' => 4]],
                ['key' => 'two', 'name' => 'Two'],
                ['key' => 'three'],
            ],
            $kind['tasks'],
        );
    }

    public function test_a_kind_without_a_group_stays_as_it_is(): void
    {
        self::assertSame(['id' => 'k'], (new Inheritance([]))->complete(['id' => 'k']));
    }

    public function test_a_group_that_is_not_there_is_told(): void
    {
        $this->expectException(Fault::class);
        $this->expectExceptionMessage('no group "trees" in groups.yaml');
        (new Inheritance([]))->complete(['id' => 'k', 'group' => 'trees']);
    }

    public function test_a_form_of_a_kind_says_only_what_differs_and_bears_its_own_names(): void
    {
        $kinds = [
            'oak' => ['id' => 'oak', 'group' => 'tree', 'also' => ['English oak'], 'family' => 'Fagaceae', 'tasks' => [
                ['key' => 'thin', 'minutes' => 20],
            ]],
            'pin-oak' => ['id' => 'pin-oak', 'group' => 'oak', 'tasks' => [['key' => 'lift']]],
            'round' => ['id' => 'round', 'group' => 'round'],
        ];
        $inheritance = new Inheritance(['tree' => ['habit' => 'tree', 'tasks' => []]], $kinds);
        $pin = $inheritance->complete($kinds['pin-oak']);
        self::assertSame(['pin-oak', 'tree', 'Fagaceae'], [$pin['id'], $pin['habit'], $pin['family']]);
        self::assertSame(['thin', 'lift'], array_column((array) $pin['tasks'], 'key'));
        self::assertArrayNotHasKey('also', $pin, 'an English oak is no pin oak');
        $this->expectExceptionMessage('no group "round" in groups.yaml, and no such kind');
        $inheritance->complete($kinds['round']);
    }

    public function test_a_file_that_is_not_yaml_is_named(): void
    {
        $this->expectExceptionMessage('broken.yaml');
        $this->book(['kinds/broken.yaml' => "id: [x\n"])->readAll();
    }

    public function test_a_fault_in_a_kind_names_file_kind_and_place(): void
    {
        $this->expectExceptionMessage(
            'kinds/rose.yaml dog-rose: phenology.bud-break: "easter" is not an anchor of the year',
        );
        $this->book([
            'kinds/rose.yaml' => "id: dog-rose\nname: Dog rose\nbotanical: Rosa canina\nhabit: shrub\nwood: "
                ."old\nphenology: {bud-break: easter}\ntasks: []\n",
        ])->readAll();
    }

    public function test_two_kinds_may_not_answer_to_one_name(): void
    {
        $this->expectExceptionMessage('a and b are both called "Dog rose"');
        $kind = static fn (
            string $id,
        ): string => "  - {id: $id, name: Dog rose, botanical: Rosa $id, habit: shrub, wood: old, about: x, "
            .'tasks: [{key: t, name: T, methods: [{use: wait}], '
            .'windows: [{opens: midwinter, best_from: midwinter, best_to: midwinter, closes: midwinter, '
            ."because: x}]}]}\n";
        $real = dirname(__DIR__, 3).'/plant-book';
        $this->book([
            'kinds/rose.yaml' => "kinds:\n".$kind('a').$kind('b'),
            'figures.yaml' => (string) file_get_contents("$real/figures.yaml"),
            'states.yaml' => (string) file_get_contents("$real/states.yaml"),
            'sources.yaml' => (string) file_get_contents("$real/sources.yaml"),
            'recipes/wait.yaml' => "key: wait\nname: Wait\nrank: 1\nsteps: [{key: wait, says: Wait.}]\n",
            'general.yaml' => "removal_caps: {by_habit: {shrub: {percent: 33}}}\n",
        ])->readAll();
    }

    public function test_a_changed_file_is_read_anew(): void
    {
        $book = $this->book(['sources.yaml' => "sources: []\n", 'kinds/none.yaml' => "kinds: []\n"]);
        self::assertSame([], $book->decoded()['sources.yaml']['sources']);
        file_put_contents($this->folder.'/sources.yaml', "sources: [{key: a, quote: A book}]\n");
        clearstatcache();
        self::assertSame([['key' => 'a', 'quote' => 'A book']], $book->decoded()['sources.yaml']['sources']);
    }

    public function test_an_empty_folder_is_told(): void
    {
        $this->expectExceptionMessage('no plant book files');
        $this->book([])->readAll();
    }

    /** @param  array<string, string>  $files */
    private function book(array $files): PlantBookFiles
    {
        $this->folder = sys_get_temp_dir().'/plant-book-'.bin2hex(random_bytes(6));
        mkdir($this->folder.'/kinds', recursive: true);
        mkdir($this->folder.'/recipes');
        mkdir($this->folder.'/cache');
        if ($files !== []) {
            $files['stations.yaml'] ??= (string) file_get_contents(dirname(__DIR__, 3).'/plant-book/stations.yaml');
        }
        foreach ($files as $name => $content) {
            file_put_contents("$this->folder/$name", $content);
        }

        return new PlantBookFiles($this->folder, $this->folder.'/cache');
    }
}
