<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\Reason;
use PruningHook\Core\Working;

/** Nodes to leave where some buds are dead: wanted / (1 - mortality). Three wanted and a quarter dead: leave four. */
final readonly class BudsWithLosses implements AmountRule
{
    /** Where nothing is said of it: of a hundred buds one lives. */
    private const ALL_BUT_ONE = 99;

    private function __construct(
        private string $what,
        private int $wanted,
        /** more dead buds than this, in per cent, and the cane is not worth counting on */
        private int $mostDead,
        private string $source,
    ) {
    }

    /** @throws Fault */
    public static function fromEntry(Entry $entry, string $source): self
    {
        return new self(
            $entry->string('what'), $entry->whole('wanted'), $entry->int('most_dead') ?? self::ALL_BUT_ONE, $source,
        );
    }

    public static function leave(int $wanted, int $mortalityPercent, int $mostDead): int
    {
        return (int) round($wanted * 100 / (100 - min($mortalityPercent, $mostDead)));
    }

    public function for(AmountCase $case): Amounts
    {
        $plant = $case->plant;
        $dead = $plant->budMortalityPercent;
        if ($dead === null || $dead === 0) {
            return Amounts::of(
                [Amount::exactly($this->what, 'nodes', $this->wanted, Effect::NodesOnSpurs)],
                new Reason(
                    ucfirst($this->what),
                    sprintf(
                        '%d nodes, the base node counted; count only live buds, and leave one more for each that is '
                            .'dead',
                        $this->wanted,
                    ),
                    $this->source,
                ),
            );
        }
        $leave = self::leave($this->wanted, $dead, $this->mostDead);

        return Amounts::of(
            [Amount::exactly($this->what, 'nodes', $leave, Effect::NodesOnSpurs)],
            new Reason(
                ucfirst($this->what),
                sprintf(
                    '%d live ones are wanted and %d %% of the buds are dead: leave %d%s', $this->wanted, $dead,
                    $leave, $dead > $this->mostDead ? '; so much is dead that another cane is the better choice' : '',
                ),
                $this->source,
            ),
        )->with(
            new Working(
                $this->what, 'wanted / (1 - share of dead buds), rounded',
                sprintf('%d / (1 - %.2f)', $this->wanted, $dead / 100), "$leave nodes", $this->source,
            ),
        );
    }
}
