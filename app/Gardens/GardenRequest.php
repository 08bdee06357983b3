<?php

declare(strict_types=1);

namespace App\Gardens;

use App\Ground\Bridge\NormalsText;
use App\Ground\Models\Garden;
use App\Ground\Models\User;
use App\Ground\Support\AskedRequest;
use App\Knowledge\SchoolRules;
use Closure;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use PruningHook\Core\Calendar\FrostDoubt;
use PruningHook\Core\Calendar\MonthDay;
use PruningHook\Core\Calendar\Normals;
use PruningHook\Core\Calendar\PlaceDoubt;
use PruningHook\Core\Calendar\Region;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\PlantBook;

/** A garden's facts as the form gives them. */
final class GardenRequest extends AskedRequest
{
    use SaysSite;

    public function authorize(): bool
    {
        $garden = $this->route('garden');

        return $garden instanceof Garden ? Gate::allows('update', $garden) : Gate::allows('create', Garden::class);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $frost = static function (string $attribute, mixed $value, Closure $fail): void {
            try {
                MonthDay::parse(is_string($value) ? $value : '');
            } catch (Fault) {
                $fail('Write month and day with two figures each, 04-22 for 22 April.');
            }
        };

        return [
            'name' => ['required', 'string', 'max:120'],
            'client' => ['required', 'string', 'max:120'],
            'address' => ['nullable', 'string', 'max:200'],
            'crew_id' => ['nullable', 'integer', 'exists:crews,id', $this->givesTo(...)],
            'latitude' => ['required', 'numeric', 'between:-90,90'],
            'longitude' => ['required', 'numeric', 'between:-180,180'],
            'elevation_m' => ['required', 'integer', 'between:-430,6000'],
            'winter' => ['nullable', 'in:cold,cool,warm'],
            'normals' => ['nullable', 'string', 'max:2000'],
            'normals_file' => ['nullable', 'file', 'max:64'],
            'region' => ['nullable', Rule::enum(Region::class)],
            'last_frost' => ['nullable', 'required_if:winter,cold,cool', 'required_with:first_frost', $frost],
            'first_frost' => ['nullable', 'required_if:winter,cold,cool', 'required_with:last_frost', $frost],
            'sure' => ['nullable', 'in:1'],
            'setup_minutes' => ['sometimes', 'required', 'integer', 'between:0,240'],
            'closed_days' => ['sometimes', 'array'],
            'closed_days.*' => ['integer', 'between:0,7'],
            'wished_days' => ['sometimes', 'array', $this->isOpen(...)],
            'wished_days.*' => ['integer', 'between:0,7'],
            'notes' => ['nullable', 'string', 'max:2000'],
            'client_email' => ['nullable', 'string', 'max:190', 'email'],
            'client_phone' => ['nullable', 'string', 'max:40', 'regex:/^[+0-9 ()\/.-]{4,}$/'],
            'postcode' => ['nullable', 'string', 'max:12', 'regex:/^[\p{L}\p{N}][\p{L}\p{N} -]{2,}$/u'],
            'wishes' => ['nullable', 'string', 'max:2000'],
            'photos_ok' => ['nullable', 'in:1,0'],
            ...SchoolRules::rules(),
        ];
    }

    /** Nobody can come on a weekday on which nobody may. */
    private function isOpen(string $attribute, mixed $value, Closure $fail): void
    {
        $days = static fn (mixed $said): array => array_map(intval(...), array_filter((array) $said, is_scalar(...)));
        $both = array_intersect($days($value), $days($this->input('closed_days', [])));
        if (array_diff($both, [0]) !== []) {
            $fail('A weekday cannot be asked for and closed at once.');
        }
    }

    /** Planners give a garden to another crew. */
    private function givesTo(string $attribute, mixed $value, Closure $fail): void
    {
        $garden = $this->route('garden');
        $user = $this->user();
        if ($user instanceof User && ! $user->isPlanner() && $garden instanceof Garden
            && $this->integer('crew_id') !== $garden->crew_id) {
            $fail('A garden is given to another crew by the planner.');
        }
    }

