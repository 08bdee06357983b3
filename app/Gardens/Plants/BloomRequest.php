<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Ground\Models\BloomNote;
use App\Ground\Models\Plant;
use App\Ground\Models\Regrowth;
use App\Ground\Support\AskedRequest;
use App\Ground\Support\Today;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use PruningHook\Core\PlantBook\PlantBook;

/** How a plant flowered. */
final class BloomRequest extends AskedRequest
{
    protected $errorBag = 'bloom';

    public function authorize(): bool
    {
        return Gate::allows('survey', $this->route('plant'));
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'flowering_height_cm' => [
                'nullable', 'required_without_all:score,regrowth,diseased', 'integer', 'between:1,1000',
            ],
            'score' => ['nullable', 'integer', 'between:1,'.count(BloomNote::SCORES)],
            'regrowth' => ['nullable', Rule::enum(Regrowth::class)],
            'diseased' => ['nullable', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'flowering_height_cm.required_without_all' => 'How high did it flower, or how well?',
            'score' => 'Choose one of the words.',
            'regrowth' => 'Choose one of the words.',
            'diseased' => 'Choose one of the words.',
            'flowering_height_cm.integer' => 'A flowering height is a whole number of centimetres.',
            'flowering_height_cm.between' => 'A flowering height lies between 1 cm and 10 m, in centimetres.',
        ];
    }

    public function withValidator(Validator $validator): void
    {
        $plant = $this->route('plant');
        assert($plant instanceof Plant);
        $validator->after(
            fn (Validator $validator) => LengthDoubts::tell(
                $validator, $this, app(PlantBook::class)->find($plant->kind), Today::day(),
            ),
        );
    }
}
