<?php

declare(strict_types=1);

namespace PruningHook\Core\Growth;

use PruningHook\Core\Fault;

/**
 * A cut as a value: `thin` takes an axis out at its origin, `head` shortens one to a node, `shorten` takes every
 * lateral of an axis back to so many buds, `raise` takes off what begins below a height, `face` what stands past an
 * upright plane, `down` what stands above a height, stem by stem. `lay` cuts nothing: it ties an axis down.
 */
final readonly class Cut
{
    private function __construct(
        public string $does,
        public ?int $axis = null,
        public ?int $node = null,
        public ?int $buds = null,
        public ?int $heightMm = null,
        public ?float $towardsDeg = null,
        public ?int $distanceMm = null,
    ) {
    }

    /** A thinning cut: out at its origin, with all that grows from it. */
    public static function thin(int $axis): self
    {
        return new self('thin', axis: $axis);
    }

    /** A heading cut just above a node; nodes are counted from 0 at the foot. */
    public static function head(int $axis, int $node): self
    {
        return new self('head', axis: $axis, node: $node);
    }

    /** Tied down along the wire, the way its stem goes. */
    public static function lay(int $axis): self
    {
        return new self('lay', axis: $axis);
    }

    /** @param  ?int  $axis  all of the plant where null @throws Fault where nothing would be left */
    public static function shorten(?int $axis, int $buds): self
    {
        if ($buds < 1) {
            throw new Fault('laterals are shortened to one bud at least; to take them out, thin');
        }

        return new self('shorten', axis: $axis, buds: $buds);
    }

    public static function raise(int $heightMm): self
    {
        return new self('raise', heightMm: self::positive($heightMm));
    }

    /** @param  float  $towardsDeg  the way the plane faces, clockwise from north */
    public static function face(float $towardsDeg, int $distanceMm): self
    {
        return new self('face', towardsDeg: $towardsDeg, distanceMm: self::positive($distanceMm));
    }

    public static function down(int $heightMm): self
    {
        return new self('down', heightMm: self::positive($heightMm));
    }

    /** @throws Fault */
    private static function positive(int $mm): int
    {
        return $mm >= 1 ? $mm : throw new Fault('a cut is made at a height or distance above nothing');
    }
}
