<?php

declare(strict_types=1);

namespace App\Photo;

use KeenSeam\Core\KeenSeamProblem;

/** A unit that cannot be laid so. */
final class PlantedWrong extends \InvalidArgumentException implements KeenSeamProblem
{
    public static function like(string $given, string $like): self
    {
        return new self(sprintf('--wrong is "%s". Write it like %s.', mb_substr($given, 0, 40), $like));
    }

    public function problemCode(): string
    {
        return 'option-not-known';
    }

    public function where(): string
    {
        return '';
    }
}
