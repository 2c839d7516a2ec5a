<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

/** The quilter's own word on how a whole join is pressed. */
final readonly class Lock
{
    public function __construct(
        public int $join,
        public PressDirection $direction,
    ) {}

    /**
     * Reads "12:left".
     *
     * @throws LockNotPossible
     */
    public static function parse(string $text): self
    {
        $known = preg_match('~^(\d{1,6}):(left|right|open)$~D', $text, $part) === 1;

        return $known
            ? new self((int) $part[1], PressDirection::from($part[2]))
            : throw LockNotPossible::notReadable($text);
    }

    public function toText(): string
    {
        return $this->join.':'.$this->direction->value;
    }
}
