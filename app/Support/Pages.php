<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Http\Request;

/** One page of a long list. A page that is not there is the nearest that is. */
final readonly class Pages
{
    public int $page;

    public int $last;

    /**
     * @param  int  $asked  the page asked for, from 1
     * @param  string  $param  what the address calls it
     */
    public function __construct(int $asked, public int $total, public int $per, public string $param = 'page')
    {
        $this->last = max(1, (int) ceil($total / $per));
        $this->page = max(1, min($asked, $this->last));
    }

    public static function of(Request $request, int $total, int $per, string $param = 'page'): self
    {
        $asked = $request->input($param);

        return new self(is_numeric($asked) ? (int) min(PHP_INT_MAX, (float) $asked) : 1, $total, $per, $param);
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
