<?php

declare(strict_types=1);

namespace PruningHook\Core\Amount;

use PruningHook\Core\Units\Length;
use PruningHook\Core\Units\System;

/** How much of one thing: the least, the best and the most, in one unit. Lengths in mm. */
final readonly class Amount
{
    private function __construct(
        public string $what,
        public string $unit,
        public int $min,
        public int $target,
        public int $max,
        public ?Effect $effect,
    ) {
    }

    /** The target is drawn into the bounds. */
    public static function of(
        string $what,
        string $unit,
        int $min,
        int $target,
        int $max,
        ?Effect $effect = null,
    ): self {
        return new self($what, $unit, $min, max($min, min($target, $max)), max($min, $max), $effect);
    }

    public static function exactly(string $what, string $unit, int $number, ?Effect $effect = null): self
    {
        return new self($what, $unit, $number, $number, $number, $effect);
    }

    /**
     * The first with an effect, or null where there is none.
     *
     * @param  list<self>  $amounts
     */
    public static function withEffect(array $amounts, Effect $effect): ?self
    {
        foreach ($amounts as $amount) {
            if ($amount->effect === $effect) {
                return $amount;
            }
        }

        return null;
    }

    /**
     * A line of the record.
     *
     * @return array{effect?: string, what: string, unit: string, value: int}
     */
    public function logged(int $value): array
    {
        return [
            ...($this->effect === null ? [] : ['effect' => $this->effect->value]),
            'what' => $this->what, 'unit' => $this->unit, 'value' => $value,
        ];
    }

    /** "2 to 3 buds", "50 cm", "up to 25 %". */
    public function inWords(System $in = System::Metric): string
    {
        return match (true) {
            $this->min === $this->max => self::say($this->target, $this->unit, $in),
            $this->min === 0 => 'up to '.self::say($this->max, $this->unit, $in),
            $this->unit === 'mm' => Length::ofMm($this->min)->in($in).' to '.Length::ofMm($this->max)->in($in),
            default => $this->min.' to '.self::say($this->max, $this->unit, $in),
        };
    }

    public function targetInWords(System $in = System::Metric): string
    {
        return self::say($this->target, $this->unit, $in);
    }

    /**
     * @param  array{what: string, unit: string, min: int, target: int, max: int, effect?: string}  $kept  as `toArray`
     *     gave it
     */
    public static function fromArray(array $kept): self
    {
        return self::of(...[
            ...$kept, 'effect' => isset($kept['effect']) ? Effect::from($kept['effect']) : null,
        ]);
    }

    /** @return array{what: string, unit: string, min: int, target: int, max: int, effect?: string} */
    public function toArray(): array
    {
        return [
            ...($this->effect === null ? [] : ['effect' => $this->effect->value]),
            'what' => $this->what, 'unit' => $this->unit,
            'min' => $this->min, 'target' => $this->target, 'max' => $this->max,
        ];
    }

    private static function say(int $number, string $unit, System $in): string
    {
        if ($unit === 'mm') {
            return Length::ofMm($number)->in($in);
        }
        $noun = $number === 1 && str_ends_with($unit, 's')
            ? (str_ends_with($unit, 'leaves') ? 'leaf' : substr($unit, 0, -1))
            : $unit;

        return $number.' '.$noun;
    }
}
