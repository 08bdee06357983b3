<?php

declare(strict_types=1);

namespace Tests\Feature\People;

use App\Ground\Models\Firm;
use App\Ground\Models\Role;
use App\Ground\Models\User;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\FeatureTestCase;

/** A firm's first day: a command asks what it needs, and the first screens lead on. */
final class NewFirmTest extends FeatureTestCase
{
    private string $env;

    protected function setUp(): void
    {
        parent::setUp();
        config(['app.url' => 'http://localhost']);
        foreach (['plants', 'gardens', 'crews'] as $table) {
            DB::table($table)->delete();
        }
        $folder = sys_get_temp_dir().'/hook-env-'.getmypid();
        is_dir($folder) || mkdir($folder);
        $this->env = "$folder/.env";
        file_put_contents($this->env, "APP_NAME=x\nHOOK_TIME_ZONE=Europe/London\nHOOK_TODAY=\n");
        $this->app->useEnvironmentPath($folder);
    }

    protected function tearDown(): void
    {
        unlink($this->env);
        rmdir(dirname($this->env));
        parent::tearDown();
    }

    public function test_it_asks_and_leaves_an_empty_product_that_leads_on(): void
    {
        $this->artisan('new-firm')
            ->expectsQuestion('What is the firm called?', 'Ashgrove Gardens')
            ->expectsQuestion('Where do its crews set out? Degrees as 51.75,-1.26, or a station of the plant book', 'x')
            ->expectsOutputToContain('is no place')
            ->expectsQuestion(
                'Where do its crews set out? Degrees as 51.75,-1.26, or a station of the plant book', '-36.85, 174.76',
            )
            ->expectsQuestion('Its time zone, as Europe/London', 'Pacific/Auckland')
            ->expectsQuestion('Who plans?', 'Maren Holt')
            ->expectsQuestion('Their e-mail address', 'Maren@ashgrove.test')
            ->expectsOutputToContain('http://localhost/welcome/')
            ->assertSuccessful();
        $firm = Firm::query()->sole();
        self::assertSame(['Ashgrove Gardens', -36.85, 174.76], [
            $firm->name, $firm->depot_latitude, $firm->depot_longitude,
        ]);
        $planner = User::query()->sole();
        self::assertSame(['maren@ashgrove.test', Role::Planner], [$planner->email, $planner->role]);
        self::assertSame(
            "APP_NAME=x\nHOOK_TIME_ZONE=Pacific/Auckland\nHOOK_TODAY=\n", file_get_contents($this->env),
        );
        self::assertSame(0, DB::table('gardens')->count() + DB::table('plants')->count());
        $planner->forceFill(['joined_at' => now()])->save();
        $this->actingAs($planner)->get('/')->assertOk()->assertSeeInOrder([
            'First steps', 'Add a crew', 'Add the first garden', 'Add its plants', 'Plan the first visit',
        ]);
        foreach (['/plan', '/round', '/gardens', '/record', '/crews', '/people', '/bench', '/changes', '/post',
            '/search?q=rose', '/plant-book', '/house-practice'] as $page) {
            $this->get($page)->assertOk();
        }
        // The first garden has no neighbour yet: its frost dates come from the nearest station.
        $carried = $this->getJson('/frost-dates?latitude=52&longitude=-2&elevation_m=90')->assertOk()->json();
        self::assertStringContainsString('From the station of', $carried['says']);
        self::assertMatchesRegularExpression('/^0[3-6]-\d\d$/', $carried['last_frost']);
        self::assertMatchesRegularExpression('/^1[01]-\d\d$/', $carried['first_frost']);
        $this->getJson('/frost-dates?latitude=1.35&longitude=103.8&elevation_m=10')->assertOk()
            ->assertJsonPath('last_frost', null);
        // What leads on ends where it has led.
        $this->post('/crews', ['name' => 'Wren crew', 'people' => 2, 'week' => [1 => ['from' => '08:00',
            'to' => '16:00']]])->assertSessionHasNoErrors();
        $this->get('/')->assertSee('<s class="soft">Add a crew, with its week</s>', false);
        $this->artisan('new-firm', ['--name' => 'Another'])->assertFailed();
        self::assertSame(1, Firm::query()->count());
    }

    /** @return array<string, array{array<string, string>}> */
    public static function wrong(): array
    {
        return [
            'no name' => [['--name' => '']], 'a place that is none' => [['--place' => 'Atlantis']],
            'past the pole' => [['--place' => '91,3']], 'past the date line' => [['--place' => '5,181']],
            'a zone that is none' => [['--zone' => 'Mars/Olympus']],
            'an address that is none' => [['--email' => 'maren']],
        ];
    }

    /** @param  array<string, string>  $option */
    #[DataProvider('wrong')]
    public function test_what_cannot_be_understood_begins_nothing(array $option): void
    {
        $this->artisan('new-firm', [
            '--name' => 'Ashgrove', '--place' => 'Oxford', '--zone' => 'Europe/London', '--planner' => 'Maren Holt',
            '--email' => 'maren@ashgrove.test', '--no-interaction' => true, ...$option,
        ])->assertFailed();
        self::assertSame(0, Firm::query()->count() + User::query()->count());
    }

    public function test_options_answer_for_scripts_and_a_station_is_a_place(): void
    {
        $this->artisan('new-firm', [
            '--name' => 'Ashgrove', '--place' => 'oxford', '--zone' => 'Europe/London', '--planner' => 'Maren Holt',
            '--email' => 'maren@ashgrove.test', '--no-interaction' => true,
        ])->assertSuccessful();
        self::assertEqualsWithDelta(51.8, Firm::query()->sole()->depot_latitude, 0.2);
        $this->artisan('new-firm', ['--no-interaction' => true])->assertFailed();
    }

    public function test_a_place_may_lie_on_the_pole_and_on_the_date_line(): void
    {
        $this->artisan('new-firm', [
            '--name' => 'Ashgrove', '--place' => '-90,180', '--zone' => 'Europe/London', '--planner' => 'Maren Holt',
            '--email' => 'maren@ashgrove.test', '--no-interaction' => true,
        ])->assertSuccessful();
        $firm = Firm::query()->sole();
        self::assertEquals([-90, 180], [$firm->depot_latitude, $firm->depot_longitude]);
    }
}
