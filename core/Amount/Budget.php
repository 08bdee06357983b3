<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Reason;
use PruningHook\Core\Working;

/**
 * The removal budget of one plant in one season, in per cent of its live growth: what may go, what has gone by the
 * record, what is left. Cleaning wood is free: the record counts live growth only.
 */
final readonly class Budget
{
    private function __construct(
        public int $capPercent,
        public int $usedPercent,
        public string $source,
    ) {
    }

    /**
     * @param  list<LoggedWork>  $history  of the plant, all seasons
     */
    public static function of(int $capPercent, string $source, array $history, int $season): self
    {
        $kept = 1.0;
        foreach ($history as $work) {
            if ($work->season === $season && $work->removedPercent !== null) {
                // Each cut is judged against what stood there that day.
                $kept *= 1 - $work->removedPercent / 100;
            }
        }

        return new self($capPercent, (int) round(100 * (1 - $kept)), $source);
    }

    /**
     * What may still go, in per cent of what stands now: with 33 % allowed and 20 % gone, 16 % of what is left.
     */
    public function leftPercent(): int
    {
        return $this->usedPercent >= $this->capPercent
            ? 0
            : (int) floor(100 * ($this->capPercent - $this->usedPercent) / (100 - $this->usedPercent));
    }

    public function isSpent(): bool
    {
        return $this->usedPercent > 0 && $this->usedPercent >= $this->capPercent;
    }

    public function reason(): Reason
    {
        return new Reason(
            'Budget',
            $this->usedPercent === 0
                ? sprintf(
                    'up to %d %% of its live growth may go this season; nothing has yet. Dead, diseased and damaged '
                        .'wood is free',
                    $this->capPercent,
                )
                : sprintf(
                    'up to %d %% of its live growth may go this season and %d %% has: %d %% of what stands is left '
                        .'to go',
                    $this->capPercent, $this->usedPercent, $this->leftPercent(),
                ),
            $this->source,
        );
    }

    public function working(): Working
    {
        return new Working(
            'budget left', '(cap - used) / (100 - used)',
            sprintf('(%d - %d) / (100 - %d) %%', $this->capPercent, $this->usedPercent, $this->usedPercent),
            $this->leftPercent().' % of what stands now', $this->source,
        );
    }
}
