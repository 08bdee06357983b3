<?php

declare(strict_types=1);

namespace PruningHook\Core\Exercise;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Entry;

/** The library of cases: what there is to practise, by key. */
final readonly class ExerciseCases
{
    /**
     * @param  array<string, ExerciseCase>  $cases  the easy ones first
     * @param  string  $station  where they stand
     * @param  int  $season  that is worked in: the same for all, so that a case is the same plant in any year
     */
    private function __construct(
        public array $cases,
        public string $station,
        public int $season,
        public Marking $marking,
    ) {
    }

    /** @throws Fault for a case that lacks something */
    public static function read(Entry $file): self
    {
        $cases = [];
        foreach ($file->entry('cases')->keys() as $key) {
            $case = $file->entry('cases')->entry($key);
            $level = $case->whole('level');
            if (! isset(ExerciseCase::LEVELS[$level])) {
                throw new Fault("cases.$key.level: a case is of level 1, 2 or 3");
            }
            $cases[$key] = new ExerciseCase(
                $key, $case->string('kind'), $case->string('task'), $level, $case->string('fault'),
                $case->whole('seasons'),
                $case->int('left') ?? 0, $case->int('dead') ?? 0, $case->int('lopped_mm'),
                $case->has('form') ? $case->string('form') : null, $case->int('height_mm'),
            );
        }
        uasort($cases, static fn (ExerciseCase $a, ExerciseCase $b): int => $a->level <=> $b->level);

        return new self($cases, $file->string('station'), $file->whole('season'), Marking::read($file->entry('marks')));
    }

    /** @throws Fault where there is none of that name */
    public function named(string $key): ExerciseCase
    {
        return $this->cases[$key] ?? throw new Fault("there is no case \"$key\" on the bench");
    }

    /** The same for everybody on a day, another one on the next. */
    public function ofDay(Day $day): ExerciseCase
    {
        $keys = array_keys($this->cases);

        return $this->cases[$keys[crc32("case of day $day->number") % count($keys)]];
    }
}
