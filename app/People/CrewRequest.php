<?php

declare(strict_types=1);

namespace App\People;

use App\Ground\Models\Crew;
use App\Ground\Models\Firm;
use App\Ground\Support\AskedRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;

/** A crew as the form gives it. */
final class CrewRequest extends AskedRequest
{
    public const WEEKDAYS = [
        1 => 'Monday', 2 => 'Tuesday', 3 => 'Wednesday', 4 => 'Thursday', 5 => 'Friday', 6 => 'Saturday', 7 => 'Sunday',
    ];

    public function authorize(): bool
    {
        return Gate::allows('update', Firm::class);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $crew = $this->route('crew');

        return [
            'name' => [
                'required', 'string', 'max:60',
                Rule::unique('crews')->ignore($crew instanceof Crew ? $crew->id : null),
            ],
            'people' => ['required', 'integer', 'between:1,20'],
            'skills' => ['array'],
            'skills.*' => [Rule::in(Crew::SKILLS)],
            'overtime' => ['nullable', 'boolean'],
            'week' => ['required', 'array'],
            'week.*.from' => ['nullable', 'date_format:H:i', 'required_with:week.*.to'],
            'week.*.to' => ['nullable', 'date_format:H:i', 'required_with:week.*.from'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.unique' => 'There is a crew of that name.',
            'people.between' => 'A crew has between 1 and 20 people.',
            'week.*.from.date_format' => 'Write the time as 08:00.',
            'week.*.to.date_format' => 'Write the time as 16:00.',
            'week.*.from.required_with' => 'When does the day begin?',
            'week.*.to.required_with' => 'When does the day end?',
        ];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            foreach ($validator->errors()->isEmpty() ? $this->week() : [] as $weekday => [$from, $to]) {
                if ($to <= $from) {
                    $validator->errors()->add("week.$weekday.to", 'A day ends after it begins.');
                }
            }
        });
    }

    /**
     * @return array{name: string, people: int, skills: list<string>, overtime: bool,
     *     week: array<int, array{int, int}>}
     */
    public function facts(): array
    {
        return [
            'name' => $this->line('name'),
            'people' => $this->integer('people'),
            'skills' => array_values(array_filter((array) $this->input('skills', []), is_string(...))),
            'overtime' => $this->boolean('overtime'),
            'week' => $this->week(),
        ];
    }

    /** @return array<int, array{int, int}> */
    private function week(): array
    {
        $week = [];
        foreach (array_keys(self::WEEKDAYS) as $weekday) {
            $from = self::minutes($this->input("week.$weekday.from"));
            $to = self::minutes($this->input("week.$weekday.to"));
            if ($from !== null && $to !== null) {
                $week[$weekday] = [$from, $to];
            }
        }

        return $week;
    }

    private static function minutes(mixed $clock): ?int
    {
        return is_string($clock) && preg_match('/^(\d\d):(\d\d)$/', $clock, $parts) === 1
            ? 60 * (int) $parts[1] + (int) $parts[2]
            : null;
    }
}
