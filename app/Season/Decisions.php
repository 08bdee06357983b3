<?php

declare(strict_types=1);

namespace App\Season;

use App\Ground\Models\ClientWord;
use App\Ground\Models\DraftStatus;
use App\Ground\Models\Entry;
use App\Ground\Models\PlanDraft;
use App\Ground\Models\User;
use App\Ground\Models\Visit;
use App\Season\Weather\Outlook;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Planning\DueTask;

/** What needs a decision today, each with where it is taken; nothing where nothing does. */
final readonly class Decisions
{
    /** Visits of a day that the weather is asked for. */
    private const VISITS = 12;

    /** Words of clients that are shown at once. */
    private const WORDS = 12;

    public function __construct(private Outlook $outlook)
    {
    }

    /** @return list<array{says: string, link: string}> */
    public function of(User $user, Day $today): array
    {
        if (! $user->isPlanner()) {
            return [];
        }
        $draft = PlanDraft::latestOne();

        return array_values(array_filter([
            $draft?->status === DraftStatus::Ready
                ? self::decision('A plan is ready to be looked at', route('drafts.show', $draft))
                : null,
            ...$this->asked(),
            self::unplaced(),
            self::lostDays($today),
            ...$this->held($today),
            self::unplanned($today),
            self::dueAgain($today),
            self::unlogged($today),
        ]));
    }

    /** @return ?array{says: string, link: string} */
    private static function unplaced(): ?array
    {
        $count = Entry::query()->whereNotNull('unplaced')->limit(Unplanned::MANY)->pluck('id')->count();

        return $count === 0 ? null : self::decision(
            $count === 1 ? 'One entry from the garden has no visit: find its place'
                : self::some($count, 'entry', 'entries').' from the garden have no visit: find their place',
            route('unplaced'),
        );
    }

    /** @return ?array{says: string, link: string} */
    private static function lostDays(Day $today): ?array
    {
        $count = count(self::lost($today));

        return $count === 0 ? null : self::decision(
            self::some($count, 'visit').' on a day that is lost: plan anew', route('plan'),
        );
    }

    /** @return ?array{says: string, link: string} */
    private static function unplanned(Day $today): ?array
    {
        $count = Unplanned::count($today, DueTask::CLOSING_DAYS);

        return $count === 0 ? null : self::decision(
            self::some($count, 'task').' closing within two weeks and on no visit', route('plan').'#closing',
        );
    }

    /** @return ?array{says: string, link: string} */
    private static function dueAgain(Day $today): ?array
    {
        $count = Unplanned::dueAgain($today);

        return $count === 0 ? null : self::decision(
            self::some($count, 'task').' due again: '.($count === 1 ? 'its visit was' : 'their visits were')
                .' lost or not logged',
            route('plan').'#closing',
        );
    }

    /** @return ?array{says: string, link: string} */
    private static function unlogged(Day $today): ?array
    {
        $visits = DB::table('visits')->where('waiting', true)->where('on', '<', (string) $today);
        $count = $visits->orderBy('on')->limit(Unplanned::MANY)->pluck('id')->count();

        return $count === 0 ? null : self::decision(
            self::some($count, 'visit').' not logged yet', route('round', ['crew' => '']),
        );
    }

    /** @return list<array{says: string, link: string}> what clients said and nobody has seen to */
    private function asked(): array
    {
        $said = [];
        $words = ClientWord::query()->with('garden')->whereNull('heard_at')->orderBy('id')->limit(self::WORDS);
        foreach ($words->get()->unique('garden_id') as $word) {
            $said[] = self::decision(sprintf(
                '%s %s: %s', $word->garden->client, ClientWord::KINDS[$word->kind], $word->garden->name,
            ), route('letters.show', $word->garden));
        }

        return $said;
    }

    /**
     * Visits to come of a crew that does not work on their day.
     *
     * @return list<int>
     */
    public static function lost(Day $today): array
    {
        // Days off are few and visits many: each is asked for its visits.
        $lost = [];
        foreach (DB::table('crew_days_off')->whereNull('people')->where('on', '>=', (string) $today)->get() as $day) {
            $visits = DB::table('visits')->where('crew_id', $day->crew_id)->where('on', $day->on);
            array_push($lost, ...array_map(intval(...), $visits->pluck('id')->all()));
        }

        return $lost;
    }

    /** @return list<array{says: string, link: string}> today's visits that the weather holds */
    private function held(Day $today): array
    {
        $visits = Visit::query()->with('garden');
        $visits->where('on', (string) $today)->where('waiting', true)->orderBy('id')->limit(self::VISITS);
        $names = [];
        foreach ($visits->get() as $visit) {
            if ($this->outlook->holdAt($visit->garden, $today) !== null) {
                $names[] = $visit->garden->name;
            }
        }

        return $names === [] ? [] : [self::decision(
            'The weather holds today\'s work: '.implode(', ', array_unique($names)), route('plan').'#week',
        )];
    }

    /** @return array{says: string, link: string} */
    private static function decision(string $says, string $link): array
    {
        return ['says' => $says, 'link' => $link];
    }

    private static function some(int $count, string $what, ?string $many = null): string
    {
        $many ??= "{$what}s";

        return match (true) {
            $count === 1 => "One $what",
            $count >= Unplanned::MANY => "Thirty $many or more",
            default => "$count $many",
        };
    }
}
