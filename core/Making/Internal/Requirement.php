<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Internal;

use KeenSeam\Core\Making\CutShape;
use KeenSeam\Core\Making\PatternLine;
use KeenSeam\Core\Making\Piece;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;

/**
 * Pieces that one way to make a unit needs, to be found on a pattern's list.
 *
 * @internal
 */
final readonly class Requirement
{
    /** A pattern cuts no piece larger by more: 1 in. Common practice, no published source. */
    private const MOST_MORE = [1, 1];

    /** How well a line fits: the lower, the better. */
    private const EXACT = 0;

    private const PROPOSED = 1;

    private const OTHER = 2;

    /** @param int $count of pieces, once all are cut further */
    public function __construct(
        public Piece $piece,
        public int $count,
        public string $for,
        private int $marks,
        private LengthUnit $unit,
    ) {}

    /** Quarters of a whole piece that each takes: triangles of several units may come from one square. */
    public function quarters(): int
    {
        return intdiv(4, $this->piece->then->pieces());
    }

    /** @return int|null null where the line is another piece */
    public function fit(PatternLine $line): ?int
    {
        if ($line->width === null || $line->height === null || ($line->then !== null && $line->then !== $this->piece->then)) {
            return null;
        }
        [$width, $height] = self::sorted($this->piece->exact($this->marks));
        if ($this->piece->shape === CutShape::Strip) {
            return $line->height->equals($height) && $line->width->compareTo($width) >= 0 ? self::EXACT : null;
        }
        if ($line->width->equals($width) && $line->height->equals($height)) {
            return self::EXACT;
        }
        [$largerWidth, $largerHeight] = self::sorted($this->piece->larger($this->marks));
        if ($line->width->equals($largerWidth) && $line->height->equals($largerHeight)) {
            return self::PROPOSED;
        }
        $most = Length::ofInches(...self::MOST_MORE)->in($this->unit);
        $isMore = fn (Fraction $given, Fraction $needed): bool => $given->compareTo($needed) >= 0 && $given->minus($needed)->compareTo($most) <= 0;
        // A finer ruler may cut it a little nearer than ours.
        [$long, $short] = $this->piece->width->toFloat() >= $this->piece->height->toFloat() ? [$this->piece->width, $this->piece->height] : [$this->piece->height, $this->piece->width];
        $isTrue = $long->compareTo($line->width) <= 0 && $short->compareTo($line->height) <= 0 && $line->width->compareTo($width) <= 0 && $line->height->compareTo($height) <= 0;

        return match (true) {
            $isTrue => self::EXACT,
            $isMore($line->width, $width) && $isMore($line->height, $height) => self::OTHER,
            default => null,
        };
    }

    /** Larger than exact by no margin that is offered: it may as well be another piece. */
    public static function isGuess(int $fit): bool
    {
        return $fit === self::OTHER;
    }

    public static function isExact(int $fit): bool
    {
        return $fit === self::EXACT;
    }

    /** Whether the line is near this piece, and too small for it. */
    public function isTooLargeFor(PatternLine $line): bool
    {
        if ($line->width === null || $line->height === null) {
            return false;
        }
        [$width, $height] = self::sorted($this->piece->exact($this->marks));
        $most = Length::ofInches(...self::MOST_MORE)->in($this->unit);
        $isNear = static fn (Fraction $given, Fraction $needed): bool => $given->minus($needed)->absolute()->compareTo($most) <= 0;

        return $isNear($line->width, $width) && $isNear($line->height, $height) && ($line->width->compareTo($width) < 0 || $line->height->compareTo($height) < 0);
    }

    /** @return array{Fraction, Fraction} */
    public function size(): array
    {
        return $this->piece->exact($this->marks);
    }

    /**
     * @param array{Fraction, Fraction} $sides
     *
     * @return array{Fraction, Fraction} the longer one first
     */
    private static function sorted(array $sides): array
    {
        return $sides[0]->compareTo($sides[1]) >= 0 ? $sides : [$sides[1], $sides[0]];
    }
}
