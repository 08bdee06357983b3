<?php

declare(strict_types=1);

namespace Tests\Feature;

use PDO;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** No page grows with the firm: three times the gardens make it ask, read and send no more. */
final class FirmGrowthTest extends TestCase
{
    /** Pages whose groups are few in a small firm: they fill up to a page of groups, or a day, and stand still. */
    private const FILLING = ['season by kind', 'season by crew', 'season by urgency', 'plan', 'crews', 'round',
        'round of a crew', 'bench'];

    /** A page of twenty groups with a count for each week of the year, the lists beside it, and its bytes. */
    private const FULL_ROWS = 2200;

    private const FULL_BYTES = 200_000;

    /** What asking for all of it would read from one end to the other. */
    private const LONG = [
        'plants',
        'visits',
        'visit_tasks',
        'work_logs',
        'season_tasks',
        'observations',
        'bloom_notes',
        'stem_surveys',
        'entries',
        'photos',
        'changes',
        'letters',
        'client_words',
        'kept_treatments',
        'stem_taps',
        'bench_answers',
        'import_rows',
        'sent_forms',
    ];

    /** Who said or did it: asked only for a row that is there already, and nobody who has is ever deleted. */
    private const WHO = ['planned_by', 'seen_by', 'written_by', 'asked_by', 'said_by', 'taken_by', 'noted_by', 'by_id',
        'made_by', 'heard_by', 'logged_by'];

    public function test_no_page_asks_reads_or_sends_more_in_a_firm_of_twice_the_gardens(): void
    {
        // With fewer, some part of a page still has nothing to show.
        $small = self::counts(120);
        $grown = [];
        foreach (self::counts(240) as $page => $now) {
            $before = $small[$page];
            self::assertSame(200, $now['status'], $page);
            foreach ($now['scans'] as $scan) {
                self::assertNotContains(strstr($scan, ':', true), self::LONG, "$page reads all of $scan");
            }
            $filling = in_array($page, self::FILLING, true);
            // A fifth of the rows and a tenth of the bytes: no two visits are of the same length, nor two names.
            $rows = $filling ? self::FULL_ROWS : $before['rows'] * 1.2 + 12;
            $bytes = $filling ? self::FULL_BYTES : $before['bytes'] * 1.1 + 1000;
            if ($now['queries'] > $before['queries'] || $now['rows'] > $rows || $now['bytes'] > $bytes) {
                $grown[] = sprintf(
                    '%s: %d to %d queries, %d to %d rows, %d to %d bytes',
                    $page,
                    $before['queries'],
                    $now['queries'],
                    $before['rows'],
                    $now['rows'],
                    $before['bytes'],
                    $now['bytes'],
                );
            }
        }
        self::assertSame([], $grown);
        self::assertGreaterThan(30, count($small));
    }

    /** Rows are asked by what they belong to, and go with it. */
    public function test_every_foreign_key_that_is_asked_by_leads_an_index(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'hook');
        (new Process(
            ['php', 'artisan', 'migrate', '--force'], dirname(__DIR__, 2), ['DB_DATABASE' => $file],
        ))->mustRun();
        $database = new PDO("sqlite:$file");
        $rows = static fn (string $sql): array => (array) $database->query($sql)?->fetchAll(PDO::FETCH_ASSOC);
        $bare = [];
        foreach (array_column($rows("select name from sqlite_master where type = 'table'"), 'name') as $table) {
            $led = array_column(array_filter(
                $rows("pragma table_info('$table')"), static fn (array $column): bool => (int) $column['pk'] === 1,
            ), 'name');
            foreach (array_column($rows("pragma index_list('$table')"), 'name') as $index) {
                $led[] = $rows("pragma index_info('$index')")[0]['name'];
            }
            foreach (array_column($rows("pragma foreign_key_list('$table')"), 'from') as $key) {
                if (! in_array($key, [...$led, ...self::WHO], true)) {
                    $bare[] = "$table.$key";
                }
            }
        }
        unlink($file);
        self::assertSame([], $bare);
        self::assertContains('kept_plants', array_column($rows('select name from sqlite_master'), 'name'));
    }

    /** @return array<string, array{status: int, queries: int, rows: int, bytes: int, scans: list<string>}> by page */
    private static function counts(int $gardens): array
    {
        $process = new Process(
            ['php', 'tests/benchmark', 'bench:firm', (string) $gardens, '--json'],
            dirname(__DIR__, 2),
            ['HOOK_TODAY' => '2027-03-01'],
            timeout: 300,
        );
        $process->mustRun();
        /** @var array<string, array{status: int, queries: int, rows: int, bytes: int, scans: list<string>}> */
        $counts = json_decode($process->getOutput(), true, flags: JSON_THROW_ON_ERROR);

        return $counts;
    }
}
