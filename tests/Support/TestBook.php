<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Knowledge\PlantBookFiles;
use PruningHook\Core\Plant\Keeping;
use PruningHook\Core\PlantBook\PlantBook;

/** The real plant book, read once a process. */
final class TestBook
{
    private static ?PlantBook $book = null;

    public static function read(): PlantBook
    {
        return self::$book ??= (new PlantBookFiles(dirname(__DIR__, 2).'/plant-book', sys_get_temp_dir()))->readAll();
    }

    /** The book's figures for a plant's state, and the recipes that bring one back. */
    public static function keeping(): Keeping
    {
        return self::read()->keeping;
    }
}
