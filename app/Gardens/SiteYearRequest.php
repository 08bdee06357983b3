<?php

declare(strict_types=1);

namespace App\Gardens;

use App\Ground\Bridge\NormalsText;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\PlantBook;

/** A site that is being written down, and the year it would use. */
final class SiteYearRequest extends PlaceRequest
{
    use SaysSite;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'last_frost' => ['nullable', 'string', 'max:5'],
            'first_frost' => ['nullable', 'string', 'max:5'],
            'winter' => ['nullable', 'in:cold,cool,warm'],
            'normals' => ['nullable', 'string', 'max:2000'],
        ];
    }

    /** @throws Fault saying in words what of it cannot be */
    public function year(PlantBook $book): Site
    {
        return $this->saidSite(
            $book, $this->line('normals') === '' ? null : NormalsText::read($this->line('normals')),
        );
    }
}
