<?php

declare(strict_types=1);

namespace App\Ground\Support;

/** The network of an address, since one person usually has more than one: /24 for IPv4, /64 for IPv6. */
final readonly class Network
{
    /** @return string as "192.0.2.0/24" or "2001:db8:1:2::/64"; what is no address stays as it is */
    public static function of(string $ip): string
    {
        $packed = @inet_pton($ip);
        if ($packed === false) {
            return $ip;
        }
        $bytes = strlen($packed) === 4 ? 3 : 8;
        $first = str_pad(substr($packed, 0, $bytes), strlen($packed), "\0");

        return inet_ntop($first).'/'.$bytes * 8;
    }
}
