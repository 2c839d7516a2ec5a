<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

/** How a unit lies in its cell: flipped left to right or not, then turned. */
final readonly class Placement
{
    public function __construct(
        public Turn $turn = Turn::None,
        public bool $mirrored = false,
    ) {}

    /** What puts a unit back that was placed like this. */
    public function inverse(): self
    {
        return $this->mirrored ? $this : new self(Turn::ofQuarters(-$this->turn->quarters()));
    }

    /** How something lies on the face that lies like $inner inside a unit that lies like this. */
    public function around(self $inner): self
    {
        $quarters = $this->mirrored ? -$inner->turn->quarters() : $inner->turn->quarters();

        return new self(Turn::ofQuarters($this->turn->quarters() + $quarters), $this->mirrored !== $inner->mirrored);
    }
}
