<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Ground\Bridge\StateFacts;
use App\Ground\Models\Plant;
use App\Ground\Support\AskedRequest;
use App\Ground\Support\LengthField;
use App\Ground\Support\Today;
use App\Knowledge\SchoolRules;
use App\Knowledge\Unnamed;
use Closure;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Plant\Stress;
use PruningHook\Core\Plant\Upkeep;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Contradictions;
use PruningHook\Core\Prescription\GivenFacts;

/**
 * A plant's facts as the form gives them: lengths in centimetres.
 *
 * @phpstan-import-type Facts from StateFacts
 */
final class PlantRequest extends AskedRequest
{
    public const FORMS = [
        'free', 'hedge', 'standard', 'multi-stem', 'weeping', 'fan', 'espalier', 'cordon', 'trellis', 'arch', 'fence',
        'wall', 'pollard', 'pleached', 'topiary',
    ];

    public const AIMS = ['bloom', 'fruit', 'green', 'clear-stem', 'renewal', 'tidy'];

    public const HAZARDS = [
        'power-line' => 'Power line near',
        'road' => 'Road or path beside it',
        'glass' => 'Glass below',
    ];

    /** Facts that are asked for in centimetres. */
    private const IN_CM = [
        'flowering_height_mm' => 'flowering_height_cm',
        'target_height_mm' => 'target_height_cm',
        'width_mm' => 'width_cm',
    ];

    private const LENGTHS = ['height', 'spread', 'run', 'flowering_height'];

    public function authorize(): bool
    {
        return Gate::allows('update', $this->route('plant') ?? $this->route('garden'));
    }

    /** "Keep it for now as": the kind becomes one without a name, and what was typed is what the crew calls it. */
    protected function prepareForValidation(): void
    {
        $as = $this->line('keep_as');
        if (! isset(Unnamed::all(app(PlantBook::class))[$as])) {
            return;
        }
        $said = $this->line('kind');
        $label = $this->line('label');
        $notes = trim($this->line('notes').($said === '' || $said === $label ? '' : "\nSaid to be: $said"));
        $this->merge([
            'kind' => $as,
            'label' => $label === '' ? $said : $label,
            'notes' => $notes === '' ? null : $notes,
        ]);
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
            ...self::seen(),
            ...SchoolRules::rules(),
        ];
    }

    /** @return array<string, mixed> */
    private static function seen(): array
    {
        return [
            'cultivar' => ['nullable', 'string', 'max:80'],
            'condition' => ['nullable', Rule::enum(Upkeep::class)],
            'dieback_percent' => ['nullable', 'integer', 'between:0,100'],
            'disease' => ['nullable', 'string', 'max:60'],
            'stress' => ['nullable', Rule::enum(Stress::class)],
            'transplanted' => ['nullable', 'date_format:Y-m-d', 'after:1700-01-01', 'before_or_equal:'.Today::day()],
            'target_height_cm' => ['nullable', 'integer', 'between:1,2000'],
            'width_cm' => ['nullable', 'integer', 'between:1,1000'],
            'sides' => ['nullable', 'in:1,2'],
            'trunk_mm' => ['nullable', 'integer', 'between:1,6000'],
            'bearing' => ['nullable', 'in:spur,tip'],
            'rootstock' => ['nullable', 'in:dwarfing,vigorous'],
            'growth' => ['nullable', 'in:erect,trailing'],
            ...array_fill_keys(array_keys(PlantForm::TICKS), ['nullable', 'in:1']),
        ];
    }

    /**
     * What was seen beside the measures, as the row keeps it: only what was said.
     *
     * @return array<string, mixed>
     */
    private function state(): array
    {
        $state = [];
        foreach (StateFacts::FIELDS as $fact) {
            $field = isset(self::IN_CM[$fact]) ? self::IN_CM[$fact] : $fact;
            if (! $this->filled($field)) {
                continue;
            }
            $state[$fact] = match (true) {
                isset(PlantForm::TICKS[$fact]) => true,
                isset(self::IN_CM[$fact]) => LengthField::mm($this->integer($field)),
                in_array($fact, ['dieback_percent', 'sides', 'trunk_mm'], true) => $this->integer($field),
                $fact === 'disease' => app(PlantBook::class)->states->disease($this->string($field)->toString())->key ??
                    $this->string($field)->toString(),
                default => $this->string($field)->trim()->toString(),
            };
        }

        return $state;
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            $kind = app(PlantBook::class)->find($this->line('kind'));
            if ($kind === null) {
                return;
            }
            $plant = $this->route('plant');
            LengthDoubts::tell($validator, $this, $kind, Today::day(), $plant instanceof Plant ? $plant : null);
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            /** @var Facts $state */
            $state = $this->state();
            $told = Contradictions::of($kind, app(PlantBook::class), new GivenFacts(
                StateFacts::read($state),
                $this->filled('planted_on') ? Day::parse($this->line('planted_on')) : null,
                $this->line('aim') ?: null,
                $this->filled('flowering_height_cm') ? $this->integer('flowering_height_cm') * 10 : null,
                $this->filled('grafted') ? $this->boolean('grafted') : null,
            ));
            foreach ($told as $fact => $wrong) {
                $validator
                    ->errors()
                    ->add(self::IN_CM[$fact] ?? $fact, ucfirst($wrong).(str_ends_with($wrong, '.') ? '' : '.'));
            }
        });
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'transplanted.before_or_equal' => 'It cannot have been moved in the future.',
            'planted_on.before_or_equal' => 'A plant cannot be planted in the future. Enter it when it is in the '
                .'ground.',
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
        $facts = Arr::except((array) $this->validated(), [
            'practice', 'hazards', 'kind', 'sure',
            ...array_keys(self::seen()),
            ...array_map(static fn (string $length): string => $length.'_cm', self::LENGTHS),
        ]);
        foreach (self::LENGTHS as $length) {
            $cm = $this->validated($length.'_cm');
            $facts[$length.'_mm'] = LengthField::mm(is_numeric($cm) ? (int) $cm : null);
        }

        return [
            ...$facts,
            'kind' => app(PlantBook::class)->find($this->line('kind'))?->id,
            'hazards' => array_values((array) $this->validated('hazards', [])),
            'state' => $this->state(),
            'practice' => SchoolRules::chosen($this->validated('practice', [])),
        ];
    }
}
