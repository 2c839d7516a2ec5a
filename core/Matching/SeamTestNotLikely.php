<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;

/** Figures of a seam test that are sooner a slip of the pen. */
final class SeamTestNotLikely extends \InvalidArgumentException implements KeenSeamProblem
{
    private function __construct(string $message, private readonly string $where)
    {
        parent::__construct($message);
    }

    public static function strips(int $strips): self
    {
        return new self(sprintf('%d strips make no seam test. Sew from 2 to 20 side by side.', $strips), '/strips');
    }

    public static function measured(int $strips, Fraction $width, Fraction $measured, Fraction $expected, LengthUnit $unit): self
    {
        return new self(sprintf('%d strips of %s %s come out near %s %s; "%s" is not likely. Measure again.', $strips, $width->toText(), $unit->value, $expected->toText(), $unit->value, $measured->toText()), '/measured');
    }

    public function problemCode(): string
    {
        return 'seam-test-not-likely';
    }

    public function where(): string
    {
        return $this->where;
    }
}
