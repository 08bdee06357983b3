<?php

declare(strict_types=1);

namespace App\Gardens;

use PruningHook\Core\Calendar\GivenSite;
use PruningHook\Core\Calendar\MonthDay;
use PruningHook\Core\Calendar\Normals;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\PlantBook;

/** A form that says where a garden lies and what its year is like. */
trait SaysSite
{
    /** @throws Fault saying in words what of it cannot be */
    private function saidSite(PlantBook $book, ?Normals $normals): Site
    {
        $frost = fn (string $key): ?MonthDay => $this->line($key) === '' ? null : MonthDay::parse($this->line($key));

        return $book->stations->site(new GivenSite(
            $this->float('latitude'), $this->float('longitude'), $this->integer('elevation_m'), $frost('last_frost'),
            $frost('first_frost'), WinterClass::tryFrom($this->line('winter')), null, $normals,
        ));
    }
}
