<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

use PruningHook\Core\Calendar\Day;

/** One garden, one crew, one day. Refs of each, and of the tasks done there. */
final readonly class Visit
{
    /**
     * @param  list<string>  $tasks
     * @param  ?int  $start  when work begins, in minutes after midnight, and when it ends; null where not worked out
     */
    public function __construct(
        public string $garden,
        public string $crew,
        public Day $on,
        public array $tasks,
        public ?int $start = null,
        public ?int $end = null,
    ) {
    }

    /** @return array{garden: string, crew: string, date: string, start: string, end: string, tasks: list<string>} */
    public function toArray(): array
    {
        return [
            'garden' => $this->garden, 'crew' => $this->crew, 'date' => (string) $this->on,
            'start' => self::clock($this->start ?? 0), 'end' => self::clock($this->end ?? 0), 'tasks' => $this->tasks,
        ];
    }

    /** "08:05" */
    public static function clock(int $minutes): string
    {
        return sprintf('%02d:%02d', intdiv($minutes, 60), $minutes % 60);
    }
}
