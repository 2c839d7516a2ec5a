<?php

declare(strict_types=1);

namespace KeenSeam\Core\Measure;

use KeenSeam\Core\KeenSeamProblem;

/** A text that is no length, or one that no quilt has. */
final class LengthNotReadable extends \InvalidArgumentException implements KeenSeamProblem
{
    private function __construct(
        string $message,
        public readonly string $given,
        private readonly string $where,
    ) {
        parent::__construct($message);
    }

    public static function text(string $given): self
    {
        return new self(
            sprintf('"%s" is not a length. Write inches as 3, 7/8, 2 7/8 or 2.875, or millimetres as 73 mm.', self::shortened($given)),
            $given,
            '',
        );
    }

    public static function notPositive(string $given, string $what, string $where): self
    {
        return new self(
            sprintf('%s is "%s". Give it a length above zero.', ucfirst($what), self::shortened($given)),
            $given,
            $where,
        );
    }

    public function at(string $where): self
    {
        return new self($this->getMessage(), $this->given, $where);
    }

    public function problemCode(): string
    {
        return 'length-not-readable';
    }

    public function where(): string
    {
        return $this->where;
    }

    private static function shortened(string $given): string
    {
        return mb_strlen($given) > 40 ? mb_substr($given, 0, 40).'...' : $given;
    }
}
