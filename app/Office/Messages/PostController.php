<?php

declare(strict_types=1);

namespace App\Office\Messages;

use App\Ground\Models\Firm;
use App\Ground\Models\Letter;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use App\Ground\Support\SearchTables;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** What went out, as the simulated post office took it: the planner sees what clients and crews were told. */
final class PostController extends Controller
{
    private const ON_A_PAGE = 40;

    public function index(Request $request): View
    {
        $this->authorize('update', Firm::class);
        $asked = Asked::text($request, 'q');
        $letters = Letter::query();
        if ($asked !== '') {
            $letters->where(
                static fn (Builder $any) => SearchTables::hold($any->getQuery(), ['to', 'subject'], $asked),
            );
        }
        $before = Asked::text($request, 'before');
        if (preg_match('/^\d{1,18}$/', $before) === 1) {
            $letters->where('id', '<', (int) $before);
        }
        $found = $letters->orderByDesc('id')->limit(self::ON_A_PAGE + 1)->get();
        $shown = $found->take(self::ON_A_PAGE);

        $waiting = DB::table('jobs')->where('payload', 'like', '%SendQueuedNotifications%');

        return view('post.index', [
            'waiting' => $waiting->limit(self::ON_A_PAGE)->get('id')->count(), 'letters' => $shown, 'q' => $asked,
            'older' => $found->count() > self::ON_A_PAGE ? $shown->last()?->id : null,
        ]);
    }
}
