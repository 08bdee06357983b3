<?php

declare(strict_types=1);

namespace Tests\Core\Method;

use PHPUnit\Framework\TestCase;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\StemCount;
use Tests\Support\Prescribing;

/** What a crew brings. All of it common practice of the trade. */
final class PackingTest extends TestCase
{
    use Prescribing;

    public function test_tools_go_by_the_thickest_wood(): void
    {
        $tools = fn (string $kind, int $height, string $task): string => implode(
            '; ',
            $this->task(new Plant('p', $kind, heightMm: $height), $task)->kit->tools,
        );
        // 12 mm for each metre of a shrub: 18 mm at 1.5 m, 36 mm at 3 m, 60 mm at 5 m.
        self::assertStringNotContainsString('loppers', $tools('forsythia', 1500, 'after-flowering'));
        self::assertStringContainsString('loppers (wood to about 36 mm)', $tools('forsythia', 3000, 'after-flowering'));
        self::assertStringContainsString('pruning saw (wood to about 60 mm)', $tools('lilac', 5000, 'after-flowering'));
        self::assertStringContainsString('shears', $tools('box-hedge', 600, 'first-trim'));
    }

    public function test_a_ladder_brings_a_second_person(): void
    {
        $kit = $this->task(new Plant('p', 'wisteria', heightMm: 3200), 'winter-pass')->kit;
        self::assertSame(2, $kit->people);
        self::assertContains('ladder', $kit->tools);
        self::assertSame(1, $this->task(new Plant('p', 'forsythia', heightMm: 1500), 'after-flowering')->kit->people);
    }

    public function test_thorns_and_sap_are_dressed_for(): void
    {
        self::assertContains(
            'thorn-proof gloves and sleeves',
            $this->task(new Plant('p', 'bush-rose'), 'main-pruning')->kit->gear,
        );
        self::assertContains('eye protection', $this->task(new Plant('p', 'lilac'), 'after-flowering')->kit->gear);
    }

    public function test_ties_are_counted_along_the_length(): void
    {
        // One about every 45 cm of a run of 6 m: fourteen.
        self::assertStringContainsString(
            '14 soft ties',
            $this->task(new Plant('p', 'blackberry', heightMm: 1800, runMm: 6000), 'laterals')->kit->materials[0],
        );
        self::assertSame([], $this->task(new Plant('p', 'lilac'), 'after-flowering')->kit->materials);
    }

    public function test_cuttings_grow_with_the_plant_and_with_what_is_taken(): void
    {
        $litres = fn (int $height, ?StemCount $stems): int => $this->task(
            new Plant('p', 'forsythia', heightMm: $height, spreadMm: $height, stems: $stems),
            'after-flowering',
        )->kit->debrisLitres;
        // 2 x 2^2 m, a third taken, lying at 35 %: 8 x 0.33 x 0.35 = 0.924 m3.
        self::assertSame(924, $litres(2000, StemCount::of(9, 4)));
        self::assertLessThan($litres(2000, null), $litres(1000, null));
    }

    public function test_what_follows_comes_with_its_day(): void
    {
        $kit = $this->task(new Plant('p', 'bush-rose', grafted: true), 'main-pruning')->kit;
        $what = array_column($kit->followUps, 'what');
        self::assertContains('Water it in if no rain has come', $what);
        self::assertContains('Look for suckers below the graft', $what);
        self::assertStringContainsString(
            'One spoon of rose food, 10 cm clear of the stem',
            implode(' ', $kit->aftercare),
        );
    }

    public function test_every_number_shows_its_working(): void
    {
        $workings = $this->task(new Plant('p', 'bluebeard', heightMm: 950, floweringHeightMm: 1100), 'spring-cut')
            ->workings;
        $cut = array_values(array_filter($workings, static fn ($working): bool => $working->what === 'cut height'))[0];
        self::assertSame('1100 - 750 mm; framework 300 mm', $cut->figures);
        self::assertSame('35 cm', $cut->result);
        self::assertContains('minutes', array_map(static fn ($working): string => $working->what, $workings));
    }
}
