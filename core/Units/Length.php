<?php

declare(strict_types=1);

namespace PruningHook\Core\Units;

use PruningHook\Core\Fault;

/** A length in whole millimetres, the only unit used inside. */
final readonly class Length
{
    private const MM_PER_INCH = 25.4;

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

    /** "4 in", "3 ft 11 in". */
    public function imperial(): string
    {
        $inches = (int) round($this->mm / self::MM_PER_INCH);
        $rest = $inches % 12;

        return $inches < 24 ? $inches.' in' : intdiv($inches, 12).' ft'.($rest === 0 ? '' : " $rest in");
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
