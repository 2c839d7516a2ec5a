<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

/** Two parts that a quilter sews to each other: pairs of pairs, down to cells like "1,2" or their patches like "1,2#3". */
final readonly class OwnPair
{
    private const DEEPEST = 4096;

    private function __construct(
        public self|string $first,
        public self|string $second,
    ) {}

    /**
     * @param mixed $given nested lists of two, down to texts
     *
     * @throws OrderNotPossible
     */
    public static function read(mixed $given, int $depth = 0): self|string
    {
        if (is_string($given)) {
            return preg_match('~^[1-9]\d{0,3},[1-9]\d{0,3}(#[1-9]\d{0,4})?$~D', $given) === 1 ? $given : throw OrderNotPossible::noPlace($given);
        }
        if (! is_array($given) || ! array_is_list($given) || count($given) !== 2 || $depth > self::DEEPEST) {
            throw OrderNotPossible::noPair();
        }

        return new self(self::read($given[0], $depth + 1), self::read($given[1], $depth + 1));
    }

    public static function of(self|string $first, self|string $second): self
    {
        return new self($first, $second);
    }

    /** @return list<string> the cells and patches of a part, as they are told */
    public static function leaves(self|string $part): array
    {
        return is_string($part) ? [$part] : [...self::leaves($part->first), ...self::leaves($part->second)];
    }

    /** @return array{mixed, mixed} what read() reads as the same */
    public function toArray(): array
    {
        return array_map(static fn (self|string $part): array|string => is_string($part) ? $part : $part->toArray(), [$this->first, $this->second]);
    }
}
