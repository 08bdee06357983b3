<?php

declare(strict_types=1);

namespace App\Ground\Bridge;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;
use RuntimeException;

/** Holds data against a JSON Schema of the project and says, for each fault, where it is and what is wrong. */
final readonly class JsonSchema
{
    /** Beyond it not every whole number can be told from the next: 2^53. */
    private const EXACT = 9_007_199_254_740_992;

    private function __construct(private string $schema)
    {
    }

    /** @throws RuntimeException when the file cannot be read */
    public static function fromFile(string $path): self
    {
        $schema = is_file($path) ? file_get_contents($path) : false;

        return $schema === false ? throw new RuntimeException("no schema at $path") : new self($schema);
    }

    /**
     * JSON as it is once it has passed.
     *
     * @return array<string, mixed>
     *
     * @throws InputFaults with one line for each fault
     */
    public function read(string $json): array
    {
        $data = json_decode($json);
        $faults =
            json_last_error() === JSON_ERROR_NONE ? $this->faults($data) : ['$: is not JSON: '.json_last_error_msg()];
        [$read, $large] = self::whole($faults === [] ? json_decode($json, true) : null);
        if ([...$faults, ...$large] !== []) {
            throw new InputFaults([...$faults, ...$large]);
        }

        /** @var array<string, mixed> */
        return (array) $read;
    }

    /**
     * The same with whole numbers as whole numbers: 1.0 is one in JSON, and none in PHP. What is too large to be
     * exact is a fault.
     *
     * @return array{mixed, list<string>}
     */
    private static function whole(mixed $data, string $path = '$'): array
    {
        $faults = [];
        if (is_array($data)) {
            foreach ($data as $key => $value) {
                [$data[$key], $more] = self::whole($value, $path.(is_int($key) ? "[$key]" : ".$key"));
                $faults = [...$faults, ...$more];
            }
        } elseif ((is_float($data) || is_int($data)) && abs($data) > self::EXACT) {
            $faults[] = "$path: no number as large as that can be meant";
        } elseif (is_float($data) && floor($data) === $data) {
            $data = (int) $data;
        }

        return [$data, $faults];
    }

    /** @return list<string> one line a fault, beginning with its JSON path; empty where all is well */
    public function faults(mixed $data): array
    {
        $validator = new Validator;
        $validator->setMaxErrors(200);
        $validator->setStopAtFirstError(false);
        $error = $validator->validate($data, $this->schema)->error();
        if ($error === null) {
            return [];
        }

        return array_values(array_unique(self::say($error)));
    }

    /** @param  list<int|string>  $path */
    public static function path(array $path): string
    {
        return '$'.implode('', array_map(
            static fn (int|string $step): string => is_int($step) ? "[$step]" : '.'.$step,
            $path,
        ));
    }

    /** @return list<string> */
    private static function say(ValidationError $error): array
    {
        if ($error->subErrors() !== []) {
            return array_merge(...array_map(self::say(...), array_values($error->subErrors())));
        }
        /** @var list<int|string> $at */
        $at = $error->data()->fullPath();
        $args = $error->args();
        $lines = static fn (array $names, string $what): array => array_map(
            static fn (string $name): string => self::path([...$at, $name]).': '.$what,
            array_values(array_filter($names, is_string(...))),
        );
        $here = static fn (string $what): array => [self::path($at).': '.$what];
        $arg = static fn (string $name): string => self::kind($args[$name] ?? '');

        return match ($error->keyword()) {
            'required' => $lines((array) ($args['missing'] ?? []), 'is missing'),
            'additionalProperties' => $lines(self::strangers($error), 'no such field is known here'),
            'type' => $here(
                sprintf('is %s, but must be %s', $arg('type'), $arg('expected')),
            ),
            'enum' => $here('is not one of the values allowed here'),
            'minimum' => $here(sprintf('must be at least %s', $arg('min'))),
            'maximum' => $here(sprintf('must be at most %s', $arg('max'))),
            'minLength' => $here('must not be empty'),
            default => $here((new ErrorFormatter)->formatErrorMessage($error)),
        };
    }

    /**
     * The fields the schema does not name. The validator's own list also holds those it did not get round to.
     *
     * @return list<string>
     */
    private static function strangers(ValidationError $error): array
    {
        $schema = $error->schema()->info()->data();
        $known = is_object($schema) && isset($schema->properties) ? array_keys((array) $schema->properties) : [];

        return array_values(
            array_diff(array_filter((array) ($error->args()['properties'] ?? []), is_string(...)), $known),
        );
    }

    private static function kind(mixed $type): string
    {
        return is_array($type)
            ? implode(' or ', array_map(self::kind(...), $type))
            : str_replace('number (integer)', 'integer', is_scalar($type) ? (string) $type : '');
    }
}
