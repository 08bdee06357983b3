<?php

declare(strict_types=1);

namespace Tests\Feature\Ground;

use App\Exercise\Exercises;
use App\Ground\Models\Garden;
use App\Ground\Support\OutsideLink;
use App\Ground\Support\SentOnce;
use App\Ground\Support\Today;
use App\Knowledge\KindForm;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Notification;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use LogicException;
use PHPUnit\Framework\Attributes\DataProvider;
use PruningHook\Core\Exercise\Judge;
use Symfony\Component\Finder\Finder;
use Tests\Feature\FeatureTestCase;

/** A form that bears a name of its own makes what it makes once, and holds the others up no longer than it must. */
final class SentOnceTest extends FeatureTestCase
{
    /** What a form may ask or write while nobody else can write: the longest is a visit with one task. */
    private const STATEMENTS = 14;

    /** @var array<string, string> the form's table, by its route */
    private const MADE = [
        'bench.store' => 'bench_answers',
        'client.say' => 'client_words',
        'crews.off' => 'crew_days_off',
        'crews.store' => 'crews',
        'drafts.store' => 'plan_drafts',
        'feeds.store' => 'feeds',
        'files.store' => 'imports',
        'gardens.plants.store' => 'plants',
        'gardens.store' => 'gardens',
        'letters.send' => 'client_links',
        'observations.store' => 'observations',
        'own-kinds.store' => 'own_kinds',
        'people.store' => 'users',
        'plants.plant' => 'plants',
        'tokens.store' => 'personal_access_tokens',
        'visits.store' => 'visits',
        'webhooks.store' => 'webhooks',
    ];

    public function test_every_form_with_a_name_is_tried_here(): void
    {
        $forms = [];
        foreach (Finder::create()->in(resource_path('views'))->name('*.blade.php')->contains('<x-once') as $view) {
            $parts = explode('<x-once', $view->getContents());
            array_pop($parts);
            foreach ($parts as $before) {
                preg_match_all('/action="\{\{(.*?)\}\}"/s', $before, $actions);
                preg_match_all("/route\\('([a-z.-]+)'/", (string) Arr::last($actions[1]), $routes);
                $forms[] = Arr::last($routes[1]);
            }
        }
        $forms = array_values(array_unique($forms));
        sort($forms);
        self::assertSame(array_keys(self::MADE), $forms);
    }

    #[DataProvider('forms')]
    public function test_it_makes_one_and_is_worked_out_before_anything_is_locked(string $form): void
    {
        Queue::fake();
        Notification::fake();
        Storage::fake('local');
        $this->actingAs($form === 'bench.store' ? $this->hand() : $this->planner());
        $this->garden->update(['client_email' => 'ada@example.test']);
        [$to, $facts] = $this->filled($form);
        if ($form === 'client.say') {
            auth()->logout();
        }
        $facts['_once'] = Str::uuid()->toString();
        $table = self::MADE[$form];
        $before = DB::table($table)->max('id');
        $base = DB::transactionLevel();
        $inside = [];
        DB::listen(static function (QueryExecuted $query) use ($base, &$inside): void {
            if ($query->connection->transactionLevel() > $base) {
                $inside[] = $query->sql;
            }
        });
        $led = $this->post($to, $facts)->assertSessionHasNoErrors()->assertRedirect()->headers->get('Location');
        $first = $inside;
        $after = DB::table($table)->max('id');
        self::assertGreaterThan((int) $before, (int) $after);
        $writes = static fn (string $into): array => (array) preg_grep("/^(insert|update)\\b.*\"$into\"/", $first);
        self::assertNotEmpty($writes('sent_forms'), 'its name is written with it');
        self::assertNotEmpty($writes($table), 'it is written with its name');
        self::assertLessThanOrEqual(self::STATEMENTS, count($first), implode("\n", $first));
        $this->post($to, $facts)->assertRedirect((string) $led)->assertSessionHas(
            'said', 'This form was sent before: here is what it made. Nothing was saved a second time.',
        )->assertSessionHasNoErrors();
        self::assertSame($after, DB::table($table)->max('id'));
    }

    /** @return array<string, array{string}> */
    public static function forms(): array
    {
        return array_map(static fn (string $form): array => [$form], array_combine(
            array_keys(self::MADE), array_keys(self::MADE),
        ));
    }

    public function test_what_fails_half_way_leaves_neither_half_nor_name(): void
    {
        $once = Str::uuid()->toString();
        Route::middleware('web')->post('half', static fn () => SentOnce::write(static function (): never {
            Garden::factory()->create(['name' => 'Half a garden']);
            throw new LogicException('in the middle');
        }));
        $this->actingAs($this->planner())->post('/half', ['_once' => $once])->assertStatus(500);
        self::assertSame(0, Garden::query()->where('name', 'Half a garden')->count());
        self::assertSame(0, DB::table('sent_forms')->count());
    }

