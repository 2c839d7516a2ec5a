<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthNotReadable;
use KeenSeam\Core\Measure\LengthUnit;

/** One line of a pattern's own list: "Harbour ink, 2 7/8, 6, cut once", or "unit, U2 mirrored, 4". */
final readonly class PatternLine
{
    /**
     * @param int           $number of the line, from 1
     * @param string        $name   of the fabric, or of the unit
     * @param Fraction|null $width  the longer side; null for a line of units
     * @param Fraction|null $height the shorter side
     * @param Then|null     $then   how it is cut further; null where the line does not say
     */
    private function __construct(
        public int $number,
        public string $text,
        public string $name,
        public ?Fraction $width,
        public ?Fraction $height,
        public int $count,
        public ?Then $then,
    ) {}

    /** @throws PatternNotReadable */
    public static function read(int $number, string $line, LengthUnit $unit): self
    {
        $fields = array_map(static fn (?string $field): string => trim((string) $field), str_getcsv($line, str_contains($line, ';') ? ';' : ',', '"', ''));
        if (count($fields) < 3 || count($fields) > 4 || preg_match('~^[1-9]\d{0,4}$~D', $fields[2]) !== 1) {
            throw PatternNotReadable::line($number, $line);
        }
        $then = match (strtolower((string) preg_replace('~\s+corner to corner$~i', '', $fields[3] ?? ''))) {
            '' => null,
            'cut once' => Then::Once,
            'cut twice' => Then::Twice,
            default => throw PatternNotReadable::then($number, $fields[3] ?? ''),
        };
        if (strtolower($fields[0]) === 'unit') {
            return new self($number, trim($line), $fields[1], null, null, (int) $fields[2], null);
        }
        $sides = self::sides($fields[1], $unit, $number);
        usort($sides, static fn (Fraction $a, Fraction $b): int => $b->compareTo($a));

        return new self($number, trim($line), $fields[0], $sides[0], $sides[1], (int) $fields[2], $then);
    }

    public function isOfUnits(): bool
    {
        return $this->width === null;
    }

    /** The same whatever its spaces and capitals. */
    public function key(): string
    {
        return mb_strtolower((string) preg_replace('~\s+~', '', $this->text));
    }

    /**
     * @return array{Fraction, Fraction}
     *
     * @throws PatternNotReadable
     */
    private static function sides(string $text, LengthUnit $unit, int $number): array
    {
        $sides = preg_split('~\s*(?:x|×|\bby\b)\s*~iu', trim($text)) ?: [];
        try {
            $lengths = array_map(static fn (string $side): Length => Length::parse($side, $unit), $sides);
        } catch (LengthNotReadable) {
            throw PatternNotReadable::size($number, $text);
        }
        $isGood = $lengths !== [] && count($lengths) <= 2 && array_filter($lengths, static fn (Length $length): bool => ! $length->isPositive()) === [];

        return $isGood ? [$lengths[0]->in($unit), ($lengths[1] ?? $lengths[0])->in($unit)] : throw PatternNotReadable::size($number, $text);
    }
}
