<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Ground\Models\Plant;
use App\Ground\Support\AskedRequest;
use App\Ground\Support\Today;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Validator;
use PruningHook\Core\PlantBook\PlantBook;

/** The measures a drawing is looked at with, or that are kept: heights in centimetres, stems in numbers. */
final class MeasuresRequest extends AskedRequest
{
    public const FIELDS = ['height_cm', 'flowering_height_cm', 'stems_old', 'stems_young'];

    /** Looking is free; keeping is for whoever may change the plant. */
    public function authorize(): bool
    {
        return $this->isMethod('get') || Gate::allows('update', $this->plant());
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'height_cm' => ['nullable', 'integer', 'between:1,6000'],
            'flowering_height_cm' => ['nullable', 'integer', 'between:1,1000'],
            'stems_old' => ['nullable', 'integer', 'between:0,1000'],
            'stems_young' => ['nullable', 'integer', 'between:0,1000'],
            'task' => ['nullable', 'string', 'max:60'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'height_cm.between' => 'A height lies between 1 cm and 60 m, in centimetres.',
            'flowering_height_cm.between' => 'A flowering height lies between 1 cm and 10 m, in centimetres.',
        ];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(
            fn (Validator $validator) => LengthDoubts::tell(
                $validator, $this, app(PlantBook::class)->find($this->plant()->kind), Today::day(), $this->plant(),
            ),
        );
    }

    public function plant(): Plant
    {
        $plant = $this->route('plant');
        assert($plant instanceof Plant);

        return $plant;
    }

    /**
     * Only what was given, as the plant's row has it.
     *
     * @return array<string, int|null>
     */
    public function measures(): array
    {
        $measures = [];
        foreach (self::FIELDS as $field) {
            if ($this->has($field)) {
                $value = $this->filled($field) ? $this->integer($field) : null;
                $measures[str_replace('_cm', '_mm', $field)] =
                    str_ends_with($field, '_cm') && $value !== null ? $value * 10 : $value;
            }
        }

        return $measures;
    }
}
