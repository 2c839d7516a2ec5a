<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing\Reading;

use KeenSeam\Core\KeenSeamProblem;

/** A drawing from which no block comes. */
final class DrawingNotReadable extends \InvalidArgumentException implements KeenSeamProblem
{
    public static function notSvg(): self
    {
        return new self('This is no drawing in SVG. Save it as SVG in your drawing program, and choose that file.');
    }

    public static function tooLarge(int $shapes, int $most): self
    {
        return new self(sprintf('The drawing has %d shapes; at most %d can be read. Draw one block by itself.', $shapes, $most));
    }

    public static function empty(): self
    {
        return new self('No shape in this drawing is filled and has straight edges. Fill the patches with the colours of their fabrics.');
    }

    public static function flat(): self
    {
        return new self('The shapes of this drawing cover no area. Draw the patches as large as they are.');
    }

    public static function crossing(): self
    {
        return new self('Edges of these shapes cross where no grid has a corner, so no exact block comes of it. Draw every patch as a shape of its own, corner on corner, snapped to a grid.');
    }

    public function problemCode(): string
    {
        return 'drawing-not-readable';
    }

    public function where(): string
    {
        return '';
    }
}
