<?php

declare(strict_types=1);

namespace App\Office\Clients;

use App\Ground\History\SecurityLog;
use App\Ground\Models\ClientLink;
use App\Ground\Models\Garden;
use App\Ground\Models\SecurityEventKind;
use App\Ground\Models\User;
use App\Ground\Support\OutsideLink;
use App\Ground\Support\Quietly;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** The way to a client's own page: one at a time, signed by its being unguessable, and revocable. */
final readonly class ClientLinks
{
    /** Archiving a garden closes its client's page. */
    public static function start(): void
    {
        Garden::updated(static function (Garden $garden): void {
            if ($garden->wasChanged('archived_on') && $garden->archived_on !== null) {
                app(self::class)->shut($garden);
            }
        });
    }

    /** Opens a new one and shuts the one before; its address is known only now. */
    public function open(Garden $garden, ?User $by): string
    {
        $token = OutsideLink::secret();
        DB::transaction(static function () use ($garden, $by, $token): void {
            ClientLink::query()->where('garden_id', $garden->id)->delete();
            ClientLink::query()->create([
                'garden_id' => $garden->id, 'digest' => OutsideLink::digest($token), 'made_by' => $by?->id,
            ]);
            SecurityLog::note(SecurityEventKind::LinkMade, $by, says: "client page of $garden->name");
        });

        return OutsideLink::to(route('client', $token, false));
    }

    public function shut(Garden $garden): void
    {
        if (ClientLink::query()->where('garden_id', $garden->id)->delete() > 0) {
            SecurityLog::note(SecurityEventKind::LinkShut, says: "client page of $garden->name");
        }
    }

    public function of(Garden $garden): ?ClientLink
    {
        return ClientLink::open()->where('garden_id', $garden->id)->first();
    }

    /** @throws \Illuminate\Database\Eloquent\ModelNotFoundException for one that was shut, or never was */
    public function named(string $token): ClientLink
    {
        $link = ClientLink::open()->with('garden')->where('digest', OutsideLink::digest($token))->firstOrFail();
        // To the hour: a page with a dozen pictures writes once.
        if ($link->seen_at === null || $link->seen_at->isBefore(Carbon::now()->subHour())) {
            Quietly::write(static fn () => $link->forceFill(['seen_at' => Carbon::now()])->save());
            SecurityLog::note(
                SecurityEventKind::LinkOpened, says: "client page of {$link->garden->name}",
            );
        }

        return $link;
    }
}
