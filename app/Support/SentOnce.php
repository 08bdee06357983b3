<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;

/**
 * A form that bears a name of its own makes what it makes once: two taps, or Back and sent again, lead to what the
 * first made. What it makes and its name are written in one stroke.
 */
final readonly class SentOnce
{
    /** A page that stayed open for longer is sent as a new one. */
    private const KNOWN_DAYS = 30;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $once = $request->input('_once');
        $user = $request->user();
        if ($request->isMethodSafe() || ! is_string($once) || ! Str::isUuid($once) || $user === null) {
            return $next($request);
        }
        DB::beginTransaction();
        try {
            $new = DB::table('sent_forms')->insertOrIgnore([
                'once' => $once, 'user_id' => $user->id, 'led_to' => '', 'sent_at' => Carbon::now(),
            ]) === 1;
            $response = $new ? $next($request) : $this->again($once, $user->id);
            // Errors of this form, not of one before it.
            $refused = in_array('errors', (array) $request->session()->get('_flash.new', []), true);
            $kept = ! $new || ($response instanceof RedirectResponse && ! $refused);
            if ($new && $kept && $response instanceof RedirectResponse) {
                DB::table('sent_forms')->where('once', $once)->update(['led_to' => $response->getTargetUrl()]);
                DB::table('sent_forms')->where('sent_at', '<', Carbon::now()->subDays(self::KNOWN_DAYS))->delete();
            }
        } catch (\Throwable $thrown) {
            DB::rollBack();

            throw $thrown;
        }
        $kept ? DB::commit() : DB::rollBack();

        return $response;
    }

    private function again(string $once, int $user): Response
    {
        $led = DB::table('sent_forms')->where('once', $once)->where('user_id', $user)->value('led_to');
        abort_unless(is_string($led) && $led !== '', 419);

        return redirect()->to($led)
            ->with('said', 'This form was sent before: here is what it made. Nothing was saved a second time.');
    }
}
