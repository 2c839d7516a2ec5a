<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

/** What is done with a piece right after it is cut. */
enum Then: string
{
    case None = 'none';
    case Once = 'cut once corner to corner';
    case Twice = 'cut twice corner to corner';

    /** Which sides of the pieces end on the bias, and stretch. */
    public function biasWords(): string
    {
        return match ($this) {
            self::None => '',
            self::Once => 'the long side is bias',
            self::Twice => 'the short sides are bias',
        };
    }

    /** How many whole ones so many pieces are cut from. */
    public function wholes(int $pieces): int
    {
        return intdiv($pieces + $this->pieces() - 1, $this->pieces());
    }

    /** How many pieces it becomes. */
    public function pieces(): int
    {
        return match ($this) {
            self::None => 1,
            self::Once => 2,
            self::Twice => 4,
        };
    }
}
