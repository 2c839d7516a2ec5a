<?php

declare(strict_types=1);

namespace App\House;

use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;

/** A seam allowance that nobody sews patchwork with, said beside its field. */
final class AllowanceNotUsable extends \InvalidArgumentException implements KeenSeamProblem
{
    private function __construct(string $message, private readonly LengthUnit $unit)
    {
        parent::__construct($message);
    }

    /**
     * @return string the length as it is written
     *
     * @throws self unless it is a length between 1/8 and 1 inch
     */
    public static function unlessUsual(mixed $given, LengthUnit $unit): string
    {
        $text = is_string($given) ? trim($given) : '';
        try {
            $length = Length::parse($text, $unit);
        } catch (KeenSeamProblem) {
            throw new self(sprintf('“%s” is no seam allowance. Write it like %s.', mb_substr($text, 0, 20), $unit === LengthUnit::Inch ? '1/4' : '6'), $unit);
        }
        $inches = $length->inches->toFloat();

        return $inches >= 0.125 && $inches <= 1
            ? $length->toText($unit)
            : throw new self(sprintf('A seam allowance lies between %s; “%s” does not.', $unit === LengthUnit::Inch ? '1/8 and 1 in' : '3.2 and 25.4 mm', mb_substr($text, 0, 20)), $unit);
    }

    public function problemCode(): string
    {
        return 'allowance-not-usable';
    }

    public function where(): string
    {
        return 'allowance_'.$this->unit->value;
    }
}
