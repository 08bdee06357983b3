<?php

declare(strict_types=1);

namespace PruningHook\Core\Schools;

use PruningHook\Core\Fault;

/**
 * The schools chosen by firm, garden and plant. One made with `firm: ['crape-myrtle-height' => 'heading']` answers
 * "heading" until a garden or a plant says otherwise.
 */
final readonly class ChosenSchools
{
    /**
     * @param  array<string, SchoolQuestion>  $questions  by key
     * @param  array<string, array<string, string>>  $chosen  level to question to option
     */
    private function __construct(
        private array $questions,
        private array $chosen,
    ) {
    }

    /**
     * @param  array<string, SchoolQuestion>  $questions  by key
     * @param  array<string, string>  $firm  question to option
     * @param  array<string, string>  $garden
     *
     * @throws Fault when a question or an answer is unknown
     */
    public static function of(array $questions, array $firm = [], array $garden = []): self
    {
        return new self($questions, [
            ChoiceLevel::Firm->value => self::checked($questions, $firm),
            ChoiceLevel::Garden->value => self::checked($questions, $garden),
        ]);
    }

    /**
     * The same practice with one plant's own choices on top.
     *
     * @param  array<string, string>  $plant  question to option
     *
     * @throws Fault when a question or an answer is unknown
     */
    public function forPlant(array $plant): self
    {
        if ($plant === [] && ! isset($this->chosen[ChoiceLevel::Plant->value])) {
            return $this;
        }

        return new self(
            $this->questions,
            [...$this->chosen, ChoiceLevel::Plant->value => self::checked($this->questions, $plant)],
        );
    }

    /** @throws Fault when nobody knows the question */
    public function inForce(string $question): Choice
    {
        $asked = $this->questions[$question]
            ?? throw new Fault(sprintf('"%s" is not a question of practice', $question));
        foreach ([ChoiceLevel::Plant, ChoiceLevel::Garden, ChoiceLevel::Firm] as $level) {
            $option = $this->chosen[$level->value][$question] ?? null;
            if ($option !== null) {
                return new Choice($asked, $option, $level);
            }
        }

        return new Choice($asked, $asked->default, ChoiceLevel::Default);
    }

    /**
     * @param  array<string, SchoolQuestion>  $questions
     * @param  array<string, string>  $choices
     * @return array<string, string>
     */
    private static function checked(array $questions, array $choices): array
    {
        foreach ($choices as $key => $option) {
            $question = $questions[$key] ?? throw new Fault(sprintf('"%s" is not a question of practice', $key));
            if (! isset($question->options[$option])) {
                throw new Fault(sprintf(
                    '"%s" is not an answer to "%s": choose %s',
                    $option,
                    $key,
                    implode(' or ', array_keys($question->options)),
                ));
            }
        }

        return $choices;
    }
}
