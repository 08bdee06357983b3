<?php

declare(strict_types=1);

namespace PruningHook\Core\Schools;

use PruningHook\Core\Reason;

/** The school in force on one question, and who chose it. */
final readonly class Choice
{
    public function __construct(
        public SchoolQuestion $question,
        public string $option,
        public ChoiceLevel $level,
    ) {
    }

    public function reason(): Reason
    {
        return new Reason(
            'School: '.$this->question->name,
            sprintf('%s, %s', $this->question->options[$this->option], $this->level->inWords()),
            $this->question->source,
        );
    }
}
