<?php

declare(strict_types=1);

namespace App\Exercise;

use App\Ground\Models\Plant;
use PruningHook\Core\Exercise\Exercise;
use PruningHook\Core\Exercise\ExerciseCase;

/** A plant on the bench: a case of the library, or one of the firm's. */
final readonly class Practised
{
    /**
     * @param  string  $key  as its link has it
     * @param  string  $fault  what is to be known of it, in words
     */
    public function __construct(
        public string $key,
        public int $seed,
        public int $level,
        public string $title,
        public string $fault,
        public Exercise $exercise,
        public ?Plant $plant,
    ) {
    }

    public function levelInWords(): string
    {
        return $this->plant === null ? ExerciseCase::LEVELS[$this->level] : 'one of ours';
    }
}
