<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;

/** A line that the eye must scroll for is not read: 120 characters, in code, views, scripts and styles alike. */
final class LinesTest extends TestCase
{
    private const LONGEST = 120;

    public function test_no_line_is_longer_than_the_eye_can_hold(): void
    {
        $root = dirname(__DIR__, 2);
        $files = Finder::create()->files()->name(['*.php', '*.js', '*.mjs', '*.scss'])->in(array_map(
            static fn (string $folder): string => "$root/$folder",
            ['app', 'config', 'core', 'database', 'resources', 'routes', 'tests'],
        ));
        $long = [];
        foreach ($files as $file) {
            foreach (explode("\n", $file->getContents()) as $number => $line) {
                if (mb_strlen($line) > self::LONGEST) {
                    $long[] = sprintf('%s:%d', $file->getRelativePathname(), $number + 1);
                }
            }
        }
        self::assertGreaterThan(400, count($files));
        self::assertSame([], $long);
    }
}
