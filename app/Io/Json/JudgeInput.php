<?php

declare(strict_types=1);

namespace App\Io\Json;

use App\Ground\Bridge\InputFaults;
use App\Ground\Bridge\JsonSchema;
use App\Ground\Bridge\SiteFacts;
use App\Ground\Bridge\TriesValues;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Schools\ChosenSchools;
use PruningHook\Core\Structure\Shoot;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\StemAim;
use PruningHook\Core\Structure\StemAims;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\Survey;
use PruningHook\Core\Structure\SurveyDay;

/**
 * Reads the JSON of docs/formats/judge-input.schema.json into core values: the survey of one plant's stems and the aim
 * they are judged by.
 *
 * @phpstan-import-type SiteGiven from SiteFacts
 *
 * @phpstan-type GivenStem array{ref: string, azimuth_deg: float|int, lean_deg: float|int, length_mm: int, base_mm: int,
 *     age_years?: ?int, from_azimuth_deg?: float|int|null, faults?: list<string>,
 *     shoots?: list<array{ref: string, azimuth_deg: float|int, lean_deg: float|int, base_mm: int}>}
 * @phpstan-type Given array{kind: string, surveyed?: ?string, site?: SiteGiven, aim?: ?string, school?: ?string,
 *     keep?: ?int, budget?: ?int, grafted?: ?bool, cut?: list<string>, word?: array<string, string>,
 *     stems: list<GivenStem>}
 */
final class JudgeInput
{
    use AsksKind;
    use TriesValues;

    private function __construct(private readonly PlantBook $book, private readonly Site $anywhere)
    {
    }

    /**
     * @param  Site  $anywhere  where a plant is taken to stand of which nobody says
     * @return array{Kind, Survey, StemAim, list<string>} the last is what the day of the survey alone says
     *
     * @throws InputFaults with one line for each fault
     */
    public static function read(string $json, PlantBook $book, JsonSchema $schema, Site $anywhere): array
    {
        /** @var Given $given */
        $given = $schema->read($json);

        return (new self($book, $anywhere))->values($given);
    }

    /**
     * @param  Given  $given
     * @return array{Kind, Survey, StemAim, list<string>}
     */
    private function values(array $given): array
    {
        $kind = $this->kind($given['kind']);
        $survey = $this->survey($given);
        $aim = $kind === null ? null : $this->tried('$', fn (): StemAim => $this->aim($kind, $given));
        $surveyed = $given['surveyed'] ?? null;
        $day = $surveyed === null ? null : $this->tried('$.surveyed', static fn (): Day => Day::parse($surveyed));
        if ($kind === null || $survey === null || $aim === null || $this->faults !== []) {
            throw new InputFaults($this->faults);
        }
        if ($day === null) {
            return [$kind, $survey, $aim, []];
        }
        $site = isset($given['site']) ? SiteFacts::read($given['site'], $this->book->stations) : $this->anywhere;
        $read = SurveyDay::of($survey, $aim, $kind, SiteYear::of($site, SiteYear::seasonOn($site, $day)), $day);

        return [$kind, $read->survey, $read->aim, $read->told];
    }

    private function kind(string $name): ?Kind
    {
        try {
            return self::kindOf($name, $this->book);
        } catch (InputFaults $faults) {
            array_push($this->faults, ...$faults->faults);

            return null;
        }
    }

    /** @param  Given  $given */
    private function survey(array $given): ?Survey
    {
        $stems = [];
        foreach ($given['stems'] as $index => $stem) {
            $stems[] = $this->tried("\$.stems[$index]", fn (): Stem => self::stem($stem));
        }

        return $this->faults !== [] ? null : $this->tried('$.stems', static fn (): Survey => Survey::of(
            array_values(array_filter($stems)), $given['cut'] ?? [], $given['word'] ?? [],
        ));
    }

    /**
     * @param  Given  $given
     *
     * @throws Fault where a school, an aim or a number cannot be
     */
    private function aim(Kind $kind, array $given): StemAim
    {
        return StemAims::with($this->book)->for(
            $kind, $this->practice($kind, $given['school'] ?? null), $given['aim'] ?? null,
            $given['grafted'] ?? null, $given['keep'] ?? null, $given['budget'] ?? null,
        );
    }

    /**
     * @param  GivenStem  $given
     *
     * @throws Fault
     */
    private static function stem(array $given): Stem
    {
        return new Stem(
            $given['ref'],
            (float) $given['azimuth_deg'],
            (float) $given['lean_deg'],
            $given['length_mm'],
            $given['base_mm'],
            $given['age_years'] ?? null,
            array_map(StemFault::from(...), $given['faults'] ?? []),
            array_map(
                static fn (array $shoot): Shoot => new Shoot(
                    $shoot['ref'], (float) $shoot['azimuth_deg'], (float) $shoot['lean_deg'], $shoot['base_mm'],
                ),
                $given['shoots'] ?? [],
            ),
            isset($given['from_azimuth_deg']) ? (float) $given['from_azimuth_deg'] : null,
        );
    }

    /**
     * The school is named by its answer alone; the kind's own questions say which question it answers.
     *
     * @throws Fault when none of them has such an answer
     */
    private function practice(Kind $kind, ?string $school): ChosenSchools
    {
        if ($school === null) {
            return ChosenSchools::of($this->book->questions);
        }
        $answers = [];
        foreach ($kind->questions() as $question) {
            $options = array_keys($this->book->questions[$question]->options);
            if (in_array($school, $options, true)) {
                return ChosenSchools::of($this->book->questions, [$question => $school]);
            }
            $answers = [...$answers, ...$options];
        }

        throw new Fault(
            sprintf(
                'school: "%s" is no school for %s%s', $school, $kind->id,
                $answers === [] ? ': practitioners do not differ on it here' : ': choose '.implode(' or ', $answers),
            ),
        );
    }
}
