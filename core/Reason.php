<?php

declare(strict_types=1);

namespace PruningHook\Core;

/**
 * Why a value is what it is: the rule that spoke, the facts it used in plain words, and where the rule comes from.
 * Every computed value of the product carries at least one.
 */
final readonly class Reason
{
    public function __construct(
        public string $rule,
        public string $because,
        public string $source,
    ) {
    }

    /** A reason that rests on the usage of the trade and on no publication. */
    public static function commonPractice(string $rule, string $because): self
    {
        return new self($rule, $because, 'common practice');
    }

    /** @return array{rule: string, because: string, source: string} */
    public function toArray(): array
    {
        return ['rule' => $this->rule, 'because' => $this->because, 'source' => $this->source];
    }
}
