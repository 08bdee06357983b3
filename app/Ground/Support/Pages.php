<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Illuminate\Http\Request;

/** One page of a long list. A page that is not there is the nearest that is. */
final readonly class Pages
{
    /** No list has more pages than this. */
    private const MOST = 1_000_000;

    public int $page;

    public int $last;

    public int $total;

    /** Whether there are more than are counted. */
    public bool $more;

    /**
     * @param  int  $asked  the page asked for, from 1
     * @param  string  $param  what the address calls it
     * @param  ?int  $most  no more than these are counted; null for all
     */
    public function __construct(
        int $asked,
        int $total,
        public int $per,
        public string $param = 'page',
        ?int $most = null,
    ) {
        $this->more = $most !== null && $total > $most;
        $this->total = min($total, $most ?? $total);
        $this->last = max(1, (int) ceil($this->total / $per));
        $this->page = max(1, min($asked, $this->last));
    }

    public static function of(
        Request $request,
        int $total,
        int $per,
        string $param = 'page',
        ?int $most = null,
    ): self {
        return new self(self::asked($request, $param), $total, $per, $param, $most);
    }

    /** The page an address asks for, before anyone knows how many there are. */
    public static function asked(Request $request, string $param): int
    {
        $asked = $request->input($param);

        return is_numeric($asked) ? (int) max(1, min(self::MOST, (float) $asked)) : 1;
    }

    public function offset(): int
    {
        return ($this->page - 1) * $this->per;
    }

    public function first(): int
    {
        return min($this->total, $this->offset() + 1);
    }

    public function until(): int
    {
        return min($this->total, $this->offset() + $this->per);
    }
}
