<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Log;

/**
 * Receives content policy violation reports (Content Security Policy Level 3, section 5.3) and writes them to the
 * security log file. Anybody can send one, so that only a few short fields are kept.
 */
final class PolicyReportController extends Controller
{
    private const MOST_BYTES = 8_192;

    /** Fields of a report that are kept. */
    private const KEPT = ['effective-directive', 'blocked-uri', 'document-uri', 'source-file', 'line-number'];

    private const MOST_SIGNS = 200;

    public function __invoke(Request $request): Response
    {
        $body = $request->getContent();
        $told = strlen($body) > self::MOST_BYTES ? null : json_decode($body, true);
        $report = is_array($told) && is_array($told['csp-report'] ?? null) ? $told['csp-report'] : [];
        $kept = array_map(
            static fn (string|int $said): string => mb_substr(mb_scrub((string) $said), 0, self::MOST_SIGNS),
            array_filter(
                array_intersect_key($report, array_flip(self::KEPT)),
                static fn (mixed $said): bool => is_string($said) || is_int($said),
            ),
        );
        if ($kept !== []) {
            Log::channel('security')->warning('policy-report', $kept);
        }

        return response()->noContent();
    }
}
