<?php

declare(strict_types=1);

namespace Tests\Feature\Ground;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;

/** What only one database understands stands where it can be found by whoever brings another. */
final class OneDialectTest extends TestCase
{
    private const OWN_WORDS = '/\b(pragma|fts5|json_(extract|each|group_array)|rowid|vacuum|sqlite_[a-z]+|strftime'
        .'|julianday|group_concat|pg_[a-z_]+|ilike|string_agg|::[a-z]+)\b/i';

    private const PLACES = [
        'Support/SearchTables.php', 'Support/Dialect.php', 'Support/PostgresConnection.php',
        'Support/SqliteConnection.php', 'Ground/Upkeep',
    ];

    public function test_sql_that_one_database_alone_speaks_stands_in_its_place(): void
    {
        $app = dirname(__DIR__, 3).'/app';
        $astray = [];
        foreach (Finder::create()->files()->name('*.php')->in($app)->notPath(self::PLACES) as $file) {
            foreach ($this->texts($file->getContents()) as $text) {
                if (preg_match(self::OWN_WORDS, $text) === 1) {
                    $astray[] = $file->getRelativePathname().': '.$text;
                }
            }
        }
        self::assertSame([], $astray);
        self::assertNotSame([], $this->texts("<?php DB::statement('vacuum');"));
    }

    /** @return list<string> the texts of a file of PHP, without its code and comments */
    private function texts(string $code): array
    {
        $texts = array_filter(
            token_get_all($code),
            static fn (mixed $token): bool => is_array($token)
                && in_array($token[0], [T_CONSTANT_ENCAPSED_STRING, T_ENCAPSED_AND_WHITESPACE], true),
        );

        return array_values(array_map(static fn (array $token): string => $token[1], $texts));
    }
}
