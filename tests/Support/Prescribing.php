<?php

declare(strict_types=1);

namespace Tests\Support;

use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Prescription\Prescription;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Schools\ChosenSchools;

/** Short words for what most tests of the core do. */
trait Prescribing
{
    /** @param  array<string, string>  $firm the house practice */
    private function prescribe(Plant $plant, ?Site $site = null, int $season = 2027, array $firm = []): Prescription
    {
        return Prescriber::with(TestBook::read())->prescribe(
            $plant,
            SiteYear::of($site ?? Sites::southernEngland(), $season),
            $this->practice($firm),
        );
    }

    /** @param  array<string, string>  $firm */
    private function task(Plant $plant, string $key, ?Site $site = null, int $season = 2027, array $firm = []): Task
    {
        $task = $this->prescribe($plant, $site, $season, $firm)->task($key);
        self::assertNotNull($task, "$plant->kind has no task $key here");

        return $task;
    }

    private function amount(Task $task, string $what): Amount
    {
        foreach ($task->amounts as $amount) {
            if ($amount->what === $what) {
                return $amount;
            }
        }
        self::fail("$task->key has no amount called $what");
    }

    /** @param  array<string, string>  $firm */
    private function practice(array $firm = []): ChosenSchools
    {
        return ChosenSchools::of(TestBook::read()->questions, $firm);
    }

    private function day(string $text): Day
    {
        return Day::parse($text);
    }

    private function saysBecause(Task $task, string $rule): string
    {
        foreach ($task->reasons as $reason) {
            if ($reason->rule === $rule) {
                return $reason->because;
            }
        }
        self::fail("$task->key gives no reason called $rule");
    }

    /** @param  array<string, string>  $firm */
    private function assertAmount(string $kind, string $task, string $what, int $min, int $max, array $firm = []): void
    {
        $amount = $this->amount($this->task(new Plant('p', $kind), $task, firm: $firm), $what);
        self::assertSame([$min, $max], [$amount->min, $amount->max]);
    }
}
