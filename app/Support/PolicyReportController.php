<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Log;

/**
 * Where a browser tells that a page wanted what pages may not (Content Security Policy Level 3, section 5.3). It is for
 * whoever runs the office, in the log of security events; anybody can send one, so that little of it is kept.
 */
final class PolicyReportController extends Controller
{
    private const MOST_BYTES = 8_192;

    /** Of what is told, by its name in a report. */
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
