<?php

declare(strict_types=1);

namespace App\Gardens;

use App\Exchange\NormalsText;
use PruningHook\Core\Calendar\MonthDay;
use PruningHook\Core\Calendar\Normals;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\PlantBook;

/** A site that is being written down, and the year it would use. */
final class SiteYearRequest extends PlaceRequest
{
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
        $frost = fn (string $key): ?MonthDay => $this->line($key) === '' ? null : MonthDay::parse($this->line($key));

        return $book->stations->site(
            $this->float('latitude'), $this->float('longitude'), $this->integer('elevation_m'), $frost('last_frost'),
            $frost('first_frost'), WinterClass::tryFrom($this->line('winter')), null, $this->normals(),
        );
    }

    private function normals(): ?Normals
    {
        return $this->line('normals') === '' ? null : NormalsText::read($this->line('normals'));
    }
}
