<?php

declare(strict_types=1);

namespace Tests\Reference;

use App\Ground\Upkeep\BillOfMaterials;
use Composer\InstalledVersions;
use PHPUnit\Framework\TestCase;

/** The bill of materials against the CycloneDX 1.6 schema, by the npm package @cyclonedx/cyclonedx-library. */
final class BillOfMaterialsTest extends TestCase
{
    public function test_it_is_valid_and_names_every_package(): void
    {
        $root = dirname(__DIR__, 2);
        $document = (new BillOfMaterials($root))->document();
        self::assertNull(Node::run('import { Spec, Validation } from "@cyclonedx/cyclonedx-library";
            import { readFileSync } from "node:fs";
            const validator = new Validation.JsonStrictValidator(Spec.Version.v1dot6);
            console.log(JSON.stringify(await validator.validate(readFileSync(0, "utf8"))));', $document));
        $scopes = array_column((array) $document['components'], 'scope', 'purl');
        self::assertCount(count((array) $document['components']), $scopes, 'each is named once');
        // Composer itself says what is installed; what is replaced or provided has no version of its own.
        foreach (InstalledVersions::getInstalledPackages() as $name) {
            $version = InstalledVersions::getPrettyVersion($name);
            if ($version !== null && $name !== 'pruning-hook/pruning-hook') {
                self::assertArrayHasKey(
                    "pkg:composer/$name@".rawurlencode(ltrim($version, 'v')), $scopes,
                );
            }
        }
        foreach (['pkg:composer/laravel/sanctum' => 'required', 'pkg:composer/phpunit/phpunit' => 'excluded',
            'pkg:npm/bootstrap' => 'required', 'pkg:npm/%40playwright/test' => 'excluded'] as $purl => $scope) {
            $found = array_filter(
                $scopes, static fn (string $each): bool => str_starts_with($each, "$purl@"), ARRAY_FILTER_USE_KEY,
            );
            self::assertSame([$scope], array_values($found), $purl);
        }
    }
}
