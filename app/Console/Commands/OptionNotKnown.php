<?php

declare(strict_types=1);

namespace App\Console\Commands;

use KeenSeam\Core\KeenSeamProblem;

final class OptionNotKnown extends \InvalidArgumentException implements KeenSeamProblem
{
    /** @param list<string> $choices */
    public static function choice(string $option, string $given, array $choices): self
    {
        return new self(sprintf('--%s is "%s". Use one of: %s.', $option, mb_substr($given, 0, 40), implode(', ', $choices)));
    }

    public static function amount(string $option, string $given): self
    {
        return new self(sprintf('--%s is "%s". Give a number, zero or more.', $option, mb_substr($given, 0, 40)));
    }

    public static function pair(string $option, string $given, string $like): self
    {
        return new self(sprintf('--%s is "%s". Write it like %s.', $option, mb_substr($given, 0, 40), $like));
    }

    public static function length(string $option, string $given): self
    {
        return new self(sprintf('--%s is "%s". Give a length above zero.', $option, mb_substr($given, 0, 40)));
    }

    public static function range(string $option, string $given, int $least, int $most): self
    {
        return new self(sprintf('--%s is "%s". Give a whole number from %d to %d.', $option, mb_substr($given, 0, 40), $least, $most));
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
