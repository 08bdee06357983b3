<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Support\LengthField;
use App\Support\Today;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Contradictions;

/** A plant's facts as the form gives them: lengths in centimetres. */
final class PlantRequest extends FormRequest
{
    public const FORMS = ['free', 'hedge', 'standard', 'multi-stem', 'fan', 'espalier', 'cordon', 'trellis', 'arch', 'fence', 'wall'];

    public const AIMS = ['bloom', 'fruit', 'green', 'clear-stem', 'renewal', 'tidy'];

    public const HAZARDS = ['power-line' => 'Power line near', 'road' => 'Road or path beside it', 'glass' => 'Glass below'];

    private const LENGTHS = ['height', 'spread', 'run', 'flowering_height'];

    public function authorize(): bool
    {
        return Gate::allows('update', $this->route('plant') ?? $this->route('garden'));
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $kind = static function (string $attribute, mixed $value, Closure $fail): void {
            $book = app(PlantBook::class);
            if (is_string($value) && $book->find($value) === null) {
                $near = $book->nearestName($value);
                $fail("The plant book has no kind \"$value\".".($near === null ? '' : " Did you mean \"$near\"?"));
            }
        };

        return [
            'kind' => ['required', 'string', 'max:120', $kind],
            'label' => ['required', 'string', 'max:120'],
            'bed' => ['nullable', 'string', 'max:120'],
            'planted_on' => ['nullable', 'date_format:Y-m-d', 'after:1700-01-01', 'before_or_equal:'.Today::day()],
            'count' => ['required', 'integer', 'between:1,10000'],
            'height_cm' => ['nullable', 'integer', 'between:1,6000'],
            'spread_cm' => ['nullable', 'integer', 'between:1,6000'],
            'run_cm' => ['nullable', 'integer', 'between:1,100000'],
            'flowering_height_cm' => ['nullable', 'integer', 'between:1,1000'],
            'stems_old' => ['nullable', 'integer', 'between:0,1000'],
            'stems_young' => ['nullable', 'integer', 'between:0,1000'],
            'prunings_g' => ['nullable', 'integer', 'between:0,100000'],
            'bud_mortality_percent' => ['nullable', 'integer', 'between:0,100'],
            'sure' => ['nullable', 'in:1'],
            'form' => ['nullable', Rule::in(self::FORMS)],
            'aim' => ['nullable', Rule::in(self::AIMS)],
            'grafted' => ['nullable', 'in:1,0'],
            'hazards' => ['array'],
            'hazards.*' => [Rule::in(array_keys(self::HAZARDS))],
            'notes' => ['nullable', 'string', 'max:2000'],
            ...PracticeRules::rules(),
        ];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            $kind = app(PlantBook::class)->find($this->string('kind')->toString());
            $height = $this->input('flowering_height_cm');
            if ($kind === null) {
                return;
            }
            LengthDoubts::tell($validator, $this, $kind);
            foreach (Contradictions::of($kind, $this->string('aim')->toString() ?: null, is_numeric($height) ? (int) $height * 10 : null, $this->filled('grafted') ? $this->boolean('grafted') : null) as $fact => $told) {
                $validator->errors()->add($fact === 'flowering_height' ? 'flowering_height_cm' : $fact, $told.(str_ends_with($told, '.') ? '' : '.'));
            }
        });
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'planted_on.before_or_equal' => 'A plant cannot be planted in the future. Enter it when it is in the ground.',
            'height_cm.between' => 'A height lies between 1 cm and 60 m. Heights are in centimetres.',
        ];
    }

    /** @return array<string, string> */
    public function attributes(): array
    {
        return ['planted_on' => 'planting date', 'height_cm' => 'height', 'spread_cm' => 'spread', 'run_cm' => 'run',
            'flowering_height_cm' => 'flowering height', 'stems_old' => 'old stems', 'stems_young' => 'young stems'];
    }

    /** @return array<string, mixed> */
    public function facts(): array
    {
        $facts = Arr::except((array) $this->validated(), ['practice', 'hazards', 'kind', 'sure', ...array_map(static fn (string $length): string => $length.'_cm', self::LENGTHS)]);
        foreach (self::LENGTHS as $length) {
            $cm = $this->validated($length.'_cm');
            $facts[$length.'_mm'] = LengthField::mm(is_numeric($cm) ? (int) $cm : null);
        }

        return [
            ...$facts,
            'kind' => app(PlantBook::class)->find($this->string('kind')->toString())?->id,
            'hazards' => array_values((array) $this->validated('hazards', [])),
            'practice' => PracticeRules::chosen($this->validated('practice', [])),
        ];
    }
}
