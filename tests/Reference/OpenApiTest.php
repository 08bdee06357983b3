<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\TestCase;

/** The API's description against the OpenAPI 3.1 schema, by the npm package @seriousme/openapi-schema-validator. */
final class OpenApiTest extends TestCase
{
    public function test_it_is_valid_openapi_3_1(): void
    {
        /** @var array{info: array<string, mixed>} $document */
        $document = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/public/openapi.json'), true);
        unset($document['info']['title']);
        self::assertSame([
            ['valid' => true, 'version' => '3.1'], ['valid' => false, 'version' => '3.1'],
        ], Node::run('import { Validator } from "@seriousme/openapi-schema-validator";
            import { readFileSync } from "node:fs";
            const answers = [];
            for (const document of [JSON.parse(readFileSync("public/openapi.json", "utf8")),
                JSON.parse(readFileSync(0, "utf8"))]) {
                const validator = new Validator();
                const { valid } = await validator.validate(document);
                answers.push({ valid, version: validator.version });
            }
            console.log(JSON.stringify(answers));', $document));
    }
}
