<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

/** One object of an open file, read field by field; every complaint carries the field's JSON pointer. */
final readonly class Fields
{
    /** @param array<array-key, mixed> $values */
    public function __construct(
        private array $values,
        public string $where = '',
    ) {}

    public function has(string $field): bool
    {
        return array_key_exists($field, $this->values);
    }

    public function text(string $field): string
    {
        $value = $this->values[$field] ?? null;

        if (! is_string($value)) {
            throw $this->wrong($field, 'a text');
        }

        return preg_match('~[\p{Cc}\x{FFFE}\x{FFFF}]~u', $value) === 0 ? $value : throw BlockNotPossible::unseenCharacter($field, $this->at($field));
    }

    public function hasText(string $field): bool
    {
        return is_string($this->values[$field] ?? null);
    }

    /** A text that is there to be read. */
    public function name(string $field): string
    {
        $name = $this->text($field);

        return preg_match('~[^\s\p{Z}\p{Cf}]~u', $name) === 1 ? $name : throw BlockNotPossible::noName($field, $this->at($field));
    }

    public function count(string $field, ?int $default = null): int
    {
        $value = $this->values[$field] ?? $default;

        return is_int($value) && $value >= 1 ? $value : throw $this->wrong($field, 'a whole number from 1 up');
    }

    public function integer(string $field, int $default): int
    {
        $value = $this->values[$field] ?? $default;

        return is_int($value) ? $value : throw $this->wrong($field, 'a whole number');
    }

    public function flag(string $field): bool
    {
        $value = $this->values[$field] ?? false;

        return is_bool($value) ? $value : throw $this->wrong($field, 'true or false');
    }

    /** @return list<string> names of the fields that are there */
    public function names(): array
    {
        return array_map(strval(...), array_keys($this->values));
    }

    public function object(string $field): self
    {
        $value = $this->values[$field] ?? null;

        return is_array($value) ? new self($value, $this->at($field)) : throw $this->wrong($field, 'an object');
    }

    /** @return non-empty-list<self> */
    public function objects(string $field): array
    {
        $objects = [];
        foreach ($this->items($field) as $i => $item) {
            $objects[] = is_array($item)
                ? new self($item, $this->at($field).'/'.$i)
                : throw $this->wrong($field.'/'.$i, 'an object');
        }

        return $objects;
    }

    /** @return list<self> none where the list is empty */
    public function entries(string $field): array
    {
        return ($this->values[$field] ?? null) === [] ? [] : $this->objects($field);
    }

    /** @return non-empty-list<string> */
    public function texts(string $field): array
    {
        $texts = [];
        foreach ($this->items($field) as $i => $item) {
            $texts[] = is_string($item) ? $item : throw $this->wrong($field.'/'.$i, 'a text');
        }

        return $texts;
    }

    /** @return non-empty-list<list<mixed>> */
    public function lists(string $field): array
    {
        $lists = [];
        foreach ($this->items($field) as $i => $item) {
            $lists[] = is_array($item) ? array_values($item) : throw $this->wrong($field.'/'.$i, 'a list');
        }

        return $lists;
    }

    public function at(string $field): string
    {
        return $this->where.'/'.$field;
    }

    /** @return non-empty-list<mixed> */
    private function items(string $field): array
    {
        $value = $this->values[$field] ?? null;
        if (! is_array($value) || $value === []) {
            throw $this->wrong($field, 'a list with at least one entry');
        }

        return array_values($value);
    }

    private function wrong(string $field, string $expected): BlockNotPossible
    {
        return BlockNotPossible::because(
            sprintf('"%s" at %s must be %s. Correct it and try again.', $field, $this->at($field), $expected),
            $this->at($field),
        );
    }
}
