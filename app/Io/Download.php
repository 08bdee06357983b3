<?php

declare(strict_types=1);

namespace App\Io;

use App\Ground\Support\Today;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * A file that is written while it is sent, compressed where that is understood: however long, it is never held whole.
 */
final readonly class Download
{
    /** Seconds a long one may take. */
    private const PATIENCE_S = 900;

    /** Bytes that are compressed at once. */
    private const AT_ONCE = 65_536;

    private const LEVEL = 5;

    /** @param  Closure(): mixed  $write  says it to the output */
    public static function of(Request $request, string $file, string $type, Closure $write): StreamedResponse
    {
        $gzip = in_array('gzip', $request->getEncodings(), true);

        return new StreamedResponse(
            static function () use ($gzip, $write): void {
                set_time_limit(self::PATIENCE_S);
                $gzip ? self::compressed($write) : $write();
            },
            200,
            [
                'Content-Type' => $type, 'Vary' => 'Accept-Encoding',
                'Content-Disposition' => sprintf('attachment; filename="%s-%s"', Today::day(), $file),
                ...($gzip ? ['Content-Encoding' => 'gzip'] : []),
            ],
        );
    }

    private static function compressed(Closure $write): void
    {
        $packed = deflate_init(ZLIB_ENCODING_GZIP, ['level' => self::LEVEL]);
        assert($packed !== false);
        ob_start(static fn (string $said, int $phase): string => (string) deflate_add(
            $packed, $said, ($phase & PHP_OUTPUT_HANDLER_FINAL) === 0 ? ZLIB_NO_FLUSH : ZLIB_FINISH,
        ), self::AT_ONCE);
        try {
            $write();
        } finally {
            ob_end_flush();
        }
    }
}
