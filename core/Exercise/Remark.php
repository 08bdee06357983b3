<?php

declare(strict_types=1);

namespace PruningHook\Core\Exercise;

/** One thing the judge says of an answer, with the place it is about. */
final readonly class Remark
{
    /**
     * @param  'missed'|'good-wood'|'budget'|'order'|'place'|'window'|'right'  $about
     * @param  ?int  $axis  null where it is about the whole plant
     */
    public function __construct(public string $about, public string $says, public ?int $axis = null)
    {
    }

    public function inWords(): string
    {
        return match ($this->about) {
            'missed' => 'Left standing',
            'good-wood' => 'Good wood taken',
            'budget' => 'Too much',
            'order' => 'Order',
            'place' => 'Place of the cut',
            'window' => 'Day',
            'right' => 'Right',
        };
    }
}
