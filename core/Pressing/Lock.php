<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\JoinNotKnown;

/** The quilter's own word on how a join is pressed: one way over all of it, or a way for each of its stretches. */
final readonly class Lock
{
    /** @var non-empty-list<PressDirection> one for the whole join, or one a segment from its start to its end */
    public array $directions;

    public function __construct(
        public int $join,
        PressDirection $direction,
        PressDirection ...$further,
    ) {
        $all = [$direction, ...array_values($further)];
        // One way all along is the whole join's way, however often it was said.
        $this->directions = array_filter($further, static fn (PressDirection $one): bool => $one !== $direction) === [] ? [$direction] : $all;
    }

    /**
     * Reads "12:left", or "12:left,right,right" by segment.
     *
     * @throws LockNotPossible
     */
    public static function parse(string $text): self
    {
        if (preg_match('~^(\d{1,6}):((?:left|right|open)(?:,(?:left|right|open))*)$~D', $text, $part) !== 1) {
            throw LockNotPossible::notReadable($text);
        }

        return new self((int) $part[1], ...array_map(PressDirection::from(...), explode(',', $part[2])));
    }

    public function toText(): string
    {
        return $this->join.':'.implode(',', array_map(static fn (PressDirection $direction): string => $direction->value, $this->directions));
    }

    /** The way of one segment. */
    public function at(int $segment): PressDirection
    {
        return $this->directions[count($this->directions) === 1 ? 0 : $segment];
    }

    /** Whether the join is to change sides on its way. */
    public function furls(): bool
    {
        return count($this->directions) > 1;
    }

    /**
     * @throws JoinNotKnown
     * @throws LockNotPossible when the join has other stretches than the lock, or would be open along a part of it only
     */
    public function joinIn(Construction $construction): Join
    {
        JoinNotKnown::unlessIn($construction, $this->join);
        $join = $construction->joins[$this->join];
        if ($this->furls() && count($this->directions) !== $join->segmentCount()) {
            throw LockNotPossible::otherSegments($this, $join->segmentCount());
        }
        if ($this->furls() && in_array(PressDirection::Open, $this->directions, true)) {
            throw LockNotPossible::partlyOpen($this->join);
        }

        return $join;
    }
}
