<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

/** Quarter turns clockwise, as seen on the face. */
enum Turn: int
{
    case None = 0;
    case Quarter = 90;
    case Half = 180;
    case ThreeQuarters = 270;

    /** All there are, in quarters. */
    public const QUARTERS = [0, 1, 2, 3];

    public static function ofQuarters(int $quarters): self
    {
        return self::from((($quarters % 4) + 4) % 4 * 90);
    }

    public function quarters(): int
    {
        return intdiv($this->value, 90);
    }

    /** Whether width and height change places. */
    public function swapsSides(): bool
    {
        return $this === self::Quarter || $this === self::ThreeQuarters;
    }
}
