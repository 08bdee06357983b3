<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use CurlHandle;
use RuntimeException;

/** Somebody at a desk, with a session of their own, who sends forms. */
final class StormPerson
{
    private const PATIENCE_S = 15;

    /** Attempts at signing in, and microseconds between them. */
    private const TRIES = 200;

    private const PAUSE = 50_000;

    private string $cookies = '';

    private string $token = '';

    public function __construct(private readonly string $office, private readonly string $email)
    {
    }

    public function signIn(): void
    {
        for ($try = 0; $try < self::TRIES; $try++) {
            $this->cookies = '';
            $form = $this->fetch('/sign-in');
            if (preg_match('/name="_token" value="(\w+)"/', $form, $token) === 1) {
                $this->fetch('/sign-in', [
                    '_token' => $token[1], 'email' => $this->email, 'password' => 'secateurs',
                ]);
                $who = json_decode($this->fetch('/entries/who'), true);
                if (is_array($who) && is_string($who['token'] ?? null)) {
                    $this->token = $who['token'];

                    return;
                }
            }
            usleep(self::PAUSE);
        }

        throw new RuntimeException("$this->email was not let in");
    }

    /** @param  array<string, string|list<string>>  $fields */
    public function post(string $path, array $fields): CurlHandle
    {
        return $this->call($path, ['_token' => $this->token, ...$fields]);
    }

    public function open(string $path): CurlHandle
    {
        return $this->call($path, null);
    }

    /** @param  array<string, mixed>  $body */
    public function json(string $path, array $body): CurlHandle
    {
        $call = $this->call($path, null);
        curl_setopt_array($call, [
            CURLOPT_POSTFIELDS => json_encode($body, JSON_THROW_ON_ERROR),
            CURLOPT_HTTPHEADER => [
                'Content-Type: application/json', 'Accept: application/json', "X-CSRF-TOKEN: $this->token",
            ],
        ]);

        return $call;
    }

    /** @param  ?array<string, string|list<string>>  $fields */
    public function fetch(string $path, ?array $fields = null): string
    {
        $call = $this->call($path, $fields);
        $answer = (string) curl_exec($call);
        $head = substr($answer, 0, (int) curl_getinfo($call, CURLINFO_HEADER_SIZE));
        if (preg_match_all('/^set-cookie: ([^=;\s]+)=([^;]*)/mi', $head, $set, PREG_SET_ORDER) > 0) {
            foreach ($set as [, $name, $value]) {
                $kept = array_filter(
                    explode('; ', $this->cookies),
                    static fn (string $each): bool => $each !== '' && ! str_starts_with($each, "$name="),
                );
                $this->cookies = implode('; ', [...$kept, "$name=$value"]);
            }
        }

        return substr($answer, strlen($head));
    }

    /** @param  ?array<string, string|list<string>>  $fields */
    private function call(string $path, ?array $fields): CurlHandle
    {
        $call = curl_init($this->office.$path);
        curl_setopt_array($call, [
            CURLOPT_RETURNTRANSFER => true, CURLOPT_HEADER => true, CURLOPT_TIMEOUT => self::PATIENCE_S,
            CURLOPT_HTTPHEADER => $path === '/entries/who' ? ['Accept: application/json'] : [],
            // A certificate made on the spot, on loopback.
            CURLOPT_SSL_VERIFYPEER => false,
        ]);
        if ($this->cookies !== '') {
            curl_setopt($call, CURLOPT_COOKIE, $this->cookies);
        }
        if ($fields !== null) {
            curl_setopt($call, CURLOPT_POSTFIELDS, http_build_query($fields));
        }

        return $call;
    }
}
