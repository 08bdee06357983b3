<?php

declare(strict_types=1);

namespace App\Gardens;

use App\Models\Garden;
use App\Models\User;
use App\Support\AskedRequest;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\WinterClass;

/** Where the garden lies whose frost dates are asked for. */
final class FrostRequest extends AskedRequest
{
    /** Whoever may write down a garden somewhere may ask. */
    public function authorize(): bool
    {
        $user = $this->user();

        return $user instanceof User && ($user->isPlanner() || $user->leads($user->crew_id));
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'latitude' => ['required', 'numeric', 'between:-90,90'],
            'longitude' => ['required', 'numeric', 'between:-180,180'],
            'elevation_m' => ['required', 'integer', 'between:-430,6000'],
            'besides' => ['nullable', 'integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['*.required' => 'Give latitude, longitude and height first.'];
    }

    public function site(): Site
    {
        return Site::of(
            $this->float('latitude'), $this->float('longitude'), $this->integer('elevation_m'), null, null,
            WinterClass::Warm,
        );
    }

    /** The garden being edited, which tells nothing of itself. */
    public function besides(): ?Garden
    {
        return $this->filled('besides') ? Garden::query()->find($this->integer('besides')) : null;
    }
}
