<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Ground\Models\BloomNote;
use App\Ground\Models\Photo;
use App\Ground\Models\WorkLog;
use Illuminate\Support\Collection;

/** One season of a plant's record. */
final readonly class RecordSeason
{
    private const PHOTOS = 24;

    /**
     * @param  Collection<int, WorkLog>  $logs  the latest first
     * @param  int  $takenPercent  live growth that went, of what stood before the first cut
     * @param  ?string  $foretold  the flowering height that was prescribed for, in words
     * @param  list<Photo>  $photos  by the time they were taken
     * @param  ?Drawn  $drawn  then and after; null where nothing was counted or measured
     */
    public function __construct(
        public int $season,
        public Collection $logs,
        public int $minutes,
        public int $takenPercent,
        public ?string $foretold,
        public ?BloomNote $bloom,
        public array $photos,
        public ?Drawn $drawn,
    ) {
    }

    /** @return list<Photo> the latest; the rest stand on the sheets of its visits */
    public function photosShown(): array
    {
        return array_slice($this->photos, -self::PHOTOS);
    }

    /** "Flowers were foretold at 1.1 m. It flowered at 1.3 m, many."; empty where nobody noted the bloom */
    public function bloomInWords(): string
    {
        if ($this->bloom === null) {
            return '';
        }

        return ($this->foretold === null ? '' : "Flowers were foretold at $this->foretold. ")
            .'It '.$this->bloom->inWords().'.';
    }
}
