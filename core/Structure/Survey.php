<?php

declare(strict_types=1);

namespace PruningHook\Core\Structure;

use PruningHook\Core\Fault;
use PruningHook\Core\Plant\StemCount;

/** A plant's stems as they were surveyed, those already cut this season, and the lead's word on single ones. */
final readonly class Survey
{
    public const KEEP = 'keep';

    public const REMOVE = 'remove';

    /**
     * @param  list<Stem>  $stems  all that stood when the season's work began
     * @param  list<string>  $cut  refs of those already out
     * @param  array<string, string>  $word  the lead's, `keep` or `remove`, by ref
     */
    private function __construct(
        public array $stems,
        public array $cut,
        public array $word,
        /** @var list<Stem> */
        private array $standing,
        /** @var array<string, int> */
        private array $isCut,
        /** @var array<string, list<Stem>> those that have it, cut or not, by fault */
        private array $faults,
    ) {
    }

    /**
     * @param  list<Stem>  $stems
     * @param  list<string>  $cut
     * @param  array<string, string>  $word
     *
     * @throws Fault when two stems share a name, or one is named that is not there
     */
    public static function of(array $stems, array $cut = [], array $word = []): self
    {
        $refs = array_map(static fn (Stem $stem): string => $stem->ref, $stems);
        foreach (array_diff_assoc($refs, array_unique($refs)) as $twice) {
            throw new Fault(sprintf('two stems are called "%s"', $twice));
        }
        foreach (array_diff([...$cut, ...array_map(strval(...), array_keys($word))], $refs) as $stranger) {
            throw new Fault(sprintf('there is no stem called "%s"', $stranger));
        }

        $isCut = array_flip($cut);
        $faults = [];
        foreach ($stems as $stem) {
            foreach ($stem->faults as $fault) {
                $faults[$fault->value][] = $stem;
            }
        }

        return new self(
            $stems, $cut, $word,
            array_values(array_filter($stems, static fn (Stem $stem): bool => ! isset($isCut[$stem->ref]))),
            $isCut,
            $faults,
        );
    }

    /** @return list<Stem> */
    public function standing(): array
    {
        return $this->standing;
    }

    /**
     * Those that stand and have a fault.
     *
     * @return array<int, Stem>
     */
    public function standingWith(StemFault $fault): array
    {
        return array_filter($this->faults[$fault->value] ?? [], $this->stands(...));
    }

    public function stands(Stem $stem): bool
    {
        return ! isset($this->isCut[$stem->ref]);
    }

    /** The same with every stem some years older, or younger. */
    public function aged(int $years): self
    {
        return self::of(
            array_map(static fn (Stem $stem): Stem => $stem->aged($years), $this->stems),
            $this->cut,
            $this->word,
        );
    }

    /** The same once one more stem is out. */
    public function without(string $ref): self
    {
        return new self(
            $this->stems, [...$this->cut, $ref], $this->word,
            array_values(array_filter($this->standing, static fn (Stem $stem): bool => $stem->ref !== $ref)),
            $this->isCut + [$ref => 0],
            $this->faults,
        );
    }

    public function isKept(Stem $stem): bool
    {
        return ($this->word[$stem->ref] ?? null) === self::KEEP;
    }

    /** Old and young stems that stand alive, as an aim tells them apart. */
    public function counts(StemAim $aim): StemCount
    {
        $alive = array_filter($this->standing, static fn (Stem $stem): bool => ! $stem->has(StemFault::Dead));
        $young = count(array_filter($alive, $aim->isYoung(...)));

        return StemCount::of(count($alive) - $young, $young);
    }
}
