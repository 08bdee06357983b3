<?php

declare(strict_types=1);

namespace App\Gardens\Stems;

use App\Ground\Models\Plant;
use App\Ground\Models\StemSurvey;
use App\Ground\Models\User;
use App\Ground\Models\WorkLog;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use PruningHook\Core\Calendar\Day;

/**
 * Keeps the taps on a survey, each once and for good: a phone that never got its answer sends the same tap again under
 * the same name, and what is taken back is a tap of its own.
 *
 * @phpstan-import-type State from StemSurvey
 * @phpstan-import-type Tap from Taps
 */
final readonly class SurveyTaps
{
    public function __construct(
        private StemBoard $board,
        private SurveyChange $change,
    ) {
    }

    /**
     * @param  array<string, mixed>  $said  `op` and what it needs; `tap` is the name the phone gave it
     *
     * @throws ValidationException when what is said cannot be; nothing is kept then
     */
    public function keep(Plant $plant, array $said, ?User $by, Day $today): StemSurvey
    {
        $length = $this->board->usualLength($plant);

        return $this->once(
            $plant,
            $said,
            $today,
            fn (StemSurvey $survey, string $name) => self::goOn(
                $survey,
                ($said['op'] ?? null) === 'carry'
                    ? SurveyChange::carried($survey, self::left($plant, $survey))
                    : $this->change->apply($survey->state, $said, $length),
                $by,
                $today,
                $name,
            ),
        );
    }

    /** @return list<string> stems that the record of the last survey's season left for later */
    private static function left(Plant $plant, StemSurvey $survey): array
    {
        $logs = WorkLog::query()->where('plant_id', $plant->id);
        $logs->where('season', $survey->ofSeasonBefore()->season ?? 0)->whereNotNull('left_stem');

        return array_values(array_map(
            static fn (WorkLog $log): string => (string) $log->left_stem, $logs->get()->all(),
        ));
    }

    /**
     * Takes back the last tap of the one who asks, whatever others have tapped since; nothing happens where there is
     * none.
     *
     * @param  array<string, mixed>  $said  `tap` is the name of the taking back
     */
    public function takeBack(Plant $plant, array $said, ?User $by, Day $today): StemSurvey
    {
        return $this->once($plant, $said, $today, static function (StemSurvey $survey, string $name) use (
            $by,
            $today,
        ): void {
            $last = self::last($survey, $by);
            if ($last !== null) {
                self::write($survey, $name, $by, $today, [], $last);
                $survey->update(['state' => Taps::sum(self::standing($survey))]);
            }
        });
    }

    /** Whether there is a tap of theirs to take back. */
    public static function canTakeBack(StemSurvey $survey, ?User $by): bool
    {
        return $survey->exists && self::last($survey, $by) !== null;
    }

    /**
     * The survey goes on: what changed is added to its taps, and nothing that was said before is written again.
     *
     * @param  State  $state  as it is now
     * @param  ?string  $name  of the tap, where somebody may send it again
     */
    public static function goOn(StemSurvey $survey, array $state, ?User $by, Day $today, ?string $name = null): void
    {
        $tap = Taps::between($survey->state, $state);
        $survey->state = $state;
        $survey->surveyed_on ??= $today;
        $survey->save();
        self::write($survey, $name ?? Str::uuid()->toString(), $by, $today, $tap);
    }

    /** @param  Tap  $tap */
    private static function write(
        StemSurvey $survey,
        string $name,
        ?User $by,
        Day $today,
        array $tap,
        ?int $takesBack = null,
    ): void {
        DB::table('stem_taps')->insert([
            'name' => $name,
            'stem_survey_id' => $survey->id,
            'on' => (string) $today,
            'said_by' => $by?->id,
            'change' => json_encode($tap, JSON_THROW_ON_ERROR),
            'takes_back' => $takesBack,
        ]);
    }

    /** Taps that nobody has taken back. */
    private static function unTaken(StemSurvey $survey): Builder
    {
        return DB::table('stem_taps')
            ->where('stem_survey_id', $survey->id)
            ->whereNull('takes_back')
            ->whereNotIn('id', DB::table('stem_taps')->select('takes_back')
                ->where('stem_survey_id', $survey->id)->whereNotNull('takes_back'));
    }

    private static function last(StemSurvey $survey, ?User $by): ?int
    {
        $last = self::unTaken($survey)->where('said_by', $by?->id)->max('id');

        return is_numeric($last) ? (int) $last : null;
    }

    /** @return list<Tap> in the order in which they were kept */
    private static function standing(StemSurvey $survey): array
    {
        $taps = [];
        foreach (self::unTaken($survey)->orderBy('id')->pluck('change') as $change) {
            /** @var Tap $tap as `write` has written it */
            $tap = (array) json_decode(is_string($change) ? $change : '{}', true, flags: JSON_THROW_ON_ERROR);
            $taps[] = $tap;
        }

        return $taps;
    }

    /**
     * All within one transaction, which lets nobody else write: no tap is lost to another made at the same moment.
     *
     * @param  array<string, mixed>  $said
     * @param  callable(StemSurvey, string): void  $do
     */
    private function once(Plant $plant, array $said, Day $today, callable $do): StemSurvey
    {
        $name = is_string($said['tap'] ?? null) && Str::isUuid($said['tap']) ? $said['tap'] : Str::uuid()->toString();

        return DB::transaction(function () use ($plant, $name, $today, $do): StemSurvey {
            $survey = $this->board->survey($plant, $today);
            if (DB::table('stem_taps')->where('name', $name)->doesntExist()) {
                $do($survey, $name);
            }

            return $survey;
        });
    }
}
