<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\PlantBook\HardCutting;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\Reason;
use PruningHook\Core\Units\Length;

/**
 * The line a hedge or topiary is held to. One that has outgrown it comes down over some seasons: in each no more of its
 * height than the cap allows, and where it does not break from bare wood no more than last season's growth. Common
 * practice, no source.
 */
final readonly class TargetSize
{
    public const WIDTH = 'width on top';

    /** @param  int  $extensionMm  a season's growth of its kind */
    public function __construct(private int $extensionMm)
    {
    }

    /** @return array{list<Amount>, list<string>, list<Reason>} amounts, steps beside those that say them, and why */
    public function for(AmountCase $case): array
    {
        [$amounts, $steps, $reasons] = [[], [], []];
        $target = $case->plant->state->targetHeightMm;
        if ($target !== null) {
            $now = $this->heightNow($case, $target);
            $amounts[] = Amount::exactly(ReduceHeight::AFTER, 'mm', $now, Effect::HeightAfter);
            $reasons[] = Reason::commonPractice('Target height', $now === $target
                ? sprintf('it is held at %s', Length::ofMm($target)->metric())
                : sprintf(
                    'it is held at %s and has outgrown it: %s this season, the rest in the next',
                    Length::ofMm($target)->metric(),
                    Length::ofMm($now)->metric(),
                ));
        }
        $width = $case->plant->state->widthMm;
        if ($width !== null) {
            $wide = $case->plant->spreadMm;
            $amounts[] = Amount::exactly(self::WIDTH, 'mm', $width);
            if ($wide !== null && $wide > $width + $this->extensionMm) {
                $steps[] = self::breaks($case->kind)
                    ? 'It is wider than that: take one face in this season, the other when the first is green again.'
                    : 'It is wider than that and does not break from bare wood: trim into the green only.';
            }
            $reasons[] = Reason::commonPractice(
                'Target width',
                sprintf('it is held at %s across', Length::ofMm($width)->metric()),
            );
        }

        return [$amounts, $steps, $reasons];
    }

    private function heightNow(AmountCase $case, int $target): int
    {
        $height = $case->plant->heightMm;
        if ($height === null || $height <= $target) {
            return $target;
        }
        $most = self::breaks($case->kind) ? intdiv($height * $case->budget->leftPercent(), 100) : $this->extensionMm;

        return max($target, $height - $most);
    }

    private static function breaks(Kind $kind): bool
    {
        return $kind->hardCutting !== HardCutting::Badly;
    }
}
