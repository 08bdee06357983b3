<?php

declare(strict_types=1);

namespace App\Stems;

use App\Models\Plant;
use App\Models\StemSurvey;
use App\Models\User;
use App\Models\WorkLog;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use PruningHook\Core\Calendar\Day;

/**
 * Keeps the taps on a survey, each once: a phone that never got its answer sends the same tap again under the same
 * name.
 */
final readonly class SurveyTaps
{
    /** A phone that stayed silent for longer has its taps looked at by a person. */
    private const KNOWN_DAYS = 60;

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
            fn (StemSurvey $survey) => $survey->goOn(
                ($said['op'] ?? null) === 'carry'
                    ? SurveyChange::carried($survey, self::left($plant, $survey))
                    : $this->change->apply($survey->state, $said, $length),
                $by,
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

    /** @param  array<string, mixed>  $said */
    public function takeBack(Plant $plant, array $said, Day $today): StemSurvey
    {
        return $this->once($plant, $said, $today, static fn (StemSurvey $survey) => $survey->goBack());
    }

    /**
     * The tap's name is written before the survey is read: whoever writes first is waited for, so that no tap is lost
     * to another made at the same moment.
     *
     * @param  array<string, mixed>  $said
     * @param  callable(StemSurvey): void  $do
     */
    private function once(Plant $plant, array $said, Day $today, callable $do): StemSurvey
    {
        $tap = is_string($said['tap'] ?? null) && Str::isUuid($said['tap']) ? $said['tap'] : Str::uuid()->toString();

        return DB::transaction(function () use ($plant, $tap, $today, $do): StemSurvey {
            $new = DB::table('stem_taps')->insertOrIgnore(
                ['id' => $tap, 'plant_id' => $plant->id, 'on' => (string) $today],
            ) === 1;
            $survey = $this->board->survey($plant, $today);
            if ($new) {
                $do($survey);
                DB::table('stem_taps')->where('on', '<', (string) $today->plus(-self::KNOWN_DAYS))->delete();
            }

            return $survey;
        });
    }
}
