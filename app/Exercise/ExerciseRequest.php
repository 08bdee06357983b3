<?php

declare(strict_types=1);

namespace App\Exercise;

use App\Ground\Support\AskedRequest;
use PruningHook\Core\Drawing\View;
use PruningHook\Core\Exercise\CutCode;

/** What is asked of a plant on the bench: the cuts so far, the branch in hand, and the next cut. */
final class ExerciseRequest extends AskedRequest
{
    /** A link that is longer holds more cuts than anybody makes. */
    private const LONGEST = 4000;

    public const MOST_SEED = 1_000_000;

    /** What can be done, with what its number means: buds, cm of height, mm of growth, or nothing. */
    public const DOES = ['t' => '', 'h' => 'buds', 's' => 'buds', 'a' => 'buds', 'd' => 'cm', 'r' => 'cm', 'c' => 'cm',
        'x' => '', 'u' => '', 'n' => ''];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [];
    }

    public function seed(): ?int
    {
        $seed = $this->line('seed');

        return match (true) {
            $seed === '' => 1,
            preg_match('/^\d{1,7}$/', $seed) === 1 && (int) $seed <= self::MOST_SEED => (int) $seed,
            default => null,
        };
    }

    public function cuts(): string
    {
        return substr($this->line('cuts'), 0, self::LONGEST);
    }

    public function side(): View
    {
        return View::tryFrom($this->line('view')) ?? View::South;
    }

    public function picked(): ?int
    {
        return preg_match('/^\d{1,6}$/', $this->line('pick')) === 1 ? (int) $this->line('pick') : null;
    }

    public function stepsBack(): bool
    {
        return $this->line('look') === 'left';
    }

    /** The cuts with the one that is asked for; null where none is, and a word where it lacks its number. */
    public function nextCuts(): ?string
    {
        $does = $this->line('do');
        $cuts = $this->cuts() === '' ? [] : explode('.', $this->cuts());
        if ($does === 'u') {
            return implode('.', array_slice($cuts, 0, -1));
        }
        if ($does === 'n') {
            return '';
        }
        $next = $this->cut($does);

        return $next === null || count($cuts) >= CutCode::MOST ? null : implode('.', [...$cuts, $next]);
    }

    /** Why what is asked for cannot be done; null where it can, or nothing is. */
    public function lacks(): ?string
    {
        $does = $this->line('do');

        return match (true) {
            $does === '' || $this->nextCuts() !== null => null,
            ! isset(self::DOES[$does]) => 'That is nothing that can be done on the bench.',
            in_array($does, ['t', 'h', 's'], true)
                && $this->picked() === null => 'Take a stem or a branch in hand first.',
            count(explode('.', $this->cuts())) >= CutCode::MOST => sprintf(
                'A plant is cut in %d cuts at the most: hand it in.', CutCode::MOST,
            ),
            default => self::DOES[$does] === 'buds'
                ? 'Say how many buds stay: a whole number from 1.'
                : 'Say a height in centimetres: a whole number from 1 to 3000.',
        };
    }

    private function cut(string $does): ?string
    {
        $number = $this->line('n');
        $axis = $this->picked();
        $isNumber = preg_match('/^\d{1,4}$/', $number) === 1 && (int) $number >= 1 && (int) $number <= 3000;

        return match (true) {
            $does === 'x' => 'x',
            $does === 't' && $axis !== null => "t$axis",
            ! $isNumber => null,
            $does === 'h' && $axis !== null => sprintf('h%d-%d', $axis, (int) $number - 1),
            $does === 's' && $axis !== null => "s$axis-".(int) $number,
            $does === 'a' => 'a'.(int) $number,
            in_array($does, ['d', 'r', 'c'], true) => $does.(10 * (int) $number),
            default => null,
        };
    }
}
