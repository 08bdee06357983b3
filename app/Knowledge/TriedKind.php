<?php

declare(strict_types=1);

namespace App\Knowledge;

use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Garden;
use App\Ground\Support\Today;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Fault;
use PruningHook\Core\Planning\PlantYear;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Schools\ChosenSchools;

/**
 * Works a kind out at every garden of the firm and at the reference sites before it is kept, so that no slip is found
 * by a crew.
 */
final readonly class TriedKind
{
    /** So many places are named; of the others it is said how many they are. */
    private const NAMED = 3;

    public function __construct(
        private PlantBookFiles $files,
        private ReferenceSites $sites,
        private CorePlants $bridge,
    ) {
    }

    /**
     * What goes wrong with a kind that did not go wrong with the one it is laid over.
     *
     * @param  PlantBook  $book  in which the kind stands as it would be kept
     * @return ?string in words, naming the places; null where nothing does
     */
    public function fault(PlantBook $book, string $kind, string $before): ?string
    {
        $plain = $this->files->read();
        $faults = [];
        foreach ($this->places() as $name => $years) {
            $fault = $this->at($book, $kind, $years);
            if ($fault !== null && $this->at($plain, $before, $years) === null) {
                $faults[$name] = $fault;
            }
        }
        if ($faults === []) {
            return null;
        }
        $named = array_slice($faults, 0, self::NAMED, true);
        $more = count($faults) - count($named);

        return implode(
            ' ',
            array_map(
                static fn (string $name, string $fault): string => "At $name: ".lcfirst($fault),
                array_keys($named),
                $named,
            ),
        ).($more > 0 ? sprintf(' And so at %d more %s.', $more, $more === 1 ? 'place' : 'places') : '');
    }

    /** @return iterable<string, SiteYears> by name: the firm's gardens, then the reference sites */
    private function places(): iterable
    {
        foreach (Garden::query()->lazyById(200) as $garden) {
            try {
                yield $garden->name => $this->bridge->years($garden);
            } catch (Fault) {
                // A garden that has no year of its own says so itself.
                continue;
            }
        }
        foreach ($this->sites->all() as $name => $site) {
            yield "$name (reference)" => SiteYears::of($site);
        }
    }

    /** Why a kind cannot be worked out at a place, in the season before, this one or the next; null where it can. */
    private function at(PlantBook $book, string $kind, SiteYears $years): ?string
    {
        try {
            $now = SiteYear::seasonOn($years->site, Today::day());
            $seasons = array_map($years->season(...), [$now - 1, $now, $now + 1]);
            foreach ($seasons as $season) {
                Prescriber::with($book)->windows(new Plant($kind, $kind), $season, ChosenSchools::of($book->questions));
            }

            return PlantYear::nature($book->kind($kind), $seasons)[2][0] ?? null;
        } catch (Fault $fault) {
            return ucfirst($fault->getMessage()).'.';
        }
    }
}
