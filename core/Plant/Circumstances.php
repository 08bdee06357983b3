<?php

declare(strict_types=1);

namespace PruningHook\Core\Plant;

use PruningHook\Core\Calendar\Region;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\Practice\Choice;
use PruningHook\Core\Practice\Practice;

/** What a condition of the plant book may ask about one plant in one season. */
final readonly class Circumstances
{
    private function __construct(
        private WinterClass $winter,
        private Practice $practice,
        /** 1 in the plant's first season in the ground; null where the planting date is not known */
        public ?int $yearInGround,
        private ?string $form,
        private ?string $aim,
        private ?bool $grafted,
        /** @var list<string> of its kind */
        private array $traits,
        private ?Region $region,
        private ?string $condition,
        private ?string $bearing,
        private bool $moved,
        private bool $exposed,
    ) {
    }

    /** @param  list<string>  $traits  of its kind: `opposite-buds`, `tied` */
    public static function of(
        WinterClass $winter,
        Practice $practice,
        ?int $yearInGround = null,
        ?string $form = null,
        ?string $aim = null,
        ?bool $grafted = null,
        array $traits = [],
        ?Region $region = null,
        ?string $condition = null,
        ?string $bearing = null,
        bool $moved = false,
        bool $exposed = false,
    ): self {
        return new self($winter, $practice, $yearInGround, $form, $aim, $grafted, $traits, $region, $condition, $bearing, $moved, $exposed);
    }

    public function choice(string $question): Choice
    {
        return $this->practice->inForce($question);
    }

    public function has(string $trait): bool
    {
        return in_array($trait, $this->traits, true);
    }

    /** The plant's answer to a condition's key, or null where it is not known. */
    public function answer(string $key): ?string
    {
        return match ($key) {
            'winter' => $this->winter->value,
            'form' => $this->form,
            'aim' => $this->aim,
            'region' => $this->region?->value,
            'condition' => $this->condition,
            'bearing' => $this->bearing,
            'moved' => $this->moved ? 'yes' : null,
            'exposed' => $this->exposed ? 'yes' : null,
            'grafted' => $this->grafted === null ? null : ($this->grafted ? 'yes' : 'no'),
            default => $this->choice($key)->option,
        };
    }
}
