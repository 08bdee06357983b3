<?php

declare(strict_types=1);

namespace PruningHook\Core\Exercise;

/** A plant to practise on: its kind, what has been left undone or done wrong to it, and the task that is to be done. */
final readonly class ExerciseCase
{
    public const LEVELS = [1 => 'easy', 2 => 'middling', 3 => 'hard'];

    /**
     * @param  string  $task  of the kind, by key
     * @param  int  $level  1 to 3
     * @param  string  $fault  in words
     * @param  int  $seasons  it has stood
     * @param  int  $left  of them, the last so many without its task
     * @param  int  $dead  branches that have died
     * @param  ?int  $loppedMm  height it was lopped at in its last three seasons
     * @param  ?string  $form  it is trained to
     * @param  ?int  $heightMm  it stands at; as tall as its kind does where null
     */
    public function __construct(
        public string $key,
        public string $kind,
        public string $task,
        public int $level,
        public string $fault,
        public int $seasons,
        public int $left,
        public int $dead,
        public ?int $loppedMm,
        public ?string $form,
        public ?int $heightMm,
    ) {
    }
}
