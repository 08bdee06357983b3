<?php

declare(strict_types=1);

namespace App\Knowledge;

use App\Ground\History\Fields;
use App\Ground\Models\OwnKind;
use App\Ground\Models\OwnKindsChanged;
use App\Ground\Models\Plant;
use App\Ground\Models\User;
use App\Ground\Support\Today;
use Illuminate\Support\Arr;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\PlantBook\Inheritance;

/** The firm's own word on kinds: written in versions, each of which can be taken back. */
final readonly class OwnKinds
{
    public function __construct(private KindForm $form)
    {
    }

    public function write(OwnEntry $own, string $note, ?User $by): OwnKind
    {
        return OwnKind::query()->create([
            'kind' => $own->kind,
            'like' => $own->like,
            'entry' => $own->entry,
            'note' => $note,
            'written_by' => $by?->id,
        ]);
    }

    /**
     * A kind's entry as it is in force.
     *
     * @return array<array-key, mixed>
     */
    public function entry(string $kind): array
    {
        $own = self::inForce()[$kind] ?? null;
        $base = $this->form->base($kind, $own?->like);

        return $own === null ? $base : Inheritance::correct($base, $own->entry);
    }

    /** The number of a kind's version in force; 0 where the book's own word stands. */
    public static function version(string $kind): int
    {
        return (int) OwnKind::query()->where('kind', $kind)->max('id');
    }

    /**
     * What others have made of a kind since a form was opened on it.
     *
     * @param  int  $seen  the version the form was made of
     * @return array<string, string> by the path of the field, in words; empty where nobody has
     */
    public function since(string $kind, int $seen): array
    {
        if (self::version($kind) === $seen) {
            return [];
        }
        $now = OwnKind::query()->with('writtenBy')->where('kind', $kind)->latest('id')->first();
        $then = OwnKind::withTrashed()->where('kind', $kind)->find($seen);
        $base = $this->form->base($kind, $now->like ?? $then?->like);
        $fields = static fn (?OwnKind $version): array => Arr::dot(
            $version === null ? $base : Inheritance::correct($base, $version->entry),
        );
        [$was, $is] = [$fields($then), $fields($now)];
        $changed = array_filter(
            $is + $was,
            static fn (string $path): bool => ($is[$path] ?? null) !== ($was[$path] ?? null),
            ARRAY_FILTER_USE_KEY,
        );
        $says = [];
        foreach (array_keys($changed) as $path) {
            $says[$path] = self::saidOf($path, $is[$path] ?? null, $now);
        }

        return $says;
    }

    private static function saidOf(string $path, mixed $value, ?OwnKind $version): string
    {
        return $version === null
            ? 'Somebody took the correction back while you were writing.'
            : sprintf(
                '%s made this %s on %s while you were writing.', $version->writtenBy->name ?? 'Somebody',
                Fields::says($path, $value), Today::local(Carbon::parse($version->created_at))->format('j M, H:i'),
            );
    }

    /**
     * The versions in force, the latest of each kind.
     *
     * @return array<string, OwnEntry> by kind
     */
    public static function inForce(): array
    {
        $entries = [];
        foreach (OwnKind::query()->orderBy('id')->get() as $own) {
            $entries[$own->kind] = new OwnEntry($own->kind, $own->like, $own->entry);
        }

        return $entries;
    }

    /** Takes every version of a kind back. @return ?string why not */
    public function takeBack(string $kind): ?string
    {
        $refused = $this->refusal($kind, OwnKind::query()->where('kind', $kind)->whereNotNull('like')->exists());
        if ($refused === null) {
            // One transaction, so that one undo can bring back just these.
            DB::transaction(static function () use ($kind): void {
                OwnKind::query()->where('kind', $kind)->update(['deleted_at' => now()]);
                event(new OwnKindsChanged($kind));
            });
        }

        return $refused;
    }

    public function bringBack(string $kind): void
    {
        $last = OwnKind::onlyTrashed()->where('kind', $kind)->max('deleted_at');
        DB::transaction(static function () use ($kind, $last): void {
            OwnKind::onlyTrashed()->where('kind', $kind)->where('deleted_at', $last)->update(['deleted_at' => null]);
            event(new OwnKindsChanged($kind));
        });
    }

    /** @return ?string why not */
    public function undo(OwnKind $version): ?string
    {
        $isLast = ! OwnKind::query()->where('kind', $version->kind)->where('id', '!=', $version->id)->exists();
        $refused = $this->refusal($version->kind, $isLast && $version->like !== null);
        if ($refused === null) {
            $version->delete();
        }

        return $refused;
    }

    /** A kind that only the firm knows stays while plants of it stand in a garden. */
    private function refusal(string $kind, bool $vanishes): ?string
    {
        $plants = $vanishes ? Plant::query()->where('kind', $kind)->count() : 0;

        return $plants === 0
            ? null
            : sprintf(
                '%d %s of this kind in the gardens, so it stays. Give them another kind first.', $plants,
                $plants === 1 ? 'plant is' : 'plants are',
            );
    }
}
