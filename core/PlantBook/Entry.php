<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use BackedEnum;
use PruningHook\Core\Fault;

/**
 * A typed view of one piece of decoded knowledge, which knows where it stands, so that every fault names its place:
 * `tasks[1].windows[0].opens: "buds" is not an anchor of the year`.
 */
final readonly class Entry
{
    /** @param  array<array-key, mixed>  $data */
    private function __construct(
        private array $data,
        private string $path,
    ) {
    }

    /** @param  array<array-key, mixed>  $data */
    public static function of(array $data, string $path = ''): self
    {
        return new self($data, $path);
    }

    public function has(string $key): bool
    {
        return isset($this->data[$key]);
    }

    /** True where the value is exactly this one. */
    public function is(string $key, mixed $value): bool
    {
        return ($this->data[$key] ?? null) === $value;
    }

    public function isText(string $key): bool
    {
        return is_string($this->data[$key] ?? null);
    }

    /** @throws Fault when missing or not text */
    public function string(string $key, ?string $default = null): string
    {
        $value = $this->data[$key] ?? $default;

        return is_string($value) ? $value : throw $this->fault($key, 'text is needed here');
    }

    /**
     * One of a set of named values.
     *
     * @template T of BackedEnum
     *
     * @param  class-string<T>  $of
     * @param  ?T  $default  where nothing is said
     * @return T
     *
     * @throws Fault when missing or none of them
     */
    public function one(string $key, string $of, ?BackedEnum $default = null): BackedEnum
    {
        if ($default !== null && ! $this->has($key)) {
            return $default;
        }
        $value = $this->string($key);

        return $of::tryFrom($value) ?? throw $this->fault($key, sprintf(
            '"%s" is none of %s', $value, implode(', ', array_column($of::cases(), 'value')),
        ));
    }

    /** @throws Fault when there and not a whole number */
    public function int(string $key): ?int
    {
        $value = $this->data[$key] ?? null;

        return $value === null || is_int($value) ? $value : throw $this->fault($key, 'a whole number is needed here');
    }

    /** @throws Fault when missing, not a whole number, or below the least */
    public function whole(string $key, int $least = PHP_INT_MIN): int
    {
        $value = $this->int($key) ?? throw $this->fault($key, 'a whole number is needed here');

        return $value >= $least ? $value : throw $this->fault($key, sprintf('at least %d is needed here', $least));
    }

    /** @throws Fault when missing or not a number */
    public function number(string $key, int|float|null $default = null): int|float
    {
        $value = $this->data[$key] ?? $default;

        return is_int($value) || is_float($value) ? $value : throw $this->fault($key, 'a number is needed here');
    }

    /** @throws Fault when there and not yes or no */
    public function bool(string $key, bool $default): bool
    {
        $value = $this->data[$key] ?? $default;

        return is_bool($value) ? $value : throw $this->fault($key, 'true or false is needed here');
    }

    /**
     * One text, or a list of them.
     *
     * @return list<string>
     *
     * @throws Fault when something in it is not text
     */
    public function strings(string $key): array
    {
        $strings = [];
        foreach ((array) ($this->data[$key] ?? []) as $value) {
            $strings[] = is_string($value) ? $value : throw $this->fault($key, 'text is needed here');
        }

        return $strings;
    }

    /**
     * @return list<int|float>
     *
     * @throws Fault when something in it is no number
     */
    public function numbers(string $key): array
    {
        $numbers = [];
        foreach ((array) ($this->data[$key] ?? []) as $value) {
            $numbers[] = is_int($value) || is_float($value)
                ? $value
                : throw $this->fault($key, 'numbers are needed here');
        }

        return $numbers;
    }

    /** @throws Fault when there and not a set of named values */
    public function entry(string $key): self
    {
        $value = $this->data[$key] ?? [];

        return is_array($value)
            ? new self($value, $this->at($key))
            : throw $this->fault($key, 'named values are needed here');
    }

    /**
     * @return list<self>
     *
     * @throws Fault when there and not a list of named values
     */
    public function entries(string $key): array
    {
        $entries = [];
        foreach ((array) ($this->data[$key] ?? []) as $index => $value) {
            $entries[] = is_array($value)
                ? new self($value, $this->at($key)."[$index]")
                : throw $this->fault($key, 'a list of named values is needed here');
        }

        return $entries;
    }

    /**
     * All of it as named texts.
     *
     * @return array<string, string>
     *
     * @throws Fault when one is not text
     */
    public function texts(): array
    {
        $texts = [];
        foreach ($this->keys() as $key) {
            $texts[$key] = $this->string($key);
        }

        return $texts;
    }

    /** @return list<string> */
    public function keys(): array
    {
        return array_map(strval(...), array_keys($this->data));
    }

    /**
     * Reads a value with a parser whose own fault then carries this place.
     *
     * @template T
     *
     * @param  callable(string): T  $parse
     * @return T
     *
     * @throws Fault
     */
    public function parsed(string $key, callable $parse): mixed
    {
        $text = $this->string($key);
        try {
            return $parse($text);
        } catch (Fault $fault) {
            throw $this->fault($key, $fault->getMessage());
        }
    }

    public function fault(string $key, string $message): Fault
    {
        return new Fault($this->at($key).': '.$message);
    }

    private function at(string $key): string
    {
        return $this->path === '' ? $key : $this->path.'.'.$key;
    }
}
