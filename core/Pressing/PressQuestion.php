<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

/** How a quilter wants a block pressed. */
final readonly class PressQuestion
{
    /** More plies than this are a lump, where style mixed opens seams. */
    public const LUMP = 10;

    /** @var list<int> ids of joins that are decided stretch by stretch, whatever the style */
    public array $stretched;

    /**
     * @param list<Lock> $locks
     * @param list<int>  $twoPiles  indexes of unit classes that may be pressed in two piles
     * @param list<int>  $stretched besides those that a lock decides so
     */
    public function __construct(
        public PressStyle $style,
        public array $locks = [],
        public int $lump = self::LUMP,
        public array $twoPiles = [],
        public EqualParts $equalParts = EqualParts::Apart,
        array $stretched = [],
    ) {
        foreach ($locks as $lock) {
            if ($lock->furls()) {
                $stretched[] = $lock->join;
            }
        }
        $stretched = array_unique($stretched);
        sort($stretched);
        $this->stretched = $stretched;
    }

    /** Whether some join may change sides on its way. */
    public function allowsFurls(): bool
    {
        return $this->style->allowsFurls() || $this->stretched !== [];
    }

    /** The same with everything free; what was decided by stretches still is. */

    public function withoutLocks(): self
    {
        return new self($this->style, [], $this->lump, $this->twoPiles, $this->equalParts, $this->stretched);
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
            $this->stretched === [] ? '' : 'stretched '.implode(',', $this->stretched),
            ...array_map(static fn (Lock $lock): string => $lock->toText(), $this->locks),
        ]);
    }
}
