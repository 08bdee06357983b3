<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Illuminate\Session\FileSessionHandler;

/**
 * Sessions in files that are there in whole or not at all: a server that is stopped while it writes one signs nobody
 * out.
 */
final class AtomicFileSessionHandler extends FileSessionHandler
{
    public function write($sessionId, $data): bool
    {
        $this->files->replace("$this->path/$sessionId", $data, 0600);

        return true;
    }
}
