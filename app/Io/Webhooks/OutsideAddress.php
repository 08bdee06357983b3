<?php

declare(strict_types=1);

namespace App\Io\Webhooks;

/**
 * Where a webhook leads: over HTTPS to a public address. Otherwise anybody who may add one could have this server call
 * machines that only it can reach. Whoever runs the server can name exceptions (`HOOK_WEBHOOK_HOSTS`).
 */
final readonly class OutsideAddress
{
    private const PORTS = ['https' => 443, 'http' => 80];

    private function __construct(private string $host, private int $port, private string $ip)
    {
    }

    /** @throws NotDelivered where it leads nowhere, or into our own network */
    public static function of(string $url): self
    {
        $wrong = self::wrong($url);
        if ($wrong !== null) {
            throw new NotDelivered($wrong);
        }
        $parts = (array) parse_url($url);
        $host = trim((string) ($parts['host'] ?? ''), '[]');
        $ips = self::ips($host);
        if ($ips === []) {
            throw new NotDelivered('Its host name could not be found.');
        }
        foreach ($ips as $ip) {
            if (! self::isAllowed($host) && filter_var($ip, FILTER_VALIDATE_IP, FILTER_FLAG_GLOBAL_RANGE) === false) {
                throw new NotDelivered('It is not on the public internet.');
            }
        }

        return new self($host, (int) ($parts['port'] ?? self::PORTS[(string) ($parts['scheme'] ?? '')]), $ips[0]);
    }

    /** What is wrong with it to look at, before anybody asks where its name leads; null where nothing is. */
    public static function wrong(string $url): ?string
    {
        $parts = parse_url($url);
        if (! is_array($parts) || ! isset($parts['scheme'], $parts['host']) || filter_var($url, FILTER_VALIDATE_URL)
            === false) {
            return 'Enter a whole address, beginning with https://.';
        }

        return match (true) {
            isset($parts['user']) || isset($parts['pass']) => 'Leave the user name and password out of the address.',
            $parts['scheme'] === 'https' => null,
            $parts['scheme'] === 'http' && self::isAllowed($parts['host']) => null,
            default => 'The address must begin with https://.',
        };
    }

    /** As curl takes it: host, port and address. */
    public function pinned(): string
    {
        return "$this->host:$this->port:".(str_contains($this->ip, ':') ? "[$this->ip]" : $this->ip);
    }

    private static function isAllowed(string $host): bool
    {
        $allowed = config('hook.webhook_hosts');

        return in_array($host, array_map(trim(...), explode(',', is_string($allowed) ? $allowed : '')), true);
    }

    /** @return list<string> */
    private static function ips(string $host): array
    {
        if (filter_var($host, FILTER_VALIDATE_IP) !== false) {
            return [$host];
        }
        $four = @gethostbynamel($host) ?: [];
        $six = $four === [] ? array_column(@dns_get_record($host, DNS_AAAA) ?: [], 'ipv6') : [];

        return array_values(array_filter([...$four, ...$six], is_string(...)));
    }
}
