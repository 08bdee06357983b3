<?php

declare(strict_types=1);

namespace App\Field\Record;

use App\Ground\Models\WorkLog;
use App\Ground\Support\Asked;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;

/**
 * The record of the firm, from its end. Pages follow each other by day and line: nobody counts a record of many years
 * to show forty lines of it.
 */
final readonly class RecordScreen
{
    private const LINES = 40;

    /** After every day of a record. */
    private const END = '9999-12-31';

    public function show(Request $request): RecordPage
    {
        $filter = RecordFilter::from($request);
        $logs = WorkLog::query()->with([
            'plant.garden', 'visitTask' => ['photos'], 'loggedBy',
        ]);
        $filter->narrow($logs);
        // A day to search from, whether one was asked for or not: else the whole index would count as read.
        $asked = preg_match('/^(\d{4}-\d\d-\d\d) (\d{1,18})$/', Asked::text($request, 'before'), $before) === 1;
        [, $day, $line] = $asked ? $before : ['', self::END, 0];
        $logs->where('on', '<=', $day);
        $logs->where(static fn (Builder $any) => $any->where('on', '<', $day)->orWhere('id', '<', (int) $line));
        $logs->orderByDesc('on')->orderByDesc('id')->limit(self::LINES + 1);
        $found = $logs->get();
        $shown = $found->take(self::LINES);
        $last = $shown->last();

        return new RecordPage(
            $filter, $shown, $found->count() > self::LINES && $last !== null ? "$last->on $last->id" : null,
        );
    }
}
