<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Closure;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;

/**
 * A form that bears a name of its own makes what it makes once: two taps, or Back and sent again, lead to what the
 * first made. What it makes and its name are written in one transaction, and nothing is worked out in it: of two taps
 * at once both may look, the first to write has made it, and the other is led there.
 */
final readonly class SentOnce
{
    /** A page that stayed open for longer is sent as a new one. */
    private const KNOWN_DAYS = 30;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $once = $request->isMethodSafe() ? null : self::name($request);
        if ($once === null) {
            return $next($request);
        }
        $sent = self::again($request, $once);
        if ($sent !== null) {
            return $sent;
        }
        $response = $next($request);
        // Errors of this form, not of one before it.
        $refused = in_array('errors', (array) $request->session()->get('_flash.new', []), true);
        if ($response instanceof RedirectResponse && ! $refused) {
            return $response;
        }
        // Refused because the same form, sent a moment before, has made it meanwhile: that is no fault of this one.
        $sent = self::again($request, $once);
        if ($sent !== null) {
            $request->session()->forget(['errors', '_old_input']);
        }

        return $sent ?? $response;
    }

    /**
     * Writes what a form makes, together with the form's name. Whatever takes long is done before.
     *
     * @param  Closure(): RedirectResponse  $make  writes, and says where that leads
     */
    public static function write(Closure $make): RedirectResponse
    {
        $request = request();
        $once = self::name($request);

        return DB::transaction(static function () use ($request, $once, $make): RedirectResponse {
            if ($once === null) {
                return $make();
            }
            $ours = DB::table('sent_forms')->insertOrIgnore([
                'once' => $once, 'user_id' => $request->user()?->id, 'led_to' => '', 'sent_at' => Carbon::now(),
            ]) === 1;
            if (! $ours) {
                return self::again($request, $once) ?? abort(419);
            }
            $response = $make();
            DB::table('sent_forms')->where('once', $once)->update(['led_to' => $response->getTargetUrl()]);
            DB::table('sent_forms')->where('sent_at', '<', Carbon::now()->subDays(self::KNOWN_DAYS))->delete();

            return $response;
        });
    }

    private static function name(Request $request): ?string
    {
        $once = $request->input('_once');

        return is_string($once) && Str::isUuid($once) ? $once : null;
    }

    /** Where the form led when it was sent before; null where it was not, 419 where somebody else sent it. */
    private static function again(Request $request, string $once): ?RedirectResponse
    {
        $sent = DB::table('sent_forms')->where('once', $once)->first(['user_id', 'led_to']);
        if ($sent === null) {
            return null;
        }
        abort_unless($sent->user_id === $request->user()?->id, 419);

        return redirect()->to((string) $sent->led_to)
            ->with('said', 'This form was sent before: here is what it made. Nothing was saved a second time.');
    }
}
