<?php

declare(strict_types=1);

namespace App\Gardens;

use App\Ground\Models\User;
use App\Ground\Support\AskedRequest;

/** Something that is asked of a place before the garden there is written down. */
abstract class PlaceRequest extends AskedRequest
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
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['*.required' => 'Give latitude, longitude and height first.'];
    }
}
