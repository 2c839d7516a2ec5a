<?php

declare(strict_types=1);

namespace App\Console\Commands;

use KeenSeam\Core\KeenSeamProblem;

final class OutFileNotWritable extends \RuntimeException implements KeenSeamProblem
{
    public static function at(string $path): self
    {
        return new self(sprintf('"%s" cannot be written. Name a file in a folder that is there and that you may write to.', mb_substr($path, 0, 120)));
    }

    public function problemCode(): string
    {
        return 'file-not-writable';
    }

    public function where(): string
    {
        return '';
    }
}
