<?php

declare(strict_types=1);

namespace PruningHook\Core\Regrowth;

use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Growth\Axis;
use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Growth\Cutting;
use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Prescription\Task;

/**
 * A task's amounts as cuts on a living plant: what is dead, then whole stems, the oldest first, then heights, then
 * laterals and what is thinned out, as the steps have it.
 */
final readonly class TaskCuts
{
    /** Shoots of one stem that are kept where it is cut to a height each year. Common practice. */
    private const AT_ONE_HEIGHT = 2;

    /** Of its height, what a stem may be cleared to: the crown keeps two parts of three. Common practice. */
    private const CROWN = 3;

    private const SHORTENED = [Effect::BudsOnLaterals, Effect::BudsOnCanes];

    private const WHOLE = [Effect::OldStemsOut, Effect::StemsOut, Effect::StemsShare, Effect::StemsKept];

    private const DRAWN = [
        ...self::WHOLE, Effect::CutHeight,
        Effect::HeightAfter, Effect::ClearStem, ...self::SHORTENED, Effect::BudsOnNewCanes, Effect::NodesOnSpurs,
        Effect::LiveShare,
    ];

    /**
     * @param  list<Cut>  $cuts  in their order
     * @param  array<int, true>  $wished  axes that are rather taken than others as good, by id
     * @param  ?list<int>  $judged  stems that were judged to go, in their order; null where nobody judged them
     */
    private function __construct(
        public LivingPlant $left,
        public array $cuts,
        private array $wished,
        private ?array $judged,
    ) {
    }

    /** Whether a task's amounts say what is cut: ties and rough passes do not. */
    public static function draws(Task $task): bool
    {
        foreach ($task->amounts as $amount) {
            if (in_array($amount->effect, self::DRAWN, true) || self::isPlainHeight($amount) || self::isClip($amount)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<int>  $wished  axes that somebody would take out: where others are as good these go, and within its
     *     bounds as many as are wished
     * @param  ?list<int>  $judged  axes of the stems that were judged stem by stem to go: then these do, and no others
     */
    public static function of(LivingPlant $plant, Task $task, array $wished = [], ?array $judged = null): self
    {
        $stands = new self($plant, [], array_fill_keys($wished, true), $judged);
        if ($task->methodKey === LoggedWork::FOLLOW_UP) {
            // Somebody comes back and looks.
            return $stands;
        }
        $made = $stands->make(self::dead($plant));
        foreach ($task->amounts as $amount) {
            $made = $made->make($made->wholeStems($amount, $task));
        }
        foreach ($task->amounts as $amount) {
            $made = $made->make($made->heights($amount));
        }
        $made = $made->make($made->rough($task));
        foreach ($task->amounts as $amount) {
            $made = $made->make($made->laterals($amount));
        }

        return $made;
    }

    /** @param  list<Cut>  $cuts */
    private function make(array $cuts): self
    {
        $cuts = $this->once($cuts);

        return $cuts === [] ? $this : new self(
            Cutting::of($this->left, $cuts)->plant, [...$this->cuts, ...$cuts], $this->wished,
            $this->judged,
        );
    }

    /**
     * What goes with a branch that is taken out is not cut again.
     *
     * @param  list<Cut>  $cuts  all on the plant as it stands
     * @return list<Cut>
     */
    private function once(array $cuts): array
    {
        $gone = $once = [];
        foreach ($cuts as $cut) {
            $on = $cut->axis;
            while ($on !== null && ! isset($gone[$on])) {
                $on = $this->left->axes[$on]->parent ?? null;
            }
            if ($on === null) {
                $once[] = $cut;
            }
            if ($cut->does === 'thin') {
                $gone[(int) $cut->axis] = true;
            }
        }

        return $once;
    }

    /** @return list<Cut> what is dead of what lives: it does not count against the amount */
    public static function dead(LivingPlant $plant): array
    {
        $cuts = [];
        // What has died down for the winter is cut down, not picked out.
        foreach ($plant->living() === 0 ? [] : $plant->axes as $id => $axis) {
            $parent = $axis->parent === null ? null : $plant->axes[$axis->parent];
            if ($axis->isDead() && ($parent === null || ! $parent->isDead())) {
                $cuts[] = Cut::thin($id);
            }
        }

        return $cuts;
    }

    /** @return list<Cut> */
    private function wholeStems(Amount $amount, Task $task): array
    {
        $kept = $task->amount(Effect::StemsKept);
        if ($kept !== null && $amount->effect === Effect::StemsOut) {
            // Two words for one cut: how many stay, and how many that takes out.
            return [];
        }
        $stems = $this->left->stems();
        if ($this->judged !== null && in_array($amount->effect, self::WHOLE, true)) {
            return array_map(Cut::thin(...), array_values(array_filter(
                $this->judged, static fn (int $stem): bool => isset($stems[$stem]),
            )));
        }
        $pipes = $this->left->pipes();
        $isKept = $amount->effect === Effect::StemsKept;
        // Of those that are to stay the strongest do; what is past its time goes first in any case.
        $rank = fn (Axis $stem): array => $isKept
            ? [$this->left->ageOf($stem) > $this->left->kind->habit->turn ? 0 : 1, $pipes[$stem->id], $stem->id]
            : [$stem->born(), isset($this->wished[$stem->id]) ? 0 : 1, $stem->id];
        uasort($stems, static fn (Axis $a, Axis $b): int => $rank($a) <=> $rank($b));
        $count = count($stems);
        $go = match ($amount->effect) {
            Effect::OldStemsOut, Effect::StemsOut => $this->asWished(
                $stems, $amount->min, $amount->target, $amount->max,
            ),
            Effect::StemsShare => $this->asWished(
                $stems, (int) round($count * $amount->min / 100), (int) round($count * $amount->target / 100),
                (int) round($count * $amount->max / 100),
            ),
            Effect::StemsKept => $this->tooMany($stems, $amount, $task->amount(Effect::StemsOut)),
            default => 0,
        };

        return array_map(Cut::thin(...), array_slice(array_keys($stems), 0, max(0, min($go, $count - 1))));
    }

    /**
     * What is above a number, and no more than may go in a season.
     *
     * @param  array<int, Axis>  $stems
     * @param  ?Amount  $out  how many that takes out, where somebody has counted them
     */
    private function tooMany(array $stems, Amount $kept, ?Amount $out): int
    {
        $count = count($stems);
        $most = $out === null ? $count : $out->max;

        return $this->asWished(
            $stems, min($most, $count - $kept->max), min($most, $count - $kept->target),
            min($most, $count - $kept->min),
        );
    }

    /**
     * As many as are wished, within bounds and at least half of what is aimed at, which is taken where nobody wished
     * anything.
     *
     * @param  array<int, Axis>  $of
     */
    private function asWished(array $of, int $min, int $target, int $max): int
    {
        return $this->wished === []
            ? $target
            : (int) max($min, ceil($target / 2), min($max, count(array_intersect_key($of, $this->wished))));
    }

    /** @return list<Cut> */
    private function heights(Amount $amount): array
    {
        return match (true) {
            $amount->target < 1 => [],
            $amount->effect === Effect::CutHeight => [
                ...$this->uncrowded($this->fromItsHead($amount->target)),
                Cut::down($this->fromItsHead($amount->target)),
            ],
            $amount->effect === Effect::HeightAfter, self::isPlainHeight($amount) => [
                Cut::down($this->fromItsHead($amount->target)),
            ],
            $amount->effect === Effect::ClearStem => [
                Cut::raise(max(1, min($amount->target, intdiv($this->left->heightMm(), self::CROWN)))),
            ],
            default => [],
        };
    }

    /** On a trunk a height that would take the whole head is meant from there. */
    private function fromItsHead(int $heightMm): int
    {
        $trunk = $this->left->kind->habit->trunkMm;

        return $heightMm > $trunk ? $heightMm : $trunk + $heightMm;
    }

    /** Grasses, clematis, stools and the stems of a bowl are cut to a height that is no more than that. */
    private static function isPlainHeight(Amount $amount): bool
    {
        return $amount->effect === null && $amount->unit === 'mm'
            && preg_match('/^(height|stem length)/', $amount->what) === 1;
    }

    private static function isClip(Amount $amount): bool
    {
        return $amount->unit === 'mm' && str_contains($amount->what, 'growth left');
    }

    /**
     * A stem that is cut to one height year after year keeps a few of the shoots it made there, the strongest.
     *
     * @return list<Cut>
     */
    private function uncrowded(int $heightMm): array
    {
        $plant = $this->left;
        $pipes = $plant->pipes();
        $places = $plant->places();
        $stands = [];
        foreach ($plant->axes as $id => $axis) {
            $stem = $plant->stemOf($axis);
            // What grows from one of them goes or stays with it.
            if ($axis->parent !== null && ! isset($stands[$stem][$axis->parent]) && $places[$id]->z <= $heightMm
                && $plant->pointOf($places[$id], $axis->nodes() - 1)[2] > $heightMm) {
                $stands[$stem][$id] = $pipes[$id];
            }
        }
        $cuts = [];
        foreach ($stands as $shoots) {
            arsort($shoots);
            array_push($cuts, ...array_map(Cut::thin(...), array_slice(array_keys($shoots), self::AT_ONE_HEIGHT)));
        }

        return $cuts;
    }

    /** @return list<Cut> */
    private function laterals(Amount $amount): array
    {
        return match (true) {
            in_array($amount->effect, self::SHORTENED, true) => [Cut::shorten(null, max(1, $amount->target))],
            $amount->effect === Effect::BudsOnNewCanes => (new Canes($this->left))->laidAnew($amount->target),
            $amount->effect === Effect::NodesOnSpurs => (new Canes($this->left))->spurred(max(1, $amount->target)),
            $amount->effect === Effect::LiveShare => $this->thinned($amount),
            self::isClip($amount) => self::clipped($this->left, $amount->target),
            default => [],
        };
    }

    /**
     * A rough pass leaves canes along the whole of an arm, more than are needed; the rest go.
     *
     * @return list<Cut>
     */
    private function rough(Task $task): array
    {
        $kept = ($task->amount(Effect::CanesPerArm)->target ?? 0) * ($task->amount(Effect::CanesKept)->target ?? 0);
        $cuts = [];
        foreach ($kept < 1 ? [] : self::canes($this->left) as $canes) {
            $many = count($canes);
            foreach ($canes as $at => $id) {
                // Evenly spread: as many as are kept fall on so many places.
                if ($many > $kept && intdiv(($at + 1) * $kept, $many) === intdiv($at * $kept, $many)) {
                    $cuts[] = Cut::thin($id);
                }
            }
        }

        return $cuts;
    }

    /** @return list<list<int>> what grows from each arm of a vine, from its foot on */
    private static function canes(LivingPlant $plant): array
    {
        $canes = [];
        foreach ($plant->children() as $id => $on) {
            if ($plant->axes[$id]->parent === null) {
                $on = array_values(array_filter($on, static fn (int $cane): bool => ! $plant->axes[$cane]->isDead()));
                usort($on, static fn (int $a, int $b): int => $plant->axes[$a]->node <=> $plant->axes[$b]->node);
                $canes[] = $on;
            }
        }

        return $canes;
    }

    /**
     * Of the canes that a rough pass leaves, those that are kept only in case the buds of others die.
     *
     * @return list<int>
     */
    public function insurance(Task $task): array
    {
        $each = max(1, $task->amount(Effect::CanesKept)->target ?? 1);
        $insurance = [];
        foreach ($each < 2 ? [] : self::canes($this->left) as $canes) {
            foreach ($canes as $at => $id) {
                if ($at % $each !== 0) {
                    $insurance[] = $id;
                }
            }
        }

        return $insurance;
    }

    /**
     * Branches that set out within and low down, whole, until so much of what lives is gone.
     *
     * @return list<Cut>
     */
    private function thinned(Amount $amount): array
    {
        $plant = $this->left;
        $places = $plant->places();
        $under = $this->under();
        $trunk = $plant->kind->habit->trunkMm;
        $shade = $trunk + $plant->kind->habit->figures->shadedBelow * ($plant->heightMm() - $trunk);
        $branches = array_filter($plant->axes, static fn (Axis $axis): bool => $axis->order > 0
            && $places[$axis->id]->z < $shade);
        $rank = fn (Axis $axis): array => [isset($this->wished[$axis->id]) ? 0 : 1, $places[$axis->id]->z, $axis->id];
        uasort($branches, static fn (Axis $a, Axis $b): int => $rank($a) <=> $rank($b));
        $room = $this->room($amount, $branches, $under);
        $cuts = [];
        $gone = [];
        foreach ($branches as $id => $axis) {
            if ($this->hangsOn($axis, $gone)) {
                $gone[$id] = true;
            } elseif ($under[$id] <= $room) {
                $room -= $under[$id];
                $gone[$id] = true;
                $cuts[] = Cut::thin($id);
            }
        }

        return $cuts;
    }

    /**
     * Nodes to thin out: as many as is wished, but never less than half of what is aimed at.
     *
     * @param  array<int, Axis>  $branches
     * @param  array<int, int>  $under
     */
    private function room(Amount $amount, array $branches, array $under): int
    {
        $nodes = fn (float $percent): int => (int) round($this->left->living() * $percent / 100);
        if ($this->wished === []) {
            return $nodes($amount->target);
        }
        $wished = array_intersect_key($branches, $this->wished);
        $room = 0;
        foreach ($wished as $axis) {
            $room += $this->hangsOn($axis, $wished) ? 0 : $under[$axis->id];
        }

        return max($nodes($amount->min), $nodes($amount->target / 2), min($nodes($amount->max), $room));
    }

    /** @param  array<int, mixed>  $axes  by id */
    private function hangsOn(Axis $axis, array $axes): bool
    {
        for ($on = $axis->parent; $on !== null; $on = $this->left->axes[$on]->parent) {
            if (isset($axes[$on])) {
                return true;
            }
        }

        return false;
    }

    /** @return array<int, int> live nodes of each axis and of what grows from it, by id */
    private function under(): array
    {
        $under = [];
        foreach (array_reverse($this->left->axes, true) as $id => $axis) {
            $under[$id] = ($under[$id] ?? 0) + $axis->nodes() - substr_count($axis->buds, Axis::DEAD);
            if ($axis->parent !== null) {
                $under[$axis->parent] = ($under[$axis->parent] ?? 0) + $under[$id];
            }
        }

        return $under;
    }

    /**
     * Last season's shoots, each down to so much of itself: a hedge's face, a lavender's dome.
     *
     * @return list<Cut>
     */
    public static function clipped(LivingPlant $plant, int $leftMm): array
    {
        $cuts = [];
        foreach ($plant->axes as $id => $axis) {
            $keep = max(1, (int) round($leftMm / $axis->internodeMm));
            [$from, $to] = $axis->ofSeason($plant->season);
            if ($to - $from > $keep) {
                $cuts[] = Cut::head($id, $from + $keep - 1);
            }
        }

        return $cuts;
    }
}
