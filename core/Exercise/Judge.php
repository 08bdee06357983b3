<?php

declare(strict_types=1);

namespace PruningHook\Core\Exercise;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Fault;
use PruningHook\Core\Growth\Axis;
use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Growth\Cutting;
use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Regrowth\TaskCuts;

/**
 * Marks an answer against what the task asks for. The score is the share of what had to go that went, times the good
 * wood that was left, less what is lost by a wrong day, too much, a wrong order and stubs: so an answer that cuts
 * nothing and one that leaves nothing both come to nothing. Weights: `Marking`.
 */
final readonly class Judge
{
    /** A piece of a branch of so many nodes that was to go whole is a stub. */
    private const STUB_NODES = 3;

    /** Remarks of one sort that are told; the rest are counted. */
    private const TOLD = 5;

    public function __construct(private Exercise $exercise, private Marking $marking)
    {
    }

    /** The answer that the judge would give. */
    public function answer(): Answer
    {
        $window = $this->exercise->task->window;
        foreach ($this->exercise->days as $day) {
            if ($window->contains($day)) {
                return new Answer(TaskCuts::of($this->exercise->plant, $this->exercise->task)->cuts, $day);
            }
        }

        throw new Fault('none of the days is in the window of '.$this->exercise->task->name);
    }

    /** @throws Fault for a cut on wood that is gone, or never was there */
    public function mark(Answer $answer): JudgedAnswer
    {
        $plant = $this->exercise->plant;
        $left = Cutting::of($plant, $answer->cuts)->plant;
        $judges = TaskCuts::of($plant, $this->exercise->task, self::thinned($answer->cuts));
        $jobs = (new RequiredCuts($plant, $this->exercise->task))->of($judges->cuts);
        [$found, $missed] = $this->found($jobs, $left);
        [$kept, $spoilt] = $this->kept($jobs, $left);
        $share = static fn (LivingPlant $after): float => 100 * (1 - $after->living() / max(1, $plant->living()));
        $budget = $this->budget($share($left), $share($judges->left));
        $order = $this->order($answer->cuts);
        $stubs = $this->stubs($jobs, $left);
        $window = $this->window($answer->day);
        $by = $this->marking;
        $score = 100 * $found ** $by->thorough * $kept
            - $by->day * count($window) - $by->budget * count($budget)
            - min($by->most, $by->outOfOrder * count($order)) - min($by->most, $by->stub * count($stubs));
        $remarks = [
            ...$window, ...$budget, ...self::told($missed), ...self::told($spoilt), ...self::told($stubs),
            ...array_slice($order, 0, 1),
        ];

        $isEmpty = $left->nodes() === 0 || ($left->living() === 0 && $judges->left->living() > 0);
        $score = $isEmpty ? 0 : (int) max(0, round($score));

        return new JudgedAnswer(
            $score, $score >= $by->well,
            (int) round(100 * $found), (int) round(100 * $kept), (int) round($share($left)),
            $remarks === [] ? [new Remark('right', 'What had to go went, and nothing else.')] : $remarks,
            $judges->cuts,
        );
    }

    /**
     * @param  list<Cut>  $cuts
     * @return list<int>
     */
    private static function thinned(array $cuts): array
    {
        $axes = [];
        foreach ($cuts as $cut) {
            // Who leaves a stub meant to take it out.
            if ($cut->does === 'thin' || ($cut->does === 'head' && $cut->node < self::STUB_NODES)) {
                $axes[] = (int) $cut->axis;
            }
        }

        return $axes;
    }

    /**
     * How much of what had to go went, the many small jobs not outweighed by one large one.
     *
     * @param  list<RequiredCut>  $jobs
     * @return array{float, list<Remark>}
     */
    private function found(array $jobs, LivingPlant $left): array
    {
        $weight = $done = 0.0;
        $missed = [];
        foreach ($jobs as $job) {
            $of = self::done($job, $left);
            $weight += sqrt($job->size());
            $done += $of * sqrt($job->size());
            if ($of < 0.5) {
                $missed[] = new Remark('missed', $job->because, $job->axis);
            }
        }

        return [$weight > 0.0 ? $done / $weight : 0.0, $missed];
    }

    /** The share of a job that was done: what stands within its slack is as well either way. */
    private static function done(RequiredCut $job, LivingPlant $left): float
    {
        $all = $gone = 0;
        foreach ($job->nodes as $axis => [$from, $to]) {
            $stands = ($left->axes[$axis] ?? null)?->nodes() ?? 0;
            $from = $axis === $job->axis ? min($to - 1, $from + $job->slack) : $from;
            $all += $to - $from;
            $gone += $to - max($from, min($to, $stands));
        }

        return $gone / max(1, $all);
    }

    /**
     * How much of the good wood was left.
     *
     * @param  list<RequiredCut>  $jobs
     * @return array{float, list<Remark>}
     */
    private function kept(array $jobs, LivingPlant $left): array
    {
        $plant = $this->exercise->plant;
        $free = self::free($plant, $jobs);
        // What has died down for the winter still stands on its stubs.
        $isAsleep = $plant->living() === 0;
        $good = $taken = 0;
        $worst = [];
        foreach ($plant->axes as $id => $axis) {
            $stands = ($left->axes[$id] ?? null)?->nodes() ?? 0;
            for ($node = 0, $to = $axis->nodes(); $node < $to; $node++) {
                if (($axis->buds[$node] !== Axis::DEAD || $isAsleep) && ! isset($free[$id][$node])) {
                    $good++;
                    if ($node >= $stands) {
                        $taken++;
                        $worst[$id] = ($worst[$id] ?? 0) + 1;
                    }
                }
            }
        }
        arsort($worst);

        return [
            max(0.0, 1 - $this->marking->goodWood * $taken / max(1, $good)),
            array_map(fn (int $id): Remark => new Remark('good-wood', $this->good($plant->axes[$id]), $id), array_keys(
                array_filter($worst, static fn (int $nodes): bool => $nodes > 1),
            )),
        ];
    }

    private function good(Axis $axis): string
    {
        $years = $this->exercise->plant->ageOf($axis);

        return $axis->parent === null
            ? sprintf(
                'A stem of %s, which is good for %d.', self::years($years), $this->exercise->plant->kind->habit->turn,
            )
            : sprintf('Wood of %s that nothing was wrong with.', self::years($years));
    }

    private static function years(int $years): string
    {
        return $years <= 1 ? 'last season' : "$years seasons";
    }

    /**
     * Nodes that may go without harm: those of the jobs, and those within their slack with what grows from them.
     *
     * @param  list<RequiredCut>  $jobs
     * @return array<int, array<int, true>> by axis and node
     */
    private static function free(LivingPlant $plant, array $jobs): array
    {
        $free = [];
        foreach ($jobs as $job) {
            foreach ($job->nodes as $axis => [$from, $to]) {
                $from = $axis === $job->axis && $job->keep > 0 ? max(0, $from - $job->slack) : $from;
                for ($node = $from; $node < $to; $node++) {
                    $free[$axis][$node] = true;
                }
            }
        }
        foreach ($plant->axes as $id => $axis) {
            if ($axis->parent !== null && isset($free[$axis->parent][$axis->node])) {
                for ($node = 0, $nodes = $axis->nodes(); $node < $nodes; $node++) {
                    $free[$id][$node] = true;
                }
            }
        }

        return $free;
    }

    /** @return list<Remark> */
    private function budget(float $share, float $judges): array
    {
        $cap = max($this->exercise->task->budget->capPercent, $judges) + $this->marking->near;

        return $share <= $cap ? [] : [new Remark('budget', sprintf(
            '%d %% of its live wood went; %d %% may go in this season.', round($share),
            round($cap - $this->marking->near),
        ))];
    }

    /**
     * Dead wood first, then whole stems, then the rest: each is judged on what the one before it left.
     *
     * @param  list<Cut>  $cuts
     * @return list<Remark> one for each cut that comes too late
     */
    private function order(array $cuts): array
    {
        $remarks = [];
        $reached = 0;
        foreach ($cuts as $cut) {
            $sort = RequiredCuts::sort($this->exercise->plant, $cut);
            $rank = min(2, (int) array_search($sort, RequiredCut::SORTS, true));
            if ($rank < $reached) {
                $remarks[] = new Remark('order', sprintf(
                    '%s before %s: only then you see what is left.', ucfirst(self::called($rank)),
                    self::called($reached),
                ), $cut->axis);
            }
            $reached = max($reached, $rank);
        }

        return $remarks;
    }

    private static function called(int $rank): string
    {
        return ['dead wood', 'whole stems', 'heights and laterals'][$rank];
    }

    /**
     * What was to go at its origin and was left as a stub, and heads above a bud that is dead.
     *
     * @param  list<RequiredCut>  $jobs
     * @return list<Remark>
     */
    private function stubs(array $jobs, LivingPlant $left): array
    {
        $remarks = [];
        foreach ($jobs as $job) {
            $stands = ($left->axes[$job->axis] ?? null)?->nodes() ?? 0;
            if ($job->keep === 0 && $stands > 0 && $stands <= self::STUB_NODES
                && $stands < $this->exercise->plant->axes[$job->axis]->nodes()) {
                $remarks[] = new Remark('place', 'A stub that will die back: take it out at its origin.', $job->axis);
            }
        }
        foreach ($left->axes as $id => $axis) {
            $was = $this->exercise->plant->axes[$id];
            if ($axis->nodes() < $was->nodes() && ! $was->isDead()
                && $axis->buds[$axis->nodes() - 1] === Axis::DEAD) {
                $remarks[] = new Remark('place', 'Cut above a bud that is dead: it dies back to the next.', $id);
            }
        }

        return $remarks;
    }

    /** @return list<Remark> */
    private function window(?Day $day): array
    {
        $window = $this->exercise->task->window;
        if ($day === null) {
            return [new Remark('window', 'No day was chosen.')];
        }

        return $window->contains($day) ? [] : [new Remark('window', sprintf(
            '%s is done from %s to %s, not on %s.', $this->exercise->task->name, $window->opens->inWords(),
            $window->closes->inWords(), $day->inWords(),
        ))];
    }

    /**
     * @param  list<Remark>  $remarks  all of one sort
     * @return list<Remark> the first few, and how many more there are
     */
    private static function told(array $remarks): array
    {
        $more = count($remarks) - self::TOLD;

        return $more < 2 ? $remarks : [
            ...array_slice($remarks, 0, self::TOLD), new Remark($remarks[0]->about, "And $more more like these."),
        ];
    }
}
