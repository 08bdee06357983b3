<?php

declare(strict_types=1);

namespace App\Visits;

use App\Models\Finding;
use App\Models\Hindrance;
use App\Models\VisitTask;
use App\Support\LengthField;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;

/** What the crew says of one task on the sheet. */
final class LogRequest extends FormRequest
{
    public function authorize(): bool
    {
        $task = $this->route('task');

        return $task instanceof VisitTask && Gate::allows('log', $task->visit);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'outcome' => ['required', 'in:done,partly,not-done'],
            'why' => [
                'nullable', 'required_if:outcome,partly', 'required_if:outcome,not-done', Rule::enum(Hindrance::class),
            ],
            'minutes' => [
                'nullable', 'required_if:outcome,done', 'required_if:outcome,partly', 'integer', 'between:0,1440',
            ],
            'removed_percent' => ['nullable', 'integer', 'between:0,100'],
            'over_cap_reason' => ['nullable', 'string', 'max:300'],
            'amounts' => ['array'],
            'amounts.*' => ['nullable', 'integer', 'between:0,100000'],
            'findings' => ['array'],
            'findings.*' => [Rule::enum(Finding::class)],
            'note' => ['nullable', 'string', 'max:2000'],
            'left_for_next_year' => ['nullable', 'string', 'max:500'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'outcome.required' => 'Tap done, partly or not done.',
            'why.required_if' => 'Tap why it was not all done.',
            'minutes.required_if' => 'How many minutes did it take?',
            'removed_percent.between' => 'A share lies between 0 and 100 per cent.',
            'minutes.between' => 'Minutes lie between 0 and a whole day (1440).',
            'amounts.*.integer' => 'A whole number, please.',
        ];
    }

    /** More than the season's cap is logged as it was done, but never without saying why. */
    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            $task = $this->route('task');
            if (
                ! $task instanceof VisitTask
                || ! $this->filled('removed_percent')
                || $this->filled('over_cap_reason')
                || $validator->errors()->has('removed_percent')
            ) {
                return;
            }
            $budget = app(SeasonBudget::class)->before($task);
            if ($budget !== null && $this->integer('removed_percent') > $budget->leftPercent()) {
                $validator
                    ->errors()
                    ->add(
                        'removed_percent',
                        sprintf(
                            '%d %% is over the cap: %d %% may go in a season%s. It will answer with watershoots, '
                                .'fewer flowers or dieback. If it was done, say why.',
                            $this->integer('removed_percent'), $budget->capPercent,
                            $budget->usedPercent === 0 ? '' : sprintf(' and %d %% has gone', $budget->usedPercent),
                        ),
                    );
                $validator->errors()->add('over_cap_reason', 'Why was more taken?');
            }
        });
    }

    /** The errors of each task keep to its own card. */
    protected function prepareForValidation(): void
    {
        $task = $this->route('task');
        $this->errorBag = 'task'.($task instanceof VisitTask ? $task->id : '');
    }

    /**
     * What was said, with lengths in millimetres.
     *
     * @return array{outcome: string, why: ?string, minutes: ?int, removed_percent: ?int, over_cap_reason: ?string,
     *     amounts: array<array-key, mixed>, findings: list<string>, note: ?string, left_for_next_year: ?string}
     */
    public function said(VisitTask $task): array
    {
        $amounts = [];
        foreach ($task->prescribed->amounts as $index => $amount) {
            $value = $this->input("amounts.$index");
            $amounts[$index] = is_numeric($value) ? LengthField::kept($amount, (int) $value) : null;
        }
        $done = $this->string('outcome')->toString() === 'done';

        return [
            'outcome' => $this->string('outcome')->toString(),
            'why' => $done ? null : $this->string('why')->toString(),
            'minutes' => $this->filled('minutes') ? $this->integer('minutes') : null,
            'removed_percent' => $this->filled('removed_percent') && $this->string('outcome')->toString() !== 'not-done'
                    ? $this->integer('removed_percent')
                    : null,
            'over_cap_reason' => $this->string('over_cap_reason')->trim()->toString() ?: null,
            'amounts' => $amounts,
            'findings' => array_values(array_filter((array) $this->validated('findings', []), is_string(...))),
            'note' => $this->string('note')->trim()->toString() ?: null,
            'left_for_next_year' => $this->string('left_for_next_year')->trim()->toString() ?: null,
        ];
    }
}
