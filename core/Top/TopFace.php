<?php

declare(strict_types=1);

namespace KeenSeam\Core\Top;

use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Top\Internal\TopFaceBuilder;

/** The face of a top in its frame: every patch and unit where it lies, and what fills every place. */
final readonly class TopFace
{
    /**
     * @param Face                    $face    whose block is the frame with everything in it; its parts are the units of the top's parts, in order
     * @param non-empty-list<TopPart> $parts   in reading order of the frame
     * @param array<string, Face>     $designs the face of each block by itself, by its key
     */
    public function __construct(
        public Top $top,
        public Face $face,
        public array $parts,
        public array $designs,
    ) {}

    /**
     * @throws \KeenSeam\Core\KeenSeamProblem when sizes have no common step, or something is too narrow to be sewn
     */
    public static function of(Top $top): self
    {
        return TopFaceBuilder::build($top);
    }

    /** The face with the places of the setting alone, whole blocks and plain squares, for whoever compares how they lie. */
    public function placesOnly(): Face
    {
        $units = [];
        foreach ($this->parts as $part) {
            if ($part->role === PartRole::Block || $part->role === PartRole::PlainSquare) {
                array_push($units, ...$part->units);
            }
        }
        $whole = $this->face->whole;

        return new Face($this->face->block, $this->face->lattice, $this->face->patches, new PlacedUnit($whole->cell, $whole->placement, $whole->outline, $units === [] ? $whole->parts : $units), $this->face->kind, $this->face->within);
    }

    /** The place of the setting that a cell of the frame is. */
    public function placeAt(Cell $cell): TopPlace
    {
        foreach ($this->parts as $part) {
            if ($part->place !== null && $part->row === $cell->row && $part->column === $cell->column) {
                return $part->place;
            }
        }

        throw new \LogicException('The cell lies in a place.');
    }
}
