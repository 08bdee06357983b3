<?php

declare(strict_types=1);

namespace App\Ground\Models;

/** What a crew finds at a plant; taps on the sheet. The value is what is kept, the words are what is shown. */
enum Finding: string
{
    case AllWell = 'all-well';
    case DeadWood = 'dead-wood';
    case Disease = 'disease';
    case Pests = 'pests';
    case BrokenSupport = 'broken-support';
    case Suckers = 'suckers';
    case WeakGrowth = 'weak-growth';
    case Nest = 'nest';

    public function inWords(): string
    {
        return ucfirst(str_replace('-', ' ', $this->value));
    }
}
