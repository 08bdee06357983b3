<?php

declare(strict_types=1);

namespace App\Field;

use App\Ground\Models\User;
use App\Ground\Support\AskedRequest;
use App\Season\TaskChoice;
use Closure;
use Illuminate\Support\Facades\Gate;
use PruningHook\Core\Calendar\Day;

/** A visit as it is being planned. */
final class PlanRequest extends AskedRequest
{
    public function authorize(): bool
    {
        return Gate::allows('plan', $this->route('garden'));
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'on' => PlanDay::rules(),
            'tasks' => ['required', 'array', 'min:1', 'max:100'],
            'tasks.*' => ['required', 'string', 'regex:'.TaskChoice::PATTERN],
            'crew_id' => ['nullable', 'integer', 'exists:crews,id', $this->givesTo(...)],
            'outside_reason' => ['nullable', 'string', 'max:500'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'tasks.required' => 'Choose at least one task for the visit.',
            ...PlanDay::MESSAGES,
        ];
    }

    private function givesTo(string $attribute, mixed $value, Closure $fail): void
    {
        $user = $this->user();
        if (! $user instanceof User || ! $user->gives($this->crew())) {
            $fail('A lead plans for the own crew. Ask the planner for another.');
        }
    }

    public function day(): Day
    {
        return Day::parse($this->line('on'));
    }

    /** @return list<TaskChoice> */
    public function choices(): array
    {
        /** @var list<string> $tasks */
        $tasks = array_values(array_unique((array) $this->validated('tasks')));

        return array_map(TaskChoice::parse(...), $tasks);
    }

    public function reason(): ?string
    {
        return $this->line('outside_reason') ?: null;
    }

    public function crew(): ?int
    {
        return $this->integer('crew_id') ?: null;
    }
}
