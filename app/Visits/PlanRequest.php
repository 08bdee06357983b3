<?php

declare(strict_types=1);

namespace App\Visits;

use App\Season\TaskChoice;
use App\Support\Today;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use PruningHook\Core\Calendar\Day;

/** A visit as it is being planned. */
final class PlanRequest extends FormRequest
{
    public function authorize(): bool
    {
        return Gate::allows('plan', $this->route('garden'));
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'on' => ['required', 'date_format:Y-m-d', 'after_or_equal:'.Today::day()],
            'tasks' => ['required', 'array', 'min:1', 'max:100'],
            'tasks.*' => ['required', 'string', 'regex:/^\d{1,9}:[a-z-]{1,60}:\d{4}$/'],
            'crew_id' => ['nullable', 'integer', 'exists:crews,id'],
            'outside_reason' => ['nullable', 'string', 'max:500'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'tasks.required' => 'Choose at least one task for the visit.',
            'on.required' => 'Choose the day of the visit.',
            'on.date_format' => 'That is not a day of the calendar.',
            'on.after_or_equal' => 'A visit is planned for today or later.',
        ];
    }

    public function day(): Day
    {
        return Day::parse($this->string('on')->toString());
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
        return $this->string('outside_reason')->trim()->toString() ?: null;
    }

    public function crew(): ?int
    {
        return $this->integer('crew_id') ?: null;
    }
}
