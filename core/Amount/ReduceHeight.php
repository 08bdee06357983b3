<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\Reason;
use PruningHook\Core\Units\Length;
use PruningHook\Core\Working;

/** Reducing by a share of the height the plant has now; where it has not been measured, the share itself. */
final readonly class ReduceHeight implements AmountRule
{
    public const AFTER = 'height after the cut';

    public const SHARE = 'share of the height to take off';

    private function __construct(
        private int $percent,
        private string $source,
    ) {
    }

    /** @throws Fault */
    public static function fromEntry(Entry $entry, string $source): self
    {
        return new self(
            $entry->whole('percent'),
            $source,
        );
    }

    public function for(AmountCase $case): Amounts
    {
        $plant = $case->plant;
        if ($plant->heightMm === null) {
            return Amounts::of([Amount::exactly(self::SHARE, '%', $this->percent)], new Reason(
                'Reduce by a share',
                sprintf('take off %d %% of the height; its height has not been measured', $this->percent),
                $this->source,
            ));
        }
        $after = (int) round($plant->heightMm * (100 - $this->percent) / 100);
        $play = intdiv($plant->heightMm, 20);

        return Amounts::of(
            [Amount::of(self::AFTER, 'mm', $after - $play, $after, $after + $play, Effect::HeightAfter)],
            new Reason(
                'Reduce by a share',
                sprintf(
                    '%s tall less %d %% leaves %s', Length::ofMm($plant->heightMm)->metric(), $this->percent,
                    Length::ofMm($after)->metric(),
                ),
                $this->source,
            ),
        )->with(
            new Working(
                self::AFTER, 'height x (100 - share) / 100',
                sprintf('%d x (100 - %d) / 100 mm', $plant->heightMm, $this->percent), Length::ofMm($after)->metric(),
                $this->source,
            ),
        );
    }
}
