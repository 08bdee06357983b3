<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Str;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;

/** What a view sets going it also brings: a part that is not there before the page begins is deaf to the first key. */
final class PartsTest extends TestCase
{
    /** Every page has these; the last two come with what logs in the garden, which starts its pages itself. */
    private const EVERYWHERE = ['keys', 'fold', 'offer', 'logForm', 'pictures'];

    public function test_each_view_brings_the_parts_it_uses_and_no_other(): void
    {
        $root = dirname(__DIR__, 2);
        $used = [];
        foreach (Finder::create()->files()->name('*.blade.php')->in("$root/resources/views") as $file) {
            $view = $file->getContents();
            preg_match_all('/x-data="(\w+)/', $view, $names);
            preg_match_all('/<x-part name="([\w-]+)"/', $view, $brought);
            $wanted = array_map(Str::kebab(...), array_diff($names[1], self::EVERYWHERE));
            self::assertEqualsCanonicalizing(
                array_unique($wanted),
                array_unique($brought[1]),
                $file->getRelativePathname(),
            );
            $used = [...$used, ...$wanted];
        }
        $kept = [];
        foreach (Finder::create()->files()->in("$root/resources/js/parts") as $file) {
            $kept[] = $file->getBasename('.js');
        }
        self::assertEqualsCanonicalizing($kept, array_unique($used));
    }
}
