<?php

declare(strict_types=1);

namespace App\Ground\History;

use App\Ground\Models\Firm;
use App\Ground\Models\SecurityEvent;
use App\Ground\Models\SecurityEventKind;
use App\Ground\Models\User;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;

/** The security log, newest first. */
final class SecurityController extends Controller
{
    private const LINES = 40;

    /** People to choose from. */
    private const PEOPLE = 200;

    public function __invoke(Request $request): View
    {
        $this->authorize('update', Firm::class);
        $kind = SecurityEventKind::tryFrom(Asked::text($request, 'kind'));
        $who = Asked::whole($request, 'who');
        $before = Asked::text($request, 'before');
        $events = SecurityEvent::query()->with(['user', 'about'])
            ->when($kind !== null, static fn (Builder $some) => $some->where('kind', $kind))
            ->when($who > 0, static fn (Builder $some) => $some->where('user_id', $who))
            ->when(preg_match('/^\d{1,18}$/', $before) === 1, static fn (Builder $some) => $some
                ->where('id', '<', (int) $before));
        $found = $events->orderByDesc('id')->limit(self::LINES + 1)->get();
        $shown = $found->take(self::LINES);

        return view('history.security', [
            'events' => $shown, 'kind' => $kind, 'who' => $who,
            'people' => User::query()->orderBy('name')->limit(self::PEOPLE)->get(['id', 'name']),
            'older' => $found->count() > self::LINES ? $shown->last()?->id : null,
        ]);
    }
}
