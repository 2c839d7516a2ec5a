<?php

declare(strict_types=1);

namespace App\Wall;

use KeenSeam\Core\KeenSeamProblem;

/** A picture of a cloth that cannot be taken. */
final class SwatchNotUsable extends \InvalidArgumentException implements KeenSeamProblem
{
    public static function tooLarge(int $megabytes): self
    {
        return new self(sprintf('This picture is larger than %d MB. Make it smaller; a few centimetres of the cloth are enough.', $megabytes));
    }

    public static function tooManyPixels(int $width, int $height, int $most): self
    {
        return new self(sprintf('This picture is %d by %d pixels. Use one of at most %d by %d.', $width, $height, $most, $most));
    }

    public static function noPicture(): self
    {
        return new self('This file is no picture that can be read. Use a photograph as JPEG, PNG or WebP.');
    }

    public function problemCode(): string
    {
        return 'swatch-not-usable';
    }

    public function where(): string
    {
        return '';
    }
}