    /** What cannot be is refused; what hardly fits the place is questioned once, and whoever is sure says so. */
    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            if ($validator->errors()->isEmpty()) {
                $this->year($validator);
            }
            if ($validator->errors()->isEmpty() && ! $this->boolean('sure')) {
                $this->frosts($validator);
            }
            // Frosts of the other hemisphere say better what slipped.
            if ($validator->errors()->isEmpty() && ! $this->boolean('sure')) {
                $this->place($validator);
            }
        });
    }

    /** The year of the site must be one that a place on earth can have. */
    private function year(Validator $validator): void
    {
        try {
            $normals = $this->normals();
        } catch (Fault $fault) {
            $validator->errors()->add(
                $this->hasFile('normals_file') ? 'normals_file' : 'normals', ucfirst($fault->getMessage()).'.',
            );

            return;
        }
        try {
            $this->saidSite(app(PlantBook::class), $normals);
        } catch (Fault $fault) {
            $ofFrost = ! $this->filled('last_frost') && $normals === null;
            $validator->errors()->add($ofFrost ? 'last_frost' : 'normals', $ofFrost
                ? $this->messages()['last_frost.required_if']
                : ucfirst($fault->getMessage()).'.');
        }
    }

    private function place(Validator $validator): void
    {
        $doubt = PlaceDoubt::of(
            $this->float('latitude'), $this->float('longitude'), app(PlantBook::class)->stations,
        );
        if ($doubt !== null) {
            $validator->errors()->add('latitude', $doubt.' If it is right as it stands, tick that you are sure.');
            $validator->errors()->add('sure', 'The place is questioned.');
        }
    }

    private function frosts(Validator $validator): void
    {
        if ($this->filled('last_frost')) {
            $doubt = FrostDoubt::of(
                $this->float('latitude'),
                MonthDay::parse($this->line('last_frost')),
                MonthDay::parse($this->line('first_frost')),
                app(PlantBook::class)->figures->number(Figure::LateFirstFrost),
            );
            if ($doubt !== null) {
                $validator
                    ->errors()
                    ->add(
                        $doubt->ofPlace ? 'latitude' : 'last_frost',
                        $doubt->says.' If it is right as it stands, tick that you are sure.',
                    );
                $validator->errors()->add('sure', 'The frosts are questioned.');
            }
        }
    }

    /**
     * What is given in a file goes before what is typed.
     *
     * @throws Fault when they are not twelve, or no place on earth is like that
     */
    private function normals(): ?Normals
    {
        $file = $this->file('normals_file');
        $text = $file instanceof UploadedFile ? (string) $file->get() : $this->line('normals');
        if (! mb_check_encoding($text, 'UTF-8')) {
            $text = mb_convert_encoding($text, 'UTF-8', 'Windows-1252');
        }

        return trim($text) === '' ? null : NormalsText::read($text);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'client_email.email' => 'That is no e-mail address: name@house.example.',
            'client_phone.regex' => 'Write figures, with spaces where you like.',
            'postcode.*' => 'A postcode has 3 to 12 letters and digits.',
            'setup_minutes.between' => 'Between 0 and 240 minutes.',
            'latitude.between' => 'A latitude lies between -90 (south) and 90 (north) degrees.',
            'longitude.between' => 'A longitude lies between -180 (west) and 180 (east) degrees.',
            'last_frost.required_if' => 'Only a garden with a warm winter may go without its last frost.',
            'first_frost.required_if' => 'Only a garden with a warm winter may go without its first frost.',
        ];
    }

    /** @return array<string, mixed> */
    public function facts(): array
    {
        return [
            ...Arr::except(
                (array) $this->validated(), ['practice', 'sure', 'closed_days', 'wished_days', 'normals_file'],
            ),
            'winter' => $this->line('winter'),
            'normals' => $this->normals()?->means,
            ...$this->weekdays('closed_days'), ...$this->weekdays('wished_days'),
            'practice' => SchoolRules::chosen($this->validated('practice', [])),
        ];
    }

    /** @return array<string, list<int>> a day nobody ticked says that the form was asked at all */
    private function weekdays(string $field): array
    {
        $days = array_map(intval(...), (array) $this->validated($field, []));

        return $this->has($field) ? [$field => array_values(array_diff($days, [0]))] : [];
    }
}
