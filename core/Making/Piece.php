<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Surd;

/** A piece of one fabric as it is cut: sizes in the block's unit of length, exact, before they are raised to the ruler's marks. */
final readonly class Piece
{
    /**
     * @param int           $perBatch triangles, or whole pieces where nothing is cut further, that a batch takes
     * @param Fraction      $oversize width that is proposed, to square up later
     * @param string|null   $patch    which patches it becomes, where it keeps its shape: as PatchCutter names them
     * @param Template|null $template its outline, where it is cut round a template
     * @param bool          $isLate   whether it is taken up only for what is finished of a batch, not for what is half made
     */
    public function __construct(
        public string $fabric,
        public CutShape $shape,
        public Surd $width,
        public Surd $height,
        public int $perBatch,
        public Then $then,
        public Fraction $oversize,
        public ?string $patch = null,
        public ?Template $template = null,
        public bool $isLate = false,
    ) {}

    public static function square(string $fabric, Surd $side, int $perBatch, Then $then, Fraction $oversize, bool $isLate = false): self
    {
        return new self($fabric, CutShape::Square, $side, $side, $perBatch, $then, $oversize, isLate: $isLate);
    }

    public function times(int $count): self
    {
        return new self($this->fabric, $this->shape, $this->width, $this->height, $count * $this->perBatch, $this->then, $this->oversize, $this->patch, $this->template, $this->isLate);
    }

    /** @return array{Fraction, Fraction} width and height on the ruler's marks */
    public function exact(int $marks): array
    {
        return [$this->width->raisedTo($marks), $this->height->raisedTo($marks)];
    }

    /** @return array{Fraction, Fraction} what is proposed to be squared up later; on the marks, and always more than exact */
    public function larger(int $marks): array
    {
        [$width, $height] = $this->exact($marks);
        $least = $width->plus(Fraction::of(1, $marks));
        $proposed = Surd::of($this->oversize)->raisedTo($marks);
        $more = ($proposed->compareTo($least) < 0 ? $least : $proposed)->minus($width);

        return [$width->plus($more), $height->plus($more)];
    }

    /** @return array{Fraction, Fraction} */
    public function size(Margin $margin, int $marks): array
    {
        return $margin === Margin::Larger ? $this->larger($marks) : $this->exact($marks);
    }

    /** How many are taken, once all are cut further, for so many batches of which so many parts are finished. */
    public function piecesFor(int $batches, int $parts, int $partsOfABatch): int
    {
        return $this->isLate ? intdiv($this->perBatch * $parts + $partsOfABatch - 1, $partsOfABatch) : $this->perBatch * $batches;
    }

    /** How many are cut for them, before they are cut further. */
    public function countFor(int $batches, int $parts, int $partsOfABatch): int
    {
        return $this->then->wholes($this->piecesFor($batches, $parts, $partsOfABatch));
    }

    /** The same for pieces that are cut alike, margins aside; one stack on the table. */
    public function stackKey(int $marks): string
    {
        [$width, $height] = $this->exact($marks);

        return implode(' ', [$this->fabric, $this->shape->value, $width->toText(), $height->toText(), $this->then->value, $this->template->key ?? '']);
    }
}
