<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use PHPUnit\Framework\TestCase;
use PruningHook\Core\Drawing\Bowl;
use PruningHook\Core\Structure\Clearance;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\StemJudge;
use PruningHook\Core\Structure\StemPlan;
use PruningHook\Core\Structure\Survey;
use Tests\Support\TestAim;

/** The geometry of the bowl, in mm. */
final class PicturesTest extends TestCase
{
    public function test_the_bowl_puts_north_up_and_tells_what_goes(): void
    {
        $stems = [
            Stem::of('n', 0, 30, 1000, 15, 2), Stem::of('e', 90, 30, 1000, 15, 2),
            Stem::of('s', 180, 30, 1000, 15, 6, [StemFault::Dead]), Stem::of('w', 270, 30, 1000, 15, 2),
        ];
        $survey = Survey::of($stems);
        $judge = StemJudge::with(new Clearance(110, 300, .12));
        $bowl = Bowl::of($survey, $judge->judge($survey, TestAim::of(StemPlan::Bowl, 3, 4, 5, 75, 'x')));
        self::assertLessThan(0, $bowl->spokes[0]->line->y2, 'north is up, and y grows downwards');
        self::assertGreaterThan(0, $bowl->spokes[1]->line->x2);
        self::assertSame(
            ['keep', 'keep', 'cut', 'keep'],
            array_map(static fn ($spoke): string => $spoke->kind, $bowl->spokes),
        );
        self::assertSame(1, $bowl->spokes[2]->order);
        // 500 mm out, and the crown's radius.
        self::assertEqualsWithDelta(500 + Clearance::crown($stems), $bowl->spokes[1]->line->x2, 0.1);
        self::assertStringContainsString('3 stems stay, 1 goes', $bowl->says);
        $label = $bowl->spokes[1]->label($bowl->reach);
        self::assertTrue(
            $label->x > $bowl->spokes[1]->line->x2 && $label->x < $bowl->reach,
            'the name stands beyond the tip and in the picture',
        );
        $south = $bowl->spokes[2];
        self::assertGreaterThan($south->line->y1, $south->seal()->y, 'the number stands on the spoke');
    }
}
