<?php

declare(strict_types=1);

namespace App\Shelf;

use KeenSeam\Core\KeenSeamProblem;

final class EverythingNotReadable extends \InvalidArgumentException implements KeenSeamProblem
{
    public static function other(): self
    {
        return new self('This is no file that "Keep everything" made. Nothing was changed.');
    }

    public static function version(): self
    {
        return new self('This file was kept by another version of Keen Seam that keeps more. Bring it back there, or install that version.');
    }

    public static function changed(): self
    {
        return new self('This file is not as it was kept: some of it is missing or changed. Choose another copy of it. Nothing was changed.');
    }

    public function problemCode(): string
    {
        return 'everything-not-readable';
    }

    public function where(): string
    {
        return '';
    }
}
