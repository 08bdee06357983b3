<?php

declare(strict_types=1);

namespace App\Ground\History;

use App\Ground\Models\Change;
use App\Ground\Models\Did;
use App\Ground\Models\User;
use App\Ground\Support\Asked;
use App\Ground\Support\SearchTables;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;

/** Who changed what, from its end; all that is asked for stands in the address. */
final readonly class ChangesScreen
{
    private const LINES = 40;

    /** People to choose from. */
    private const PEOPLE = 200;

    public function show(Request $request): ChangesPage
    {
        [$text, $of] = [Asked::text($request, 'q'), Asked::text($request, 'of')];
        [$did, $who] = [Did::tryFrom(Asked::text($request, 'did')), $request->integer('who')];
        $changes = Change::query();
        self::narrow($changes, $text, $did, $of, $who, Asked::text($request, 'before'));
        $changes->with('user')->orderByDesc('id')->limit(self::LINES + 1);
        $found = $changes->get();
        $shown = $found->take(self::LINES);
        $people = [];
        foreach (User::query()->orderBy('name')->limit(self::PEOPLE)->get(['id', 'name']) as $person) {
            $people[$person->id] = $person->name;
        }

        return new ChangesPage(
            $shown, $text, $did, $of, $who, $people,
            $found->count() > self::LINES ? $shown->last()?->id : null,
        );
    }

    /** @param  Builder<Change>  $changes */
    private static function narrow(
        Builder $changes,
        string $text,
        ?Did $did,
        string $of,
        int $who,
        string $before,
    ): void {
        if (preg_match('/^\d{1,18}$/', $before) === 1) {
            $changes->where('id', '<', (int) $before);
        }
        if ($did !== null) {
            $changes->where('did', $did);
        }
        if (isset(Change::ROWS[$of])) {
            $changes->where('of', $of);
        }
        if ($who > 0) {
            $changes->where('user_id', $who);
        }
        if ($text !== '') {
            SearchTables::narrow($changes->getQuery(), 'changes', 'changes.id', $text);
        }
    }
}
