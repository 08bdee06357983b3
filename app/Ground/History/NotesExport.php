<?php

declare(strict_types=1);

namespace App\Ground\History;

use App\Ground\Models\SecurityEventKind;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Logs who exports data, and what. */
final readonly class NotesExport
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $answer = $next($request);
        if ($answer->isSuccessful()) {
            SecurityLog::note(SecurityEventKind::Exported, says: basename($request->path()));
        }

        return $answer;
    }
}
