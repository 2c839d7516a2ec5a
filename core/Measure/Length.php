<?php

declare(strict_types=1);

namespace KeenSeam\Core\Measure;

/** An exact length. Kept in inches, whatever it was written in. */
final readonly class Length
{
    /** One-character fractions as found on rulers and in typed patterns. */
    private const VULGAR = [
        '½' => '1/2', '⅓' => '1/3', '⅔' => '2/3', '¼' => '1/4', '¾' => '3/4', '⅕' => '1/5', '⅖' => '2/5',
        '⅗' => '3/5', '⅘' => '4/5', '⅙' => '1/6', '⅚' => '5/6', '⅛' => '1/8', '⅜' => '3/8', '⅝' => '5/8', '⅞' => '7/8',
    ];

    /** Whole number with an optional decimal part or fraction, then an optional unit. */
    private const GRAMMAR = '~^
        (?: (?<whole>\d{1,5}) (?: \.(?<decimals>\d{1,6}) | (?:\ +|-) (?<top>\d{1,12})/(?<bottom>[1-9]\d{0,11}) )?
          | \.(?<onlyDecimals>\d{1,6})
          | (?<onlyTop>\d{1,12})/(?<onlyBottom>[1-9]\d{0,11}) )
        \ * (?<unit> in | inch | inches | " | ″ | mm | cm )? $~xDu';

    private function __construct(public Fraction $inches) {}

    public static function ofInches(int $numerator, int $denominator = 1): self
    {
        return new self(Fraction::of($numerator, $denominator));
    }

    public static function of(Fraction $amount, LengthUnit $unit): self
    {
        return new self($amount->times($unit->inInches()));
    }

    /**
     * Reads "3", "7/8", "2 7/8", "2-7/8", "2.875", "2⅞", "73 mm", "7.3 cm", with or without a unit.
     *
     * @param LengthUnit $bare what a number without a unit means
     *
     * @throws LengthNotReadable unless the text is one length, zero or more
     */
    public static function parse(string $text, LengthUnit $bare = LengthUnit::Inch): self
    {
        $plain = trim(preg_replace('~\s+~u', ' ', str_replace('⁄', '/', $text)) ?? '');
        foreach (self::VULGAR as $sign => $fraction) {
            $plain = trim(preg_replace('~(\d)? ?-?'.$sign.'~u', '$1 '.$fraction, $plain) ?? '');
        }
        if (preg_match(self::GRAMMAR, $plain, $part, PREG_UNMATCHED_AS_NULL) !== 1) {
            throw LengthNotReadable::text($text);
        }
        $amount = match (true) {
            $part['top'] !== null => self::mixed($part['whole'], $part['top'], $part['bottom']),
            $part['onlyTop'] !== null => self::mixed('0', $part['onlyTop'], $part['onlyBottom']),
            default => self::decimal($part['whole'] ?? '0', $part['decimals'] ?? $part['onlyDecimals'] ?? ''),
        };

        return match ($part['unit'] ?? null) {
            null => self::of($amount, $bare),
            'mm' => self::of($amount, LengthUnit::Millimetre),
            'cm' => self::of($amount->times(Fraction::of(10)), LengthUnit::Millimetre),
            default => self::of($amount, LengthUnit::Inch),
        };
    }

    public function in(LengthUnit $unit): Fraction
    {
        return $this->inches->dividedBy($unit->inInches());
    }

    public function plus(self $other): self
    {
        return new self($this->inches->plus($other->inches));
    }

    public function times(int $factor): self
    {
        return new self($this->inches->times(Fraction::of($factor)));
    }

    public function isPositive(): bool
    {
        return $this->inches->isPositive();
    }

    public function equals(self $other): bool
    {
        return $this->inches->equals($other->inches);
    }

    /** The exact amount as the open formats write it: "2 7/8"; millimetres without their sign. */
    public function toText(LengthUnit $unit = LengthUnit::Inch): string
    {
        return $this->in($unit)->toText();
    }

    private static function mixed(?string $whole, ?string $top, ?string $bottom): Fraction
    {
        return Fraction::of((int) $whole)->plus(Fraction::of((int) $top, (int) $bottom));
    }

    private static function decimal(string $whole, string $decimals): Fraction
    {
        return Fraction::of((int) ($whole.$decimals), 10 ** strlen($decimals));
    }
}