    public function test_of_two_taps_at_once_the_slower_is_led_to_what_the_quicker_made(): void
    {
        $this->actingAs($this->planner());
        [$to, $facts] = $this->filled('crews.off');
        $facts['_once'] = Str::uuid()->toString();
        // The quicker one has written between the slower one's first look and its own writing.
        $quick = fn () => DB::table('sent_forms')->insert([
            'once' => $facts['_once'], 'user_id' => auth()->id(), 'led_to' => url('/made'), 'sent_at' => now(),
        ]);
        $looked = false;
        DB::listen(static function (QueryExecuted $query) use ($quick, &$looked): void {
            if (! $looked && str_contains($query->sql, 'crew_days_off')) {
                $looked = true;
                $quick();
            }
        });
        $this->post($to, $facts)->assertRedirect(url('/made'))->assertSessionHasNoErrors();
        self::assertSame(0, DB::table('crew_days_off')->count());
        // One that was refused because the quicker one has made it hears no refusal.
        $this->crew->daysOff()->create(['on' => $facts['on'], 'why' => 'Frost']);
        DB::table('sent_forms')->delete();
        $looked = false;
        $this->post($to, $facts)->assertRedirect(url('/made'))->assertSessionHasNoErrors();
    }

    /** @return array{string, array<string, mixed>} where it is sent, and what it says */
    private function filled(string $form): array
    {
        $garden = $this->garden;
        $plant = ['kind' => 'bush-rose', 'label' => 'By the gate', 'count' => '1'];

        return match ($form) {
            'bench.store' => ['/bench/first-grass', ['cuts' => 'd100', 'day' => $this->dayOffered()]],
            'client.say' => [$this->clientsPage(), ['kind' => 'ask', 'says' => 'When do you come?']],
            'crews.off' => [route($form, $this->crew), ['on' => '2027-03-01', 'why' => 'Holiday']],
            'crews.store' => [route($form), ['name' => 'Finch crew', 'people' => '2',
                'week' => [1 => ['from' => '08:00', 'to' => '16:00']]]],
            'drafts.store' => [route($form), ['weeks' => '2', 'stay' => 'some']],
            'feeds.store' => [route($form), ['crew_id' => (string) $this->crew->id, 'garden' => '']],
            'files.store' => [route($form), ['of' => 'plants',
                'file' => UploadedFile::fake()->createWithContent('plants.csv', "garden,kind\nA,lilac\n")]],
            'gardens.store' => [route($form), ['name' => 'Pond Cottage', 'client' => 'Ada Moor', 'place' => 'Stour',
                'latitude' => '51.5', 'longitude' => '-1.2', 'elevation_m' => '60', 'winter' => 'cool',
                'last_frost' => '04-22', 'first_frost' => '10-28']],
            'letters.send' => [route($form, $garden), []],
            'observations.store' => [route($form, $garden), ['event' => 'witch-hazel-bloom', 'on' => '2027-02-01']],
            'own-kinds.store' => [route($form), $this->ownKind()],
            'people.store' => [route($form), ['name' => 'Wen Ash', 'email' => 'wen@example.test', 'role' => 'hand',
                'crew_id' => (string) $this->crew->id]],
            'tokens.store' => [route($form), ['name' => 'Display', 'days' => '30', 'scopes' => ['plants:read'],
                'current' => 'secateurs']],
            'webhooks.store' => [route($form), ['url' => 'https://listener.example', 'events' => ['visit.done']]],
            'plants.plant' => [route($form, $garden), ['rows' => [
                ['take' => '1', 'said' => 'Lilac', 'kind' => 'lilac', 'label' => 'Lilac', 'bed' => '', 'count' => '1'],
            ]]],
            'gardens.plants.store' => [route($form, $garden), $plant],
            'visits.store' => [route($form, $garden), ['on' => '2027-02-25', 'crew_id' => $this->crew->id,
                'tasks' => ["{$this->wisteria->id}:winter-pass:2027"]]],
            default => throw new LogicException("Nothing is written into the form of $form."),
        };
    }

    private function dayOffered(): string
    {
        $exercises = $this->app->make(Exercises::class);
        $exercise = $exercises->of('first-grass', 1, Today::day())->exercise;

        return (string) (new Judge($exercise, $exercises->cases()->marking))->answer()->day;
    }

    private function clientsPage(): string
    {
        $token = OutsideLink::secret();
        DB::table('client_links')->insert(['garden_id' => $this->garden->id,
            'digest' => OutsideLink::digest($token), 'seen_at' => now(), 'created_at' => now()]);

        return route('client.say', $token);
    }

    /** @return array<string, mixed> */
    private function ownKind(): array
    {
        $said = $this->app->make(KindForm::class)->base('new', 'lilac');
        foreach (array_keys(KindForm::LENGTHS) as $path) {
            if (is_int(Arr::get($said, $path))) {
                Arr::set($said, $path, Arr::get($said, $path) / 10);
            }
        }

        return [
            ...Arr::except($said, 'also'), 'like' => 'lilac', 'name' => 'Grey lilac',
            'botanical' => 'Syringa cinerea', 'note' => 'From the old nursery.',
        ];
    }
}
