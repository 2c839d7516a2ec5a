<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

/** How a quilter wants a block pressed. */
final readonly class PressQuestion
{
    /** More plies than this are a lump, where style mixed opens seams. */
    public const LUMP = 10;

    /**
     * @param list<Lock> $locks
     * @param list<int>  $twoPiles indexes of unit classes that may be pressed in two piles
     */
    public function __construct(
        public PressStyle $style,
        public array $locks = [],
        public int $lump = self::LUMP,
        public array $twoPiles = [],
        public EqualParts $equalParts = EqualParts::Apart,
    ) {}

    public function withoutLocks(): self
    {
        return $this->withLocks([]);
    }

    /** @param list<Lock> $locks */
    public function withLocks(array $locks): self
    {
        return new self($this->style, $locks, $this->lump, $this->twoPiles, $this->equalParts);
    }

    public function withTwoPiles(int $unitClass): self
    {
        return new self($this->style, $this->locks, $this->lump, [...$this->twoPiles, $unitClass], $this->equalParts);
    }

    /** The same for equal questions. */
    public function name(): string
    {
        return implode(' ', [
            $this->style->value,
            $this->style->goesByTheLump() ? $this->lump : '',
            'piles '.implode(',', $this->twoPiles),
            $this->equalParts->value,
            ...array_map(static fn (Lock $lock): string => $lock->toText(), $this->locks),
        ]);
    }
}
