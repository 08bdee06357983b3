<?php

declare(strict_types=1);

namespace App\Season;

use PruningHook\Core\Fault;

/**
 * A task of a plant in a season, as forms and links write it: `12:winter-pass:2027`. The second pass of a task that is
 * repeated has a number in its key: `12:follow-dead-heading-2:2027`.
 */
final readonly class TaskChoice
{
    public const PATTERN = '/^(\d{1,9}):([a-z][a-z0-9-]{0,79}):(\d{4})$/';

    public function __construct(
        public int $plant,
        public string $task,
        public int $season,
    ) {
    }

    /** @throws Fault when it is written otherwise */
    public static function parse(string $text): self
    {
        if (preg_match(self::PATTERN, $text, $part) !== 1) {
            throw new Fault("\"$text\" is not a task of a plant");
        }

        return new self((int) $part[1], $part[2], (int) $part[3]);
    }

    public function __toString(): string
    {
        return "$this->plant:$this->task:$this->season";
    }
}
