<?php

declare(strict_types=1);

namespace PruningHook\Core\Practice;

use PruningHook\Core\Reason;

/** The school in force on one question, and who chose it. */
final readonly class Choice
{
    private function __construct(
        public SchoolQuestion $question,
        public string $option,
        public PracticeLevel $level,
    ) {
    }

    public static function of(SchoolQuestion $question, string $option, PracticeLevel $level): self
    {
        return new self($question, $option, $level);
    }

    public function reason(): Reason
    {
        return Reason::of(
            'School: '.$this->question->name,
            sprintf('%s, %s', $this->question->options[$this->option], $this->level->inWords()),
            $this->question->source,
        );
    }
}
