<?php

declare(strict_types=1);

namespace App\Ground\Models;

use App\Ground\Models\Concerns\KeepsVersions;
use App\Ground\Models\Concerns\WritesInTransaction;
use App\Ground\Support\ResetPasswordNotification;
use Database\Factories\UserFactory;
use Illuminate\Database\Eloquent\Attributes\UseFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Notifications\Notifiable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Laravel\Sanctum\HasApiTokens;
use SensitiveParameter;

/**
 * @property int $id
 * @property string $name
 * @property string $email
 * @property string $password its hash; a plain one is hashed when it is set
 * @property Role $role
 * @property ?int $crew_id
 * @property string $session_version sessions of an earlier one have ended
 * @property bool $keys whether single letters jump
 * @property ?Carbon $joined_at when they first chose a password; null while they are only invited
 * @property ?string $left_on the day they left the firm
 * @property string $units `metric` or `imperial`
 * @property ?string $pin its hash
 * @property ?string $code_secret of two-step sign-in, in base32
 * @property ?Carbon $code_since when two-step sign-in was turned on; null while it is being set up
 * @property int $code_step time step of the last code that was used
 * @property ?list<string> $code_spares digests of the recovery codes left
 * @property-read ?Crew $crew
 */
#[UseFactory(UserFactory::class)]
final class User extends Authenticatable
{
    /** @use HasApiTokens<AccessToken> */
    use HasApiTokens;

    /** @use HasFactory<UserFactory> */
    use HasFactory;

    use KeepsVersions;
    use Notifiable;
    use WritesInTransaction;

    protected $fillable = ['name', 'email', 'password', 'role', 'crew_id'];

    protected $hidden = ['password', 'remember_token', 'session_version', 'code_secret', 'code_spares', 'pin'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed', 'role' => Role::class, 'keys' => 'boolean',
            'joined_at' => 'datetime', 'code_secret' => 'encrypted', 'code_since' => 'datetime',
            'code_step' => 'integer', 'code_spares' => 'array'];
    }

    protected $attributes = ['session_version' => '', 'keys' => true, 'units' => 'metric', 'code_step' => 0];

    /**
     * Ends every session of theirs, and every token they gave to a program; their PIN works nowhere until they sign in
     * again.
     */
    public function endSessions(): void
    {
        $this->tokens()->delete();
        PinBrowser::query()->where('user_id', $this->id)->delete();
        $this->forceFill(['session_version' => Str::random(24), 'remember_token' => Str::random(60)])->save();
        $this->devices()->delete();
    }

    /** Ends what is open on one device; and none is remembered any more, since nobody can tell which it was. */
    public function endSession(Device $device): void
    {
        DB::transaction(function () use ($device): void {
            $device->delete();
            PinBrowser::query()->where('user_id', $this->id)->where('browser', $device->browser)->delete();
            $this->forceFill(['remember_token' => Str::random(60)])->save();
        });
    }

    /**
     * The key with which a phone encrypts this person's unsent entries. Only they receive it, so that nobody else can
     * read them on a shared phone.
     *
     * @return string 32 bytes in base64
     */
    public function phoneKey(): string
    {
        return base64_encode(hash_hmac('sha256', "phone $this->id", Config::string('app.key'), true));
    }

    /** @return HasMany<Device, $this> */
    public function devices(): HasMany
    {
        return $this->hasMany(Device::class);
    }

    /** Planners give work to any crew; a lead to the own one, or to none yet. */
    public function gives(?int $crewId): bool
    {
        return $this->isPlanner() || $crewId === null || $this->leads($crewId);
    }

    /** @return BelongsTo<Crew, $this> */
    public function crew(): BelongsTo
    {
        return $this->belongsTo(Crew::class);
    }

    /** Without them nobody could invite, plan or bring anybody back. */
    public function isLastPlanner(): bool
    {
        return $this->isPlanner() && $this->left_on === null && ! self::query()->whereKeyNot($this->id)
            ->where('role', Role::Planner)->whereNull('left_on')->whereNotNull('joined_at')->exists();
    }

    public function isPlanner(): bool
    {
        return $this->role === Role::Planner;
    }

    /** The page a day begins on: the whole season at the desk, the crew's round in the garden. */
    public function home(): string
    {
        return $this->isPlanner() ? '/' : '/round';
    }

    public function leads(?int $crewId): bool
    {
        return $this->role === Role::Lead && $crewId !== null && $this->crew_id === $crewId;
    }

    public function worksWith(?int $crewId): bool
    {
        return $crewId !== null && $this->crew_id === $crewId;
    }

    /** @param  string  $token */
    public function sendPasswordResetNotification(#[SensitiveParameter] $token): void
    {
        $this->notify(new ResetPasswordNotification($token, $this->name, $this->email));
    }
}
