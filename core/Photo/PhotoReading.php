<?php

declare(strict_types=1);

namespace KeenSeam\Core\Photo;

/** What a photograph of a laid-out block tells. */
final readonly class PhotoReading
{
    /**
     * @param array{array{float, float}, array{float, float}, array{float, float}, array{float, float}} $corners outermost raw ones of the layout, in pixels, the block's upper left first
     * @param list<SeenCell>                                                                            $cells
     * @param array{float|list<float>, float|list<float>}                                               $apart   between raw edges beside and below each other
     * @param list<array{string, string, float}>                                                        $alike   keys of fabrics that read alike in grey, and how near
     */
    public function __construct(
        public array $corners,
        public array $cells,
        public array $apart,
        public array $alike,
    ) {}
}
