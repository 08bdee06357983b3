<?php

declare(strict_types=1);

namespace App\Exercise;

use App\Ground\Support\AskedRequest;
use App\Ground\Support\Today;
use Illuminate\Validation\Validator;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Exercise\CutCode;
use PruningHook\Core\Fault;

/** An answer that is handed in: the cuts, and the day they would be made on. */
final class AnswerRequest extends AskedRequest
{
    private ?Practised $practised = null;

    private ?Day $day = null;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'seed' => ['nullable', 'integer', 'between:0,'.ExerciseRequest::MOST_SEED],
            'cuts' => ['required', 'string', 'max:4000'],
            'day' => ['required', 'string', 'max:10'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'cuts.required' => 'Nothing is cut yet: mark a cut first.',
            'day.required' => 'Choose the day it would be done on.',
            'seed.*' => 'That plant has no such number.',
        ];
    }

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            try {
                $case = $this->route('case');
                $this->practised = app(Exercises::class)->of(
                    is_string($case) ? $case : '', (int) ($this->line('seed') === '' ? '1' : $this->line('seed')),
                    Today::day(),
                );
                foreach (CutCode::read($this->line('cuts'), $this->practised->exercise->plant)->faults as $fault) {
                    $validator->errors()->add('cuts', $fault);
                }
            } catch (Fault $fault) {
                $validator->errors()->add('cuts', ucfirst($fault->getMessage()).'.');

                return;
            }
            foreach ($this->practised->exercise->days as $day) {
                $this->day = (string) $day === $this->line('day') ? $day : $this->day;
            }
            if ($this->day === null) {
                $validator->errors()->add('day', 'Choose one of the days that are offered.');
            }
        }];
    }

    public function practised(): Practised
    {
        return $this->practised ?? throw new Fault('nothing was checked');
    }

    public function cuts(): string
    {
        return $this->line('cuts');
    }

    public function day(): Day
    {
        return $this->day ?? throw new Fault('nothing was checked');
    }
}
