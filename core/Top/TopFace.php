<?php

declare(strict_types=1);

namespace KeenSeam\Core\Top;

use KeenSeam\Core\Block\Face;
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
}
