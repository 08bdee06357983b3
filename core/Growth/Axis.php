<?php

declare(strict_types=1);

namespace PruningHook\Core\Growth;

/**
 * A stem, branch or shoot: where it grows from, which way it sets out, and a letter for each of its nodes from its foot
 * to its tip: `l` a live bud, `b` one that broke (a lateral grew there), `f` one that flowered, `d` dead. Every length
 * is so many nodes, so that what is cut off and what stays add up exactly.
 */
final readonly class Axis
{
    public const LIVE = 'l';

    public const BROKEN = 'b';

    public const FLOWERED = 'f';

    public const DEAD = 'd';

    private const LEVEL_DEG = 90.0;

    /** Along a wire a cane rises a little, so that sap goes to its end. Common practice. */
    private const TIED_DEG = 87.0;

    /** A tip that was cut off and has not yet been answered from below. */
    public const HEADED = 'h';

    /**
     * @param  ?int  $parent  null where it rises from the base
     * @param  int  $node  of the parent, from 0
     * @param  float  $azimuthDeg  clockwise from north
     * @param  float  $leanDeg  from the upright, where it sets out
     * @param  int  $order  0 for what rises from the base
     * @param  float  $internodeMm  from node to node
     * @param  array<int, int>  $grown  nodes that stand, by the season they grew in, the first first
     * @param  string  $tip  `l` while it grows on, `f` where it ended in a flower, `d` dead, `h` cut, `b` cut and
     *     answered
     * @param  int  $disused  nodes' worth of pipes that carry nothing any more: what stood above a cut
     * @param  ?float  $fromDeg  the side of the crown it leaves from, where that is not the side it goes to
     */
    public function __construct(
        public int $id,
        public ?int $parent,
        public int $node,
        public float $azimuthDeg,
        public float $leanDeg,
        public int $order,
        public float $internodeMm,
        public array $grown,
        public string $buds,
        public string $tip = self::LIVE,
        public int $disused = 0,
        public ?float $fromDeg = null,
    ) {
    }

    public function nodes(): int
    {
        return strlen($this->buds);
    }

    /** The season of its first growth. */
    public function born(): int
    {
        return array_key_first($this->grown) ?? 0;
    }

    /** @return array{int, int} of the nodes that grew in a season the first, and the one after the last */
    public function ofSeason(int $season): array
    {
        $from = 0;
        foreach ($this->grown as $year => $nodes) {
            if ($year === $season) {
                return [$from, $from + $nodes];
            }
            $from += $nodes;
        }

        return [$from, $from];
    }

    /** The season a node grew in. */
    public function seasonOf(int $node): int
    {
        foreach ($this->grown as $season => $nodes) {
            $node -= $nodes;
            if ($node < 0) {
                return $season;
            }
        }

        return array_key_last($this->grown) ?? 0;
    }

    public function isDead(): bool
    {
        return $this->tip === self::DEAD && strspn($this->buds, self::DEAD) === strlen($this->buds);
    }

    public function longer(int $season, int $nodes): self
    {
        return $this->with(
            grown: array_replace($this->grown, [$season => ($this->grown[$season] ?? 0) + $nodes]),
            buds: $this->buds.str_repeat(self::LIVE, $nodes),
        );
    }

    /** With so many nodes fewer of a season's growth, the last it has made. */
    public function shorter(int $season, int $nodes): self
    {
        $left = ($this->grown[$season] ?? 0) - $nodes;
        $grown = $left > 0
            ? array_replace($this->grown, [$season => $left])
            : array_diff_key($this->grown, [$season => 0]);

        return $this->with(grown: $grown, buds: substr($this->buds, 0, $this->nodes() - $nodes));
    }

    public function marked(int $node, string $bud): self
    {
        return $this->with(buds: substr_replace($this->buds, $bud, $node, 1));
    }

    public function tipped(string $tip): self
    {
        return $tip === $this->tip ? $this : $this->with(tip: $tip);
    }

    /** Dead from a node on to its tip. */
    public function deadFrom(int $node): self
    {
        return $this->with(
            buds: substr($this->buds, 0, $node).str_repeat(self::DEAD, max(0, $this->nodes() - $node)),
            tip: self::DEAD,
        );
    }

    /**
     * The axis below a cut that keeps so many nodes. Its wood stays as thick as it was.
     *
     * @param  int  $carried  nodes' worth of pipes that led to what is gone
     */
    public function cutTo(int $nodes, int $carried): self
    {
        $grown = [];
        $left = $nodes;
        foreach ($this->grown as $season => $grew) {
            if ($left <= 0) {
                break;
            }
            $grown[$season] = min($grew, $left);
            $left -= $grew;
        }

        return new self(
            $this->id, $this->parent, $this->node, $this->azimuthDeg, $this->leanDeg, $this->order, $this->internodeMm,
            $grown,
            substr($this->buds, 0, $nodes), self::HEADED, $this->disused + $carried, $this->fromDeg,
        );
    }

    /** Pipes that led to a branch that is gone lead nowhere now. */
    public function lost(int $pipes): self
    {
        return new self(
            $this->id, $this->parent, $this->node, $this->azimuthDeg, $this->leanDeg, $this->order, $this->internodeMm,
            $this->grown,
            $this->buds, $this->tip, $this->disused + $pipes, $this->fromDeg,
        );
    }

    public function scaled(float $by): self
    {
        return new self(
            $this->id, $this->parent, $this->node, $this->azimuthDeg, $this->leanDeg, $this->order,
            max(1.0, $this->internodeMm * $by), $this->grown, $this->buds, $this->tip, $this->disused,
            $this->fromDeg,
        );
    }

    public function tied(float $azimuthDeg): self
    {
        return new self(
            $this->id, $this->parent, $this->node, $azimuthDeg, self::TIED_DEG, $this->order, $this->internodeMm,
            $this->grown, $this->buds, $this->tip, $this->disused, $this->fromDeg,
        );
    }

    /** Its lean so many times; none comes to hang that did not. */
    public function leaning(float $times): self
    {
        return new self(
            $this->id, $this->parent, $this->node, $this->azimuthDeg,
            $this->leanDeg > self::LEVEL_DEG ? $this->leanDeg : min(self::LEVEL_DEG, $this->leanDeg * $times),
            $this->order, $this->internodeMm, $this->grown, $this->buds, $this->tip, $this->disused, $this->fromDeg,
        );
    }

    public function turned(float $byDeg, bool $mirrored): self
    {
        $turn = static fn (float $way): float => fmod(($mirrored ? -1 : 1) * $way + $byDeg + 720, 360);

        return new self(
            $this->id, $this->parent, $this->node, $turn($this->azimuthDeg), $this->leanDeg, $this->order,
            $this->internodeMm,
            $this->grown, $this->buds, $this->tip, $this->disused,
            $this->fromDeg === null ? null : $turn($this->fromDeg),
        );
    }

    /** @param  ?array<int, int>  $grown */
    private function with(?array $grown = null, ?string $buds = null, ?string $tip = null): self
    {
        return new self(
            $this->id, $this->parent, $this->node, $this->azimuthDeg, $this->leanDeg, $this->order, $this->internodeMm,
            $grown ?? $this->grown, $buds ?? $this->buds, $tip ?? $this->tip, $this->disused, $this->fromDeg,
        );
    }
}
