<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Surd;

/**
 * Strips sewn to each other lengthwise, and how many pieces are cut across them. Sets that are each other turned round are
 * one set; of a long list as many sets are sewn as the fabric's width asks for.
 */
final readonly class StripSet
{
    /**
     * @param list<string>                             $fabrics side by side
     * @param list<Fraction>                           $widths  as cut, in the block's unit
     * @param list<array{width: Fraction, count: int}> $cuts    across it, as cut; the widest first
     */
    private function __construct(
        public string $key,
        public array $fabrics,
        public array $widths,
        public array $cuts,
        private Bench $bench,
    ) {}

    /**
     * @param non-empty-list<string>   $fabrics
     * @param non-empty-list<Fraction> $finished widths
     */
    public static function of(array $fabrics, array $finished, Bench $bench): self
    {
        $cut = array_map(static fn (Fraction $width): Fraction => Surd::of($width)->plus($bench->sizes->straight)->raisedTo($bench->marks), $finished);
        $text = static fn (array $keys, array $widths): string => implode(' ', array_map(static fn (string $key, Fraction $width): string => $key.':'.$width->toText(), $keys, $widths));
        [$one, $other] = [$text($fabrics, $cut), $text(array_reverse($fabrics), array_reverse($cut))];

        return new self(min($one, $other), $one <= $other ? $fabrics : array_reverse($fabrics), $one <= $other ? $cut : array_reverse($cut), [], $bench);
    }

    /** @param Fraction $finished width of the pieces */
    public function withCuts(Fraction $finished, int $count): self
    {
        $width = Surd::of($finished)->plus($this->bench->sizes->straight)->raisedTo($this->bench->marks);
        $cuts = $this->cuts;
        foreach ($cuts as $i => $cut) {
            if ($cut['width']->equals($width)) {
                $cuts[$i]['count'] += $count;

                return new self($this->key, $this->fabrics, $this->widths, $cuts, $this->bench);
            }
        }
        $cuts[] = ['width' => $width, 'count' => $count];
        usort($cuts, static fn (array $a, array $b): int => $b['width']->compareTo($a['width']));

        return new self($this->key, $this->fabrics, $this->widths, $cuts, $this->bench);
    }

    /** How many sets are sewn: pieces are laid along each, the widest first, until it is full. */
    public function sets(): int
    {
        return count($this->filled($this->bench->usableWidth));
    }

    /** Length of every strip: the shortest on which so many sets have room for all pieces. */
    public function length(): Fraction
    {
        $sets = $this->sets();
        $length = array_reduce($this->cuts, static fn (Fraction $sum, array $cut): Fraction => $sum->plus($cut['width']->times(Fraction::of($cut['count']))), Fraction::zero());
        if ($sets <= 1) {
            return $length;
        }
        $marks = Fraction::of(1, $this->bench->marks);
        $shortest = Surd::of($length->times(Fraction::of(1, $sets)))->raisedTo($this->bench->marks);
        while ($shortest->compareTo($this->bench->usableWidth) < 0 && count($this->filled($shortest)) > $sets) {
            $shortest = $shortest->plus($marks);
        }

        return $shortest;
    }

    /** @return list<Piece> the strips, one for every fabric and width */
    public function pieces(): array
    {
        [$sets, $length] = [$this->sets(), $this->length()];

        return array_map(static fn (string $fabric, Fraction $width): Piece => new Piece($fabric, CutShape::Strip, Surd::of($width), Surd::of($length), $sets, Then::None, $width), $this->fabrics, $this->widths);
    }

    /** "Cut 2 sets across into 16 of 2 1/2." */
    public function cutWords(): string
    {
        $pieces = implode(' and ', array_map(static fn (array $cut): string => sprintf('%d of %s', $cut['count'], $cut['width']->toText()), $this->cuts));

        return sprintf('Cut %s across into %s.', $this->sets() === 1 ? 'the set of '.count($this->fabrics) : $this->sets().' sets of '.count($this->fabrics), $pieces);
    }

    /** @return list<array{fabric: string, points: list<array{float, float}>, isBack: bool}> */
    public function picture(): array
    {
        $two = 2 * $this->bench->sizes->allowance->toFloat();
        [$top, $length, $layers] = [0.0, $this->length()->toFloat(), []];
        foreach ($this->fabrics as $i => $fabric) {
            $bottom = $top + $this->widths[$i]->toFloat() - $two / ($i === 0 || $i === count($this->fabrics) - 1 ? 2 : 1);
            $layers[] = ['fabric' => $fabric, 'points' => [[0.0, $top], [$length, $top], [$length, $bottom], [0.0, $bottom]], 'isBack' => false];
            $top = $bottom;
        }

        return $layers;
    }

    /** How many long seams all its sets have. */
    public function seamCount(): int
    {
        return $this->sets() * (count($this->fabrics) - 1);
    }

    /** @return list<array{array{float, float}, array{float, float}}> lines along which the strips of a set are sewn, in its picture */
    public function seams(): array
    {
        $between = array_slice($this->picture(), 0, -1);

        return array_map(static fn (array $strip): array => [[$strip['points'][3][0], $strip['points'][3][1]], [$strip['points'][2][0], $strip['points'][2][1]]], $between);
    }

    /** @return list<array{array{float, float}, array{float, float}}> lines along which the first set is cut across, in its picture; none at its end */
    public function knives(): array
    {
        $length = $this->length();
        $bottom = max([0.0, ...array_map(static fn (array $strip): float => $strip['points'][2][1], $this->picture())]);
        $lines = [];
        $at = Fraction::zero();
        foreach ($this->cuts as $cut) {
            for ($i = 0; $i < $cut['count'] && $at->plus($cut['width'])->compareTo($length) <= 0; ++$i) {
                $at = $at->plus($cut['width']);
                $lines[] = [[$at->toFloat(), 0.0], [$at->toFloat(), $bottom]];
            }
        }

        return $at->equals($length) ? array_slice($lines, 0, -1) : $lines;
    }

    /** @return array<int, Fraction> what is left of each set */
    private function filled(Fraction $length): array
    {
        $free = [];
        foreach ($this->cuts as $cut) {
            for ($i = 0; $i < $cut['count']; ++$i) {
                $room = array_filter($free, static fn (Fraction $left): bool => $left->compareTo($cut['width']) >= 0);
                $set = array_key_first($room) ?? count($free);
                $free[$set] = ($free[$set] ?? $length)->minus($cut['width']);
            }
        }

        return $free;
    }
}
