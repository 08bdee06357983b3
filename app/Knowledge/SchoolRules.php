<?php

declare(strict_types=1);

namespace App\Knowledge;

use Illuminate\Validation\Rule;
use PruningHook\Core\PlantBook\PlantBook;

/** The part of a form that chooses schools. */
final readonly class SchoolRules
{
    /** @return array<string, mixed> */
    public static function rules(): array
    {
        $rules = ['practice' => ['array']];
        foreach (app(PlantBook::class)->questions as $question) {
            $rules["practice.$question->key"] = ['nullable', Rule::in(array_keys($question->options))];
        }

        return $rules;
    }

    /**
     * The choices made; the empty ones mean "as elsewhere".
     *
     * @return array<string, string>
     */
    public static function chosen(mixed $practice): array
    {
        return array_filter(
            is_array($practice) ? $practice : [],
            static fn (mixed $option, mixed $question): bool => is_string($option)
                && $option !== ''
                && isset(app(PlantBook::class)->questions[$question]),
            ARRAY_FILTER_USE_BOTH,
        );
    }
}
