<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

use ArrayObject;
use PruningHook\Core\Fault;
use WeakMap;

/**
 * One season at one site: from the midwinter that opens it to the next one, with the days of the site's anchors.
 *
 * A season carries the number of the calendar year of its spring in both hemispheres, so a mirrored garden has the
 * same season half a year later.
 */
final readonly class SiteYear implements Anchors
{
    /**
     * Where there is no frost, the year's growth still slows and starts; these stand in for frost dates, in days
     * after the midwinter that opens the season. Common practice, no source.
     */
    private const FROSTLESS_SPRING = 45;

    private const FROSTLESS_AUTUMN = 345;

    /** Degree days at which forsythia flowers: on 13 March at Oxford. Indicators will correct it. Common practice. */
    private const FORSYTHIA = 22.12;

    /** A late spring is made up for by so many days after midsummer. Common practice, no source. */
    private const CAUGHT_UP = 120;

    /** The autumn in which planning turns to the next season: this many days before its midwinter. */
    private const TURN_BEFORE_MIDWINTER = 45;

    /**
     * @var WeakMap<Phenology, KindYear> the kinds' years worked out so far: thousands of plants and days ask for the
     *     same few
     */
    private WeakMap $kinds;

    /** @var ArrayObject<string, self> the neighbouring and the average season, worked out once */
    private ArrayObject $known;

    /** @param  array<string, int>  $numbers  days since 1970-01-01, by anchor */
    private function __construct(
        public Site $site,
        public int $season,
        public SeasonSeen $seen,
        private array $numbers,
        private ?self $before,
    ) {
        /** @var WeakMap<Phenology, KindYear> $kinds */
        $kinds = new WeakMap;
        $this->kinds = $kinds;
        /** @var ArrayObject<string, self> $known */
        $known = new ArrayObject;
        $this->known = $known;
    }

    /**
     * @param  ?SeasonSeen  $seen  what its signs tell; an average season where left out
     * @param  ?SeasonSeen  $before  the same of the season before, whose autumn this one's winter work hangs on
     */
    public static function of(Site $site, int $season, ?SeasonSeen $seen = null, ?SeasonSeen $before = null): self
    {
        $average = SeasonSeen::average();

        return self::with($site, $season, $seen ?? $average, self::with($site, $season - 1, $before ?? $average, null));
    }

    /** The season before. */
    public function before(): self
    {
        return $this->before ??
            $this->known['before'] ??= self::with($this->site, $this->season - 1, SeasonSeen::average(), null);
    }

    /** The season after, of which nothing is seen yet. */
    public function after(): self
    {
        return $this->known['after'] ??= self::of($this->site, $this->season + 1, null, $this->seen);
    }

    /** The same season as an average one, to tell what the signs have moved. */
    public function average(): self
    {
        return $this->isAverage() ? $this : $this->known['average'] ??= self::of($this->site, $this->season);
    }

    /**
     * A kind's year here: the one worked out before, or else what `$work` comes to.
     *
     * @param  callable(): KindYear  $work
     */
    public function kindYear(Phenology $phenology, callable $work): KindYear
    {
        return $this->kinds[$phenology] ??= $work();
    }

    public function isAverage(): bool
    {
        return $this->seen->isAverage() && ($this->before?->seen->isAverage() ?? true);
    }

    private static function with(Site $site, int $season, SeasonSeen $seen, ?self $before): self
    {
        $midwinter = $site->hemisphere()->midwinterOf($season);
        $lastFrost = (
            $site->lastFrost?->nearest($midwinter->plus(120)) ?? $midwinter->plus(self::FROSTLESS_SPRING)
        )->plus($seen->spring->days);
        $firstFrost = (
            $site->firstFrost?->nearest($midwinter->plus(310)) ?? $midwinter->plus(self::FROSTLESS_AUTUMN)
        )->plus($seen->autumn->days);

        $numbers = [
            Anchor::Midwinter->value => $midwinter->number,
            Anchor::ColdOver->value => $midwinter->number + $site->thermal()->coldOver,
            Anchor::LastFrost->value => $lastFrost->number,
            Anchor::Midsummer->value => $site->hemisphere()->midsummerOf($season)->number,
            Anchor::FirstFrost->value => $firstFrost->number,
            Anchor::PreviousFirstFrost->value => ($before?->day(Anchor::FirstFrost)
                ?? $site->firstFrost?->nearest($midwinter->minus(55))
                ?? $midwinter->minus(365 - self::FROSTLESS_AUTUMN))->number,
        ];
        $numbers[Anchor::ForsythiaBloom->value] = self::reached(self::FORSYTHIA, $site, $seen, $numbers);

        return new self(
            $site, $season, $seen,
            [...$numbers, ...array_map(static fn (Day $day): int => $day->number, $seen->days)], $before,
        );
    }

    /** The day, since 1970-01-01, on which so much warmth and light have added up in this season. */
    public function reaching(float $sum): int
    {
        return self::reached($sum, $this->site, $this->seen, $this->numbers);
    }

    /** @param  array<string, int>  $numbers  the site's anchors */
    private static function reached(float $sum, Site $site, SeasonSeen $seen, array $numbers): int
    {
        $frost = $numbers[Anchor::FirstFrost->value];
        $after = $site->thermal()->reaches($sum);
        if ($after === null) {
            // Where the year has not so much, it comes as long as anything grows.
            return $frost;
        }
        $day = $numbers[Anchor::Midwinter->value] + $after;
        $sinceMidsummer = $day - $numbers[Anchor::Midsummer->value];
        $left = 1 - max(0, min(self::CAUGHT_UP, $sinceMidsummer)) / self::CAUGHT_UP;

        return min($frost, $day + (int) round(($seen->spring->days + $site->climate->lateDays) * $left));
    }

    /** The season that work on the given day counts to. Late autumn already belongs to the coming season. */
    public static function seasonOn(Site $site, Day $day): int
    {
        $season = $day->year();
        foreach ([$season + 1, $season] as $candidate) {
            $turn = $site->hemisphere()->midwinterOf($candidate)->minus(self::TURN_BEFORE_MIDWINTER);
            if (! $day->isBefore($turn)) {
                return $candidate;
            }
        }

        return $season - 1;
    }

    public function day(Anchor $anchor): Day
    {
        return Day::fromNumber($this->numbers[$anchor->value]
            ?? throw new Fault(sprintf('a site has no %s of its own', $anchor->inWords())));
    }

    public function numbers(): array
    {
        return $this->numbers;
    }

    /** The midwinter that ends the season. */
    public function end(): Day
    {
        return $this->site->hemisphere()->midwinterOf($this->season + 1);
    }
}
