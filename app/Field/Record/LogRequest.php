<?php

declare(strict_types=1);

namespace App\Field\Record;

use App\Ground\Models\VisitTask;
use App\Ground\Support\AskedRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Validator;

/**
 * What the crew says of one task on the sheet, where its browser runs no script.
 *
 * @phpstan-import-type Said from LogRules
 */
final class LogRequest extends AskedRequest
{
    public function authorize(): bool
    {
        return Gate::allows('log', $this->task()->visit);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return LogRules::rules();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return LogRules::messages();
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(fn (Validator $validator) => app(LogRules::class)->look(
            $validator, $this->task(), $this->all(),
        ));
    }

    /** The errors of each task keep to its own card. */
    protected function prepareForValidation(): void
    {
        $this->errorBag = 'task'.$this->task()->id;
    }

    /** Back on the sheet the message is in sight: the first of them is turned to. */
    protected function getRedirectUrl(): string
    {
        $task = $this->task();
        $first = array_key_first($this->getValidatorInstance()->errors()->messages());

        return route('visits.show', $task->visit_id)."#wrong-$task->id-".str_replace('.', '-', (string) $first);
    }

    /** @return Said */
    public function said(): array
    {
        return LogRules::said($this->task(), $this->all());
    }

    private function task(): VisitTask
    {
        $task = $this->route('task');

        return $task instanceof VisitTask ? $task : throw new \LogicException('a log is of a task');
    }
}
