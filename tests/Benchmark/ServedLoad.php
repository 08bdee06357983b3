<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use Closure;
use CurlHandle;

/** Some people who open one page after another without a pause, and phones that send now and then. */
final class ServedLoad
{
    /** @var array<int, int> how often each status was answered; 0 where nothing was */
    public array $statuses = [];

    /** @var array<string, list<float>> milliseconds, of pages and of entries */
    public array $took = [];

    private float $seconds = 0.0;

    /** @param  array<int, StormPerson>  $people  signed in; the last of them are the phones */
    public function __construct(
        private readonly array $people,
        private readonly int $clients,
        private readonly int $phones,
        private readonly float $pause,
    ) {
    }

    /**
     * @param  Closure(int): string  $page  the address of the nth page
     * @param  Closure(StormPerson): CurlHandle  $entry
     */
    public function run(float $seconds, Closure $page, Closure $entry): void
    {
        $asked = 0;
        $line = curl_multi_init();
        $names = array_keys($this->people);
        $readers = array_slice($names, 0, $this->clients);
        $phones = array_slice($names, -$this->phones);
        $under = $next = [];
        $began = microtime(true);
        while (($now = microtime(true)) - $began < $seconds || $under !== []) {
            foreach ($now - $began < $seconds ? [...$readers, ...$phones] : [] as $who) {
                if (! isset($under[$who]) && $now >= ($next[$who] ?? 0)) {
                    $isPhone = in_array($who, $phones, true);
                    $call = $isPhone ? $entry($this->people[$who]) : $this->people[$who]->open($page($asked++));
                    $under[$who] = [$call, $now, $isPhone ? 'entry' : 'page'];
                    curl_multi_add_handle($line, $call);
                }
            }
            curl_multi_exec($line, $running);
            curl_multi_select($line, 0.005);
            while (($done = curl_multi_info_read($line)) !== false) {
                foreach ($under as $who => [$call, $since, $what]) {
                    if ($call === $done['handle']) {
                        $this->answered($call, $what, $since);
                        curl_multi_remove_handle($line, $call);
                        unset($under[$who]);
                        $next[$who] = microtime(true) + ($what === 'entry' ? $this->pause : 0);
                    }
                }
            }
        }
        curl_multi_close($line);
        $this->seconds = microtime(true) - $began;
    }

    /** Pages a second. */
    public function rate(): float
    {
        return count($this->took['page'] ?? []) / max(0.001, $this->seconds);
    }

    public function quantile(string $what, float $share): float
    {
        $took = $this->took[$what] ?? [];
        sort($took);

        return $took === [] ? 0.0 : $took[(int) floor($share * (count($took) - 1))];
    }

    private function answered(CurlHandle $call, string $what, float $since): void
    {
        $this->took[$what][] = 1000 * (microtime(true) - $since);
        $status = (int) curl_getinfo($call, CURLINFO_RESPONSE_CODE);
        $this->statuses[$status] = ($this->statuses[$status] ?? 0) + 1;
    }
}
