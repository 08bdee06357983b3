<?php

declare(strict_types=1);

namespace App\Formats;

use App\Models\Feed;
use Illuminate\Database\Eloquent\Collection;

/** The calendars that somebody may subscribe to. */
final readonly class FeedList
{
    private const MOST = 200;

    /** @return Collection<int, Feed> */
    public function all(): Collection
    {
        $feeds = Feed::query()->with(['crew', 'garden']);
        $feeds->orderByDesc('id')->limit(self::MOST);

        return $feeds->get();
    }
}
