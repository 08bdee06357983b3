<?php

declare(strict_types=1);

namespace App\Ground\Upkeep;

use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use RuntimeException;

/**
 * Every package that is part of an installation, or that it was built or tested with, as a CycloneDX 1.6 document
 * (ECMA-424): what to look up when a flaw becomes known.
 *
 * @phpstan-type Component array{type: string, name: string, version: string, purl: string, 'bom-ref': string,
 *     scope: string, group?: string, licenses?: list<array<string, mixed>>, hashes?: list<array<string, string>>}
 */
final readonly class BillOfMaterials
{
    public function __construct(private string $root)
    {
    }

    /**
     * @return array<string, mixed>
     *
     * @throws RuntimeException where packages are not installed
     */
    public function document(): array
    {
        $components = [...$this->composer(), ...$this->npm()];
        usort($components, static fn (array $a, array $b): int => strcmp($a['purl'], $b['purl']));

        return [
            '$schema' => 'http://cyclonedx.org/schema/bom-1.6.schema.json',
            'bomFormat' => 'CycloneDX',
            'specVersion' => '1.6',
            'serialNumber' => 'urn:uuid:'.Str::uuid(),
            'version' => 1,
            'metadata' => [
                'timestamp' => Carbon::now()->toIso8601ZuluString(),
                'component' => [
                    'type' => 'application', 'bom-ref' => 'pruning-hook', 'name' => 'Pruning Hook',
                    'licenses' => self::licences(['MIT']),
                ],
            ],
            'components' => $components,
        ];
    }

    /** @return list<Component> */
    private function composer(): array
    {
        $installed = $this->read('vendor/composer/installed.json');
        $dev = array_flip(array_filter((array) ($installed['dev-package-names'] ?? []), is_string(...)));
        $components = [];
        foreach ((array) ($installed['packages'] ?? []) as $package) {
            if (! is_array($package) || ! is_string($package['name'] ?? null)) {
                continue;
            }
            $version = is_string($package['version'] ?? null) ? ltrim($package['version'], 'v') : '';
            $licences = (array) ($package['license'] ?? []);
            $components[] = self::component(
                "pkg:composer/$package[name]@".rawurlencode($version), $package['name'], $version,
                isset($dev[$package['name']]), array_values(array_filter($licences, is_string(...))),
            );
        }

        return $components;
    }

    /** @return list<Component> */
    private function npm(): array
    {
        $components = [];
        foreach ((array) ($this->read('package-lock.json')['packages'] ?? []) as $path => $package) {
            $at = strrpos((string) $path, 'node_modules/');
            if ($at === false || ! is_array($package) || ! is_string($package['version'] ?? null)) {
                continue;
            }
            $name = substr((string) $path, $at + strlen('node_modules/'));
            $component = self::component(
                'pkg:npm/'.str_replace('@', '%40', $name).'@'.rawurlencode($package['version']), $name,
                $package['version'], ($package['dev'] ?? false) === true,
                is_string($package['license'] ?? null) ? [$package['license']] : [],
            );
            if (preg_match('~^sha512-([\w+/=]+)~', (string) ($package['integrity'] ?? ''), $digest) === 1) {
                $component['hashes'] = [
                    ['alg' => 'SHA-512', 'content' => bin2hex((string) base64_decode($digest[1], true))],
                ];
            }
            $components[$component['purl']] = $component;
        }

        return array_values($components);
    }

    /**
     * @param  list<string>  $licences  SPDX expressions
     * @return Component
     */
    private static function component(string $purl, string $name, string $version, bool $dev, array $licences): array
    {
        $parts = explode('/', $name, 2);

        return [
            'type' => 'library', 'bom-ref' => $purl,
            ...(isset($parts[1]) ? ['group' => $parts[0], 'name' => $parts[1]] : ['name' => $name]),
            'version' => $version, 'purl' => $purl,
            // What only builds and tests is on no server.
            'scope' => $dev ? 'excluded' : 'required',
            ...($licences === [] ? [] : ['licenses' => self::licences($licences)]),
        ];
    }

    /**
     * @param  non-empty-list<string>  $licences  of which any may be chosen
     * @return list<array{expression: string}>
     */
    private static function licences(array $licences): array
    {
        return [['expression' => implode(' OR ', $licences)]];
    }

    /** @return array<array-key, mixed> */
    private function read(string $file): array
    {
        $text = @file_get_contents("$this->root/$file");
        $read = $text === false ? null : json_decode($text, true);

        return is_array($read)
            ? $read
            : throw new RuntimeException("$file cannot be read: are the packages installed?");
    }
}
