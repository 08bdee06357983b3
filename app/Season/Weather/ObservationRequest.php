<?php

declare(strict_types=1);

namespace App\Season\Weather;

use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Garden;
use App\Ground\Models\Observation;
use App\Ground\Support\AskedRequest;
use App\Ground\Support\Today;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Observation as CoreObservation;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\PlantBook\SeasonReader;

/** What was seen and when; a date that no season could bring is questioned. */
final class ObservationRequest extends AskedRequest
{
    public function authorize(): bool
    {
        return Gate::allows('create', [Observation::class, $this->route('garden')]);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'event' => ['required', Rule::in(array_keys(Observation::SIGNS))],
            'on' => ['required', 'date_format:Y-m-d', 'before_or_equal:'.Today::day()],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'on.before_or_equal' => 'It cannot have been seen in the future.',
            'event.required' => 'Tap what was seen.',
        ];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            if ($validator->errors()->isEmpty()) {
                try {
                    SeasonReader::with(app(PlantBook::class))->check(
                        $this->seen(),
                        $this->years()->holding($this->seen()->on),
                    );
                } catch (Fault $fault) {
                    $validator->errors()->add('on', ucfirst($fault->getMessage()));
                }
            }
        });
    }

    public function seen(): CoreObservation
    {
        return new CoreObservation($this->line('event'), Day::parse($this->line('on')));
    }

    public function season(): int
    {
        return $this->years()->holding($this->seen()->on)->season;
    }

    private function years(): SiteYears
    {
        $garden = $this->route('garden');
        assert($garden instanceof Garden);

        return SiteYears::of(app(CorePlants::class)->site($garden));
    }
}
