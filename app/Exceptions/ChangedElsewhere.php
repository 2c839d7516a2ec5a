<?php

declare(strict_types=1);

namespace App\Exceptions;

use KeenSeam\Core\KeenSeamProblem;

/** Somebody, perhaps another tab, saved this block since it was read. */
final class ChangedElsewhere extends \RuntimeException implements KeenSeamProblem
{
    public static function block(string $name): self
    {
        return new self(sprintf('"%s" was changed in another window. Load it again, then make your change.', $name));
    }

    public function problemCode(): string
    {
        return 'changed-elsewhere';
    }

    public function where(): string
    {
        return '/version';
    }
}
