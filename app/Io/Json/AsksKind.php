<?php

declare(strict_types=1);

namespace App\Io\Json;

use App\Ground\Bridge\InputFaults;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\PlantBook;

/** Reads the one kind that an input is about. */
trait AsksKind
{
    /** @throws InputFaults with what was probably meant */
    private static function kindOf(string $name, PlantBook $book): Kind
    {
        $kind = $book->find($name);
        if ($kind === null) {
            $near = $book->nearestName($name);
            throw new InputFaults([sprintf(
                '$.kind: the plant book has no kind "%s"%s', $name,
                $near === null ? '' : sprintf('; did you mean "%s"?', $near),
            )]);
        }

        return $kind;
    }
}
