<?php

declare(strict_types=1);

namespace PruningHook\Core\Exercise;

use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Growth\Cutting;
use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Prescription\Task;

/** Cuts as single things that have to go: a cut to a height is as many as there are stems above it. */
final readonly class RequiredCuts
{
    /** Of a height, to either side, where its amount has no bounds. Common practice. */
    private const NEAR = 0.1;

    public function __construct(private LivingPlant $plant, private Task $task)
    {
    }

    /** @return 'dead'|'stem'|'height'|'lateral' what sort of cut it is on a plant */
    public static function sort(LivingPlant $plant, Cut $cut): string
    {
        $axis = $plant->axes[$cut->axis ?? -1] ?? null;

        return match (true) {
            $axis !== null && $axis->isDead() => 'dead',
            $axis !== null && $cut->does === 'thin' && $axis->parent === null => 'stem',
            in_array($cut->does, ['down', 'raise'], true),
            $axis !== null && $cut->does === 'head' && $axis->parent === null => 'height',
            default => 'lateral',
        };
    }

    /**
     * @param  list<Cut>  $cuts  in their order
     * @return list<RequiredCut>
     */
    public function of(array $cuts): array
    {
        $jobs = [];
        $stands = $this->plant;
        foreach ($cuts as $cut) {
            $left = Cutting::of($stands, [$cut])->plant;
            array_push($jobs, ...$this->between($stands, $left, $cut));
            $stands = $left;
        }

        return $jobs;
    }

    /** @return list<RequiredCut> one for each axis that is cut itself, with what grows from it */
    private function between(LivingPlant $stands, LivingPlant $left, Cut $cut): array
    {
        $sort = self::sort($stands, $cut);
        $root = [];
        $nodes = [];
        foreach ($stands->axes as $id => $axis) {
            $keep = ($left->axes[$id] ?? null)?->nodes() ?? 0;
            if ($keep === $axis->nodes()) {
                continue;
            }
            $parent = $axis->parent;
            $goesWith = $parent !== null && isset($root[$parent])
                && $axis->node >= (($left->axes[$parent] ?? null)?->nodes() ?? 0);
            $root[$id] = $goesWith ? $root[$parent] : $id;
            $nodes[$root[$id]][$id] = [$keep, $axis->nodes()];
        }
        $jobs = [];
        foreach ($nodes as $id => $goes) {
            $jobs[] = new RequiredCut(
                $sort, $id, $goes[$id][0], $goes, $this->slack($sort, $id), $this->because($sort, $id),
            );
        }

        return $jobs;
    }

    private function slack(string $sort, int $axis): int
    {
        if ($sort !== 'height') {
            return $sort === 'lateral' ? 1 : 0;
        }
        $amount = $this->task->amount(Effect::CutHeight) ?? $this->task->amount(Effect::HeightAfter);
        $bounds = $amount === null ? 0 : intdiv($amount->max - $amount->min, 2);
        $near = max($bounds, self::NEAR * $this->plant->heightMm());

        return max(1, (int) round($near / $this->plant->axes[$axis]->internodeMm));
    }

    private function because(string $sort, int $axis): string
    {
        return match ($sort) {
            'dead' => 'It is dead: it goes first, and costs nothing of the budget.',
            'stem' => sprintf(
                'A stem of %d seasons; of this kind one is good for about %d, and a young one takes its place.',
                $this->plant->ageOf($this->plant->axes[$axis]), $this->plant->kind->habit->turn,
            ),
            'height' => 'It stands above the height that was asked for: '.$this->amounts('mm').'.',
            default => 'It is to be thinned out or shortened: '.$this->amounts(null).'.',
        };
    }

    /** @param  ?string  $unit  those in it; all where null */
    private function amounts(?string $unit): string
    {
        $said = [];
        foreach ($this->task->amounts as $amount) {
            if ($unit === null || $amount->unit === $unit) {
                $said[] = $amount->what.' '.$amount->inWords();
            }
        }

        return $said === [] ? lcfirst($this->task->method) : implode(', ', $said);
    }
}
