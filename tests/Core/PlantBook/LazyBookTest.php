<?php

declare(strict_types=1);

namespace Tests\Core\PlantBook;

use App\Knowledge\OwnEntry;
use App\Knowledge\PlantBookFiles;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\PlantBook\Vigour;
use Tests\Support\TestBook;

/** A book read kind by kind is the book read at once; what the firm says of it and cannot be read is put aside. */
final class LazyBookTest extends TestCase
{
    public function test_kinds_read_when_asked_for_are_those_read_at_once(): void
    {
        $lazy = self::read();
        self::assertEquals(TestBook::read()->names, $lazy->names);
        foreach (TestBook::read()->all() as $id => $kind) {
            self::assertEquals($kind, $lazy->kind($id), $id);
        }
        self::assertSame($lazy->kind('lilac'), $lazy->kind('lilac'), 'each is read once');
        self::assertSame('lilac', $lazy->find('Syringa VULGARIS')?->id);
        self::assertSame(['lilac'], array_values(array_intersect($lazy->named('common lil'), ['lilac', 'rose'])));
        self::assertSame('some old kind', $lazy->nameOf('some-old-kind'));
    }

    public function test_an_own_kind_stands_beside_the_books(): void
    {
        $book = self::read([
            'grey-lilac' => new OwnEntry('grey-lilac', 'lilac', [
                'name' => 'Grey lilac',
                'botanical' => 'Syringa cinerea',
            ]),
        ]);
        self::assertSame('Grey lilac', $book->kind('grey-lilac')->name);
        self::assertEquals($book->kind('lilac')->phenology, $book->kind('grey-lilac')->phenology);
        self::assertSame('grey-lilac', $book->find('syringa cinerea')?->id);
        self::assertSame([], $book->putAside);
    }

    public function test_what_cannot_be_read_is_put_aside_and_the_rest_stands(): void
    {
        $book = self::read([
            'lilac' => new OwnEntry('lilac', null, ['phenology' => ['bloom-start' => 'easter']]),
            'grey-lilac' => new OwnEntry('grey-lilac', 'no-such-kind', ['name' => 'Grey lilac']),
            'wisteria' => new OwnEntry('wisteria', null, ['vigour' => 'weak']),
            'second-rose' => new OwnEntry('second-rose', 'lilac', ['name' => 'Wisteria', 'botanical' => 'Nova nova']),
        ]);
        self::assertSame(['lilac', 'grey-lilac', 'second-rose'], array_keys($book->putAside));
        self::assertStringContainsString('"easter" is not an anchor', $book->putAside['lilac']);
        self::assertStringContainsString('there is no kind "no-such-kind"', $book->putAside['grey-lilac']);
        self::assertStringContainsString('both called', $book->putAside['second-rose']);
        self::assertEquals(TestBook::read()->kind('lilac'), $book->kind('lilac'), "the book's own word holds");
        self::assertSame(Vigour::Weak, $book->kind('wisteria')->vigour);
        $this->expectException(Fault::class);
        $this->expectExceptionMessage(
            'the plant book has no kind "grey-lilac": the firm\'s own grey-lilac: there is no kind "no-such-kind"',
        );
        $book->kind('grey-lilac');
    }

    public function test_what_the_firm_says_is_merged_once_and_read_from_then_on(): void
    {
        $lost = 'lost-'.bin2hex(random_bytes(4));
        $read = static fn (string $note): PlantBook => self::read([
            'lilac' => new OwnEntry('lilac', null, ['vigour' => $note]),
            $lost => new OwnEntry($lost, 'no-such-kind', []),
        ]);
        $files = static fn (): array => array_values(array_filter(
            (array) glob(sys_get_temp_dir().'/plant-own-*.php'),
            static fn (mixed $file): bool => str_contains((string) file_get_contents((string) $file), $lost),
        ));
        $first = $read('weak');
        self::assertSame(Vigour::Weak, $first->kind('lilac')->vigour);
        [$kept] = $files();
        // What is found beside the book is taken as it is.
        $state = (string) file_get_contents((string) $kept);
        file_put_contents((string) $kept, str_replace('no-such-kind', 'kept', $state));
        $again = $read('weak');
        self::assertStringContainsString('"kept"', $again->putAside[$lost]);
        self::assertEquals($first->kind('lilac'), $again->kind('lilac'));
        self::assertSame($first->names['lilac']->name, $again->names['lilac']->name);
        // Another correction is merged anew, and so is one that was tidied away or cut short.
        self::assertSame(Vigour::Strong, $read('strong')->kind('lilac')->vigour);
        unlink((string) $kept);
        self::assertStringContainsString('no-such-kind', $read('weak')->putAside[$lost]);
        file_put_contents((string) $kept, '');
        self::assertStringContainsString('no-such-kind', $read('weak')->putAside[$lost]);
        array_map(static fn (mixed $file): bool => unlink((string) $file), $files());
    }

    public function test_the_mark_changes_with_the_book_and_only_then(): void
    {
        $folder = sys_get_temp_dir().'/book-'.bin2hex(random_bytes(4));
        mkdir("$folder/kinds", recursive: true);
        file_put_contents("$folder/general.yaml", "tasks: []\n");
        $files = new PlantBookFiles($folder, sys_get_temp_dir());
        $before = $files->mark();
        self::assertSame($before, $files->mark());
        file_put_contents("$folder/kinds/new.yaml", "kinds: []\n");
        self::assertNotSame($before, $files->mark());
        array_map(unlink(...), ["$folder/kinds/new.yaml", "$folder/general.yaml"]);
        rmdir("$folder/kinds");
        rmdir($folder);
    }

    /** @param  array<string, OwnEntry>  $own */
    private static function read(array $own = []): PlantBook
    {
        return (new PlantBookFiles(dirname(__DIR__, 3).'/plant-book', sys_get_temp_dir()))->read($own);
    }
}
