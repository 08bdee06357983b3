<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Fault;

/** The publications the plant book rests on, each named once. */
final readonly class Sources
{
    public const COMMON = 'common';

    /** What a firm found out for itself. */
    public const FIRM = 'firm';

    /** @param  array<string, string>  $names */
    private function __construct(private array $names)
    {
    }

    /** @param  array<string, string>  $names key to how it is quoted */
    public static function of(array $names): self
    {
        return new self([self::COMMON => 'common practice', self::FIRM => "the firm's own", ...$names]);
    }

    /** @throws Fault when the plant book names a source that sources.yaml does not list */
    public function quote(string $key): string
    {
        return $this->names[$key] ?? throw new Fault(sprintf('"%s" is not listed in sources.yaml', $key));
    }
}
