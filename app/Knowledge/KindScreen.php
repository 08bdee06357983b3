<?php

declare(strict_types=1);

namespace App\Knowledge;

use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Garden;
use App\Ground\Models\OwnKind;
use App\Ground\Models\Plant;
use Illuminate\Database\Eloquent\Collection;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Drawing\Ring;
use PruningHook\Core\Planning\PlantYear;
use PruningHook\Core\Plant\Plant as CorePlant;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\CutOn;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Schools\ChosenSchools;

/** A kind's page: its year in one of the firm's gardens, its tasks, schools and sources. */
final readonly class KindScreen
{
    /** Plants of the kind before it says how many more there are. */
    private const LISTED = 12;

    public function __construct(
        private PlantBook $book,
        private CorePlants $bridge,
        private KindForm $form,
        private ReferenceSites $sites,
    ) {
    }

    public function show(Kind $kind, string $called, Day $today): KindPage
    {
        $garden = Garden::called($called) ?? Garden::first();
        $ours = Plant::query();
        $ours->where('kind', $kind->id);
        $years = $garden === null ? SiteYears::of($this->sites->first()) : $this->bridge->years($garden);
        $practice = $garden === null ? ChosenSchools::of($this->book->questions) : $this->bridge->practice($garden);
        /** @var Collection<int, OwnKind> $own */
        $own = OwnKind::query()->with('writtenBy')->where('kind', $kind->id)->orderByDesc('id')->get();
        $latest = $own->first();
        $season = SiteYear::seasonOn($years->site, $today);
        $plant = new CorePlant($kind->id, $kind->id);
        $span = Span::of($today->minus(45), $today->plus(319));
        $days = CutOn::with($this->book)->through($plant, $years, $span, $practice);

        $year = PlantYear::gather($this->book, $plant, $years, $practice, $today, $span);

        /** @var Collection<int, Plant> $listed */
        $listed = (clone $ours)->with('garden')->orderBy('id')->limit(self::LISTED)->get();

        return new KindPage(
            kind: $kind,
            book: $this->book,
            season: $season,
            garden: $garden,
            today: $today,
            tasks: Prescriber::with($this->book)->prescribe($plant, $years->season($season), $practice)->tasks,
            faults: $year->faults,
            ring: Ring::of($year, $days),
            days: $days,
            questions: array_intersect_key($this->book->questions, array_flip($kind->questions())),
            own: $own,
            differs: $latest === null ? [] : $this->form->differences($latest),
            count: (clone $ours)->count(),
            ours: $listed,
        );
    }
}
