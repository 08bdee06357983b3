<?php

declare(strict_types=1);

namespace App\Gardens;

use App\Ground\Models\Garden;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\WinterClass;

/** Where the garden lies whose frost dates are asked for. */
final class FrostRequest extends PlaceRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [...parent::rules(), 'besides' => ['nullable', 'integer']];
    }

    public function site(): Site
    {
        return new Site(
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
