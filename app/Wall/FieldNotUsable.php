<?php

declare(strict_types=1);

namespace App\Wall;

use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Measure\LengthUnit;

/** What was typed into a field cannot be meant so; said beside that field. */
final class FieldNotUsable extends \InvalidArgumentException implements KeenSeamProblem
{
    private function __construct(string $message, private readonly string $field)
    {
        parent::__construct($message);
    }

    public static function lines(string $field, string $given, int $most): self
    {
        $what = $given === '' ? sprintf('How many %s?', $field) : sprintf('“%s” is no number of %s.', mb_substr($given, 0, 20), $field);

        return new self(sprintf('%s Write 1 to %d, or the widths one after the other, like 1 2 1.', $what, $most), $field);
    }

    public static function size(string $field, string $given, LengthUnit $unit): self
    {
        $what = $given === '' ? sprintf('What %s?', $field) : sprintf('“%s” is no %s.', mb_substr($given, 0, 20), $field);

        return new self(sprintf('%s Write it like %s.', $what, $unit === LengthUnit::Inch ? '12 or 12 1/2' : '300'), $field);
    }

    public function problemCode(): string
    {
        return 'field-not-usable';
    }

    public function where(): string
    {
        return $this->field;
    }
}
