<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Measure\Fraction;

/** One line of the cutting list: equal pieces of one fabric. */
final readonly class Cut
{
    /**
     * @param string        $letter   of the stack, so that near-equal sizes are not mixed up; margins don't change it
     * @param Fraction      $width    as it is cut, on the ruler's marks, in the block's unit of length
     * @param list<string>  $for      labels of unit classes; "plain" for patches that are a cell by themselves
     * @param int           $mirrored of the pieces, how many are cut the other way round
     * @param list<int>     $patches  ids of those the pieces become in the first block, where they keep their shape
     * @param Template|null $template the outline they are cut round
     * @param string        $key      of the stack, as Piece::stackKey() names it
     */
    public function __construct(
        public string $letter,
        public string $fabric,
        public CutShape $shape,
        public Fraction $width,
        public Fraction $height,
        public int $count,
        public Then $then,
        public array $for,
        public Margin $margin = Margin::Exact,
        public int $mirrored = 0,
        public array $patches = [],
        public ?Template $template = null,
        public string $key = '',
    ) {}

    public function area(): Fraction
    {
        return $this->width->times($this->height)->times(Fraction::of($this->count));
    }

    /** For putting pieces in cutting order, and telling sizes apart. */
    public function longerSide(): Fraction
    {
        return $this->width->compareTo($this->height) < 0 ? $this->height : $this->width;
    }

    /** Pieces once all are cut further. */
    public function pieces(): int
    {
        return $this->count * $this->then->pieces();
    }

    /** @return list<array{float, float}> corners of one piece as it lies then, right side up, its allowance included */
    public function outline(): array
    {
        [$w, $h] = [$this->width->toFloat(), $this->height->toFloat()];

        return $this->template?->outline($this->margin) ?? match ($this->then) {
            Then::None => [[0.0, 0.0], [$w, 0.0], [$w, $h], [0.0, $h]],
            Then::Once => [[0.0, 0.0], [$w, 0.0], [0.0, $h]],
            Then::Twice => [[0.0, 0.0], [$w, 0.0], [$w / 2, $h / 2]],
        };
    }

    /** How to save work and cloth in cutting these; '' where there is nothing to it. */
    public function cuttingWords(): string
    {
        if ($this->template === null) {
            return '';
        }
        $right = $this->count - $this->mirrored;
        $words = [];
        if ($this->mirrored > 0) {
            $pairs = min($right, $this->mirrored);
            $words[] = $pairs === 0
                ? sprintf('Turn the template over for %s.', $this->mirrored === 1 ? 'it' : 'all of them')
                : sprintf('Cut %d %s from cloth folded right sides together: %s.', $pairs, $pairs === 1 ? 'pair' : 'pairs', $right === $this->mirrored ? 'one of each hand' : sprintf('then %d more %s', abs($right - $this->mirrored), $right > $this->mirrored ? 'as the template lies' : 'with the template turned over'));
        } elseif ($this->template->isWedge && $this->count > 1) {
            $words[] = sprintf('Cut them head to tail along a strip %s high.', $this->height->toText());
        }

        return implode(' ', $words);
    }
}
