<?php

declare(strict_types=1);

namespace App\Season\Due;

/** How far a worker came with what was stale. */
final readonly class Renewal
{
    /**
     * @param  int  $done  gardens worked out
     * @param  bool  $isLeft  whether any is still stale, in another worker's hands perhaps
     */
    public function __construct(public int $done, public bool $isLeft)
    {
    }
}
