<?php

declare(strict_types=1);

namespace PruningHook\Core\Plant;

use PruningHook\Core\Calendar\Region;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\Schools\Choice;
use PruningHook\Core\Schools\ChosenSchools;

/** What a condition of the plant book may ask about one plant in one season. */
final readonly class Circumstances
{
    /** @var array<string, ?string> the plant's answers, by what a condition may ask */
    private array $answers;

    /** @param  list<string>  $traits  of its kind: `opposite-buds`, `tied` */
    public function __construct(
        WinterClass $winter,
        private ChosenSchools $practice,
        /** 1 in the plant's first season in the ground; null where the planting date is not known */
        public ?int $yearInGround = null,
        ?string $form = null,
        ?string $aim = null,
        ?bool $grafted = null,
        /** @var list<string> of its kind */
        private array $traits = [],
        ?Region $region = null,
        ?string $condition = null,
        State $state = new State,
    ) {
        $this->answers = [
            'winter' => $winter->value,
            'form' => $form,
            'aim' => $aim,
            'region' => $region?->value,
            'condition' => $condition,
            'grafted' => self::yes($grafted),
            'moved' => $state->transplanted === null ? null : 'yes',
            'exposed' => $state->exposed ? 'yes' : null,
            'bearing' => $state->bearing,
            'rootstock' => $state->rootstock,
            'growth' => $state->growth,
        ];
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
        return array_key_exists($key, $this->answers) ? $this->answers[$key] : $this->choice($key)->option;
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
