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
    /** @param  list<string>  $traits  of its kind: `opposite-buds`, `tied` */
    public function __construct(
        private WinterClass $winter,
        private Practice $practice,
        /** 1 in the plant's first season in the ground; null where the planting date is not known */
        public ?int $yearInGround = null,
        private ?string $form = null,
        private ?string $aim = null,
        private ?bool $grafted = null,
        /** @var list<string> of its kind */
        private array $traits = [],
        private ?Region $region = null,
        private ?string $condition = null,
        private ?string $bearing = null,
        private bool $moved = false,
        private bool $exposed = false,
    ) {
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
            'moved' => self::flag($this->moved),
            'exposed' => self::flag($this->exposed),
            'grafted' => self::yes($this->grafted),
            default => $this->choice($key)->option,
        };
    }

    private static function flag(bool $is): ?string
    {
        return $is ? 'yes' : null;
    }

    private static function yes(?bool $said): ?string
    {
        return match ($said) {
            true => 'yes',
            false => 'no',
            null => null,
        };
    }
}
