<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Measure\Fraction;

/**
 * Pieces of one fabric laid out in strips across its width: every strip as high as its highest piece, cut selvage to
 * selvage, then cut into pieces. The total height of the strips is the length of fabric it takes.
 *
 * Small lists are packed as short as strips allow; for longer ones the length is told with the least it could be.
 */
final readonly class Packing
{
    /** Places looked at before the best layout so far has to do. */
    private const PATIENCE = 60_000;

    /**
     * @param list<array{height: Fraction, pieces: list<array{cut: Cut, width: Fraction, height: Fraction}>}> $strips
     * @param Fraction                                                                                        $length of fabric
     * @param Fraction                                                                                        $bound  no layout in strips is shorter
     */
    private function __construct(
        public Fraction $width,
        public array $strips,
        public Fraction $length,
        public Fraction $bound,
    ) {}

    /** @param non-empty-list<Cut> $cuts none longer than the width */
    public static function of(array $cuts, Fraction $width): self
    {
        $scale = $width->denominator;
        $items = [];
        foreach ($cuts as $cut) {
            $scale = Fraction::leastCommonMultiple($scale, Fraction::leastCommonMultiple($cut->width->denominator, $cut->height->denominator));
        }
        $whole = static fn (Fraction $size): int => $size->numerator * intdiv($scale, $size->denominator);
        foreach ($cuts as $cut) {
            // The longer side lies along the strip, so that strips stay low.
            [$long, $short] = [max($whole($cut->width), $whole($cut->height)), min($whole($cut->width), $whole($cut->height))];
            for ($i = 0; $i < $cut->count; ++$i) {
                $items[] = [$short, $long, $cut];
            }
        }
        usort($items, static fn (array $a, array $b): int => [$b[0], $b[1]] <=> [$a[0], $a[1]]);
        $sizes = array_map(static fn (array $item): array => [$item[0], $item[1]], $items);
        $best = self::firstFit($sizes, $whole($width));
        $search = new Internal\StripSearch($sizes, $whole($width), self::PATIENCE);
        $best = $search->shorterThan($best);
        $strips = [];
        foreach ($best as $item => $strip) {
            [$short, $long, $cut] = $items[$item];
            $strips[$strip]['height'] ??= Fraction::of($short, $scale);
            $strips[$strip]['pieces'][] = ['cut' => $cut, 'width' => Fraction::of($long, $scale), 'height' => Fraction::of($short, $scale)];
        }
        $length = array_reduce($strips, static fn (Fraction $sum, array $strip): Fraction => $sum->plus($strip['height']), Fraction::zero());

        return new self($width, array_values($strips), $length, $search->isDone ? $length : Fraction::of($search->leastHeight(), $scale));
    }

    public function isProved(): bool
    {
        return $this->length->equals($this->bound);
    }

    /**
     * Each piece into the first strip that has room, the highest pieces first.
     *
     * @param list<array{int, int}> $sizes height and width
     *
     * @return array<int, int> strip by item
     */
    private static function firstFit(array $sizes, int $width): array
    {
        $free = $strips = [];
        foreach ($sizes as $item => [, $long]) {
            foreach ($free as $strip => $room) {
                if ($room >= $long) {
                    $strips[$item] = $strip;
                    $free[$strip] -= $long;
                    continue 2;
                }
            }
            $strips[$item] = count($free);
            $free[] = $width - $long;
        }

        return $strips;
    }
}
