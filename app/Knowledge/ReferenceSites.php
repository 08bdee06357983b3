<?php

declare(strict_types=1);

namespace App\Knowledge;

use PruningHook\Core\Calendar\GivenSite;
use PruningHook\Core\Calendar\MonthDay;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Entry;

/**
 * Places of all sorts that the plant book keeps to try a kind at; the first is a mild northern one that stands for any.
 */
final readonly class ReferenceSites
{
    public function __construct(private PlantBookFiles $files)
    {
    }

    /**
     * @return array<string, Site> by name
     *
     * @throws Fault naming the place in the file
     */
    public function all(): array
    {
        $sites = [];
        $stations = $this->files->readStations();
        foreach (Entry::of($this->files->decoded()['reference-sites.yaml'] ?? [])->entries('sites') as $site) {
            $frost = static fn (string $key): ?MonthDay => $site->has($key)
                ? $site->parsed($key, MonthDay::parse(...))
                : null;
            $sites[$site->string('name')] = $stations->site(new GivenSite(
                $site->number('latitude'),
                $site->number('longitude'),
                (int) $site->int('elevation_m'),
                $frost('last_frost'),
                $frost('first_frost'),
                WinterClass::from($site->string('winter')),
            ));
        }

        return $sites;
    }

    /**
     * A place to show a kind's year at before the firm has a garden.
     *
     * @throws Fault where the book names none
     */
    public function first(): Site
    {
        $sites = $this->all();

        return $sites[array_key_first($sites) ?? throw new Fault('reference-sites.yaml: no place is given')];
    }
}
