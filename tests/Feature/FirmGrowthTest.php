<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** No page grows with the firm: three times the gardens make it ask, read and send no more. */
final class FirmGrowthTest extends TestCase
{
    /** Pages whose groups are few in a small firm: they fill up to a page of groups and then stand still. */
    private const FILLING = ['season by kind', 'season by crew', 'season by urgency', 'plan', 'crews', 'round'];

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
    ];

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

    /** @return array<string, array{status: int, queries: int, rows: int, bytes: int, scans: list<string>}> by page */
    private static function counts(int $gardens): array
    {
        $process = new Process(
            ['php', 'tests/bench', 'bench:firm', (string) $gardens, '--json'],
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
