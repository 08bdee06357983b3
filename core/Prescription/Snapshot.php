<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription;

use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Fault;
use PruningHook\Core\Method\Kit;
use PruningHook\Core\Reason;
use PruningHook\Core\Working;

/**
 * A task as it was prescribed on a day, so that sheet and record never change behind the crew. Written and read in one
 * place, in the shape of a task in docs/formats/prescription.schema.json.
 *
 * @phpstan-type Written array{key: string, name: string, method: string, recipe?: ?string,
 *     cap?: array{percent: int, source: string}, hands_off?: ?string, school: ?string,
 *     window: array{opens: string, best_from: string, best_to: string, closes: string},
 *     amounts: list<array{what: string, unit: string, min: int, target: int, max: int,
 *     effect?: string}>, steps: list<string>,
 *     minutes: int, cautions: list<string>,
 *     kit?: array{tools: list<string>, people: int, gear: list<string>, materials: list<string>, debris_litres: int,
 *         aftercare: list<string>, follow_ups: list<array{after_days: ?int, what: string}>},
 *     reasons: list<array{rule: string, because: string, source: string}>,
 *     workings?: list<array{what: string, formula: string, figures: string, result: string, source: string}>}
 */
final readonly class Snapshot
{
    /**
     * @param  ?string  $recipe  its key; null where it was written before recipes had one
     * @param  ?array{int, string}  $cap  per cent of live growth, and source; null where written before caps were
     * @param  ?string  $handsOff  why it is not the crew's
     * @param  list<Amount>  $amounts
     * @param  list<string>  $steps
     * @param  list<string>  $cautions
     * @param  ?Kit  $kit  null where it was written before kits were
     * @param  list<Reason>  $reasons
     * @param  list<Working>  $workings
     */
    private function __construct(
        public string $key,
        public string $name,
        public string $method,
        public ?string $recipe,
        public ?array $cap,
        public ?string $handsOff,
        public ?string $school,
        public Window $window,
        public array $amounts,
        public array $steps,
        public int $minutes,
        public array $cautions,
        public ?Kit $kit,
        public array $reasons,
        public array $workings,
    ) {
    }

    public static function of(Task $task): self
    {
        return new self(
            $task->key, $task->name, $task->method, $task->methodKey,
            [$task->budget->capPercent, $task->budget->source], $task->handsOff, $task->school(), $task->window,
            $task->amounts, $task->steps, $task->minutes, $task->cautions, $task->kit, $task->reasons, $task->workings,
        );
    }

    /**
     * @param  Written  $written
     *
     * @throws Fault where a day or a window cannot be
     */
    public static function read(array $written): self
    {
        $window = array_map(Day::parse(...), $written['window']);
        $cap = $written['cap'] ?? null;

        return new self(
            $written['key'],
            $written['name'],
            $written['method'],
            $written['recipe'] ?? null,
            $cap === null ? null : [$cap['percent'], $cap['source']],
            $written['hands_off'] ?? null,
            $written['school'],
            Window::of($window['opens'], $window['best_from'], $window['best_to'], $window['closes']),
            array_map(Amount::fromArray(...), $written['amounts']),
            $written['steps'],
            $written['minutes'],
            $written['cautions'],
            isset($written['kit']) ? Kit::read($written['kit']) : null,
            array_map(static fn (array $reason): Reason => new Reason(...$reason), $written['reasons']),
            array_map(static fn (array $working): Working => new Working(...$working), $written['workings'] ?? []),
        );
    }

    /** The first of its amounts with an effect, or null where it has no such. */
    public function amount(Effect $effect): ?Amount
    {
        return Amount::withEffect($this->amounts, $effect);
    }

    /** @return array<string, mixed> a task in the shape of docs/formats/prescription.schema.json */
    public function toArray(): array
    {
        return [
            'key' => $this->key,
            'name' => $this->name,
            'method' => $this->method,
            'recipe' => $this->recipe,
            'cap' => $this->cap === null ? null : ['percent' => $this->cap[0], 'source' => $this->cap[1]],
            'hands_off' => $this->handsOff,
            'school' => $this->school,
            'window' => $this->window->toArray(),
            'amounts' => array_map(static fn (Amount $amount): array => $amount->toArray(), $this->amounts),
            'steps' => $this->steps,
            'minutes' => $this->minutes,
            'cautions' => $this->cautions,
            'kit' => $this->kit?->toArray(),
            'reasons' => array_map(static fn (Reason $reason): array => $reason->toArray(), $this->reasons),
            'workings' => array_map(static fn (Working $working): array => $working->toArray(), $this->workings),
        ];
    }
}
