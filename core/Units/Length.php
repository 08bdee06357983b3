<?php

declare(strict_types=1);

namespace PruningHook\Core\Units;

use PruningHook\Core\Fault;

/** A length in whole millimetres, the only unit used inside. */
final readonly class Length
{
    private const MM_PER_INCH = 25.4;

    /** Two inches: shorter ones are told by the rule's eighths. */
    private const EIGHTHS_BELOW = 16;

    /** Twenty feet: nobody measures what is longer to the inch. */
    private const FEET_FROM = 240;

    private function __construct(public int $mm)
    {
    }

    /** @throws Fault when negative */
    public static function ofMm(int $mm): self
    {
        if ($mm < 0) {
            throw new Fault("a length cannot be $mm mm");
        }

        return new self($mm);
    }

    /** The way a gardener says it: "5 mm", "45 cm", "1.2 m". */
    public function metric(): string
    {
        return match (true) {
            $this->mm < 20 => $this->mm.' mm',
            $this->mm < 1000 => self::short($this->mm / 10, 0).' cm',
            default => self::short($this->mm / 1000, 2).' m',
        };
    }

    /** "1/4 in", "4 in", "3 ft 11 in", "41 ft": to the eighth of an inch where it is small, to the foot where large. */
    public function imperial(): string
    {
        $eighths = (int) round(8 * $this->mm / self::MM_PER_INCH);
        $inches = (int) round($this->mm / self::MM_PER_INCH);
        $rest = $inches % 12;

        return match (true) {
            $eighths < self::EIGHTHS_BELOW => self::eighths($eighths).' in',
            $inches < 24 => $inches.' in',
            $inches >= self::FEET_FROM => round($inches / 12).' ft',
            default => intdiv($inches, 12).' ft'.($rest === 0 ? '' : " $rest in"),
        };
    }

    /** "1/4", "1", "1 5/8". */
    private static function eighths(int $eighths): string
    {
        $rest = $eighths % 8;
        // The largest of 4, 2 and 1 that divides it.
        $by = $rest & -$rest;
        $part = $rest === 0 ? '' : sprintf('%d/%d', $rest / $by, 8 / $by);

        return match (true) {
            $rest === 0 => (string) intdiv($eighths, 8),
            $eighths < 8 => $part,
            default => intdiv($eighths, 8).' '.$part,
        };
    }

    public function in(System $system): string
    {
        return $system === System::Imperial ? $this->imperial() : $this->metric();
    }

    private static function short(float $number, int $decimals): string
    {
        $text = number_format($number, $decimals, '.', '');

        return $decimals === 0 ? $text : rtrim(rtrim($text, '0'), '.');
    }
}
