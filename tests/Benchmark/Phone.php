<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use CurlHandle;
use Illuminate\Support\Str;
use RuntimeException;

/** A phone that sends what was said, as the one in the garden does: again and again until each word is answered. */
final class Phone
{
    /** So many words go at once. */
    private const AT_ONCE = 5;

    /** Seconds an answer may take. */
    private const PATIENCE = 5;

    /** Microseconds between two attempts. */
    private const PAUSE = 50_000;

    /** Where half an emoji is sent, as a phone does that cuts a text by its signs of sixteen bits. */
    private const HALF = 'robins HALF';

    /** One word of so many is one that cannot be kept, or that was cut in the middle of a sign. */
    private const ODD = 10;

    /** After so many answers its storage is cleared: what it still shows is sent once more. */
    private const CLEARED_AFTER = 60;

    private readonly CurlHandle $line;

    public function __construct(private readonly string $office)
    {
        $this->line = curl_init();
        curl_setopt_array($this->line, [
            CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => '', CURLOPT_TIMEOUT => self::PATIENCE,
            CURLOPT_FOLLOWLOCATION => false,
        ]);
    }

    /**
     * Says so many things of the tasks of some visits and sends them; some of them are odd, and on the way the phone's
     * storage is cleared once.
     *
     * @param  list<array{visit: int, task: int}>  $tasks
     * @return array{answered: array<string, string>, odd: list<string>} kept or refused, by the name of each word; and
     *     the names of those that cannot be kept
     */
    public function say(string $email, array $tasks, int $words): array
    {
        $this->signIn($email);
        $said = $answered = $before = $odd = [];
        for ($word = 0; $word < $words; $word++) {
            $task = $tasks[array_rand($tasks)];
            $one = [
                'v' => 1, 'id' => (string) Str::uuid(), 'kind' => 'log', ...$task,
                'said_at' => gmdate('Y-m-d\TH:i:s\Z'),
                'corrects' => isset($before[$task['task']]) ? [$before[$task['task']]] : [],
                'body' => ['outcome' => 'done', 'minutes' => 10 + $word % 50],
            ];
            if ($word % self::ODD === self::ODD - 1) {
                $one = [...$one, ...self::odd(intdiv($word, self::ODD)), 'corrects' => []];
                if (($one['body']['note'] ?? '') !== self::HALF) {
                    $odd[] = $one['id'];
                    $said[] = $one;

                    continue;
                }
            }
            $said[] = $one;
            $before[$task['task']] = $one['id'];
        }
        $waiting = $said;
        $isCleared = false;
        while ($waiting !== []) {
            $results = $this->post($email, array_slice($waiting, 0, self::AT_ONCE));
            foreach ($results ?? [] as $result) {
                $answered[$result['id']] = $result['state'];
            }
            $waiting = array_slice($waiting, count($results ?? []));
            if (! $isCleared && count($answered) >= self::CLEARED_AFTER) {
                $isCleared = true;
                $waiting = $said;
            }
            usleep(self::PAUSE);
        }

        return ['answered' => $answered, 'odd' => $odd];
    }

    /** @return array<string, mixed> what of a word is odd */
    private static function odd(int $which): array
    {
        $body = ['outcome' => 'done', 'minutes' => 10];

        return match ($which % 3) {
            0 => ['body' => [...$body, 'note' => str_repeat('x', 20_001)]],
            1 => ['said_at' => 'the day before'],
            default => ['body' => [...$body, 'note' => self::HALF]],
        };
    }

    /**
     * @param  list<array<string, mixed>>  $words
     * @return ?list<array{id: string, state: string}> null where no answer came
     */
    private function post(string $email, array $words): ?array
    {
        $who = $this->ask('/entries/who');
        if (! is_string($who['token'] ?? null)) {
            // The server was killed while it wrote the session: the person signs in again, and what waits is sent then.
            $this->signIn($email);

            return null;
        }
        $answer = $this->ask('/entries', ['entries' => $words, 'now' => gmdate('Y-m-d\TH:i:s\Z')], $who['token']);
        /** @var ?list<array{id: string, state: string}> $results */
        $results = $answer['results'] ?? null;

        return $results;
    }

    private function signIn(string $email): void
    {
        for ($try = 0; $try < 200; $try++) {
            if (isset($this->ask('/entries/who')['user'])) {
                return;
            }
            $page = $this->text('/sign-in', null, []);
            if ($page !== null && preg_match('/name="_token" value="([^"]+)"/', $page, $found) === 1) {
                $this->text('/sign-in', http_build_query([
                    '_token' => $found[1], 'email' => $email, 'password' => 'secateurs',
                ]), []);
            }
            usleep(self::PAUSE);
        }
        throw new RuntimeException("$email could not sign in");
    }

    /**
     * @param  ?array<string, mixed>  $body
     * @return ?array<array-key, mixed>
     */
    private function ask(string $path, ?array $body = null, string $token = ''): ?array
    {
        $text = $this->text(
            $path, $body === null ? null : str_replace('HALF', '\ud83d', json_encode($body, JSON_THROW_ON_ERROR)),
            ['Accept: application/json', 'Content-Type: application/json', "X-CSRF-TOKEN: $token"],
        );
        $answer = $text === null ? null : json_decode($text, true);

        return is_array($answer) ? $answer : null;
    }

    /** @param  list<string>  $headers */
    private function text(string $path, ?string $body, array $headers): ?string
    {
        curl_setopt($this->line, CURLOPT_URL, "$this->office/".ltrim($path, '/'));
        curl_setopt($this->line, CURLOPT_HTTPHEADER, $headers);
        if ($body === null) {
            curl_setopt($this->line, CURLOPT_HTTPGET, true);
        } else {
            curl_setopt($this->line, CURLOPT_POST, true);
            curl_setopt($this->line, CURLOPT_POSTFIELDS, $body);
        }
        $text = curl_exec($this->line);

        return is_string($text) && curl_getinfo($this->line, CURLINFO_RESPONSE_CODE) < 400 ? $text : null;
    }
}
