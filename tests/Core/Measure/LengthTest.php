<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use KeenSeam\Core\Measure\Grain;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthNotReadable;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Measure\NumberOutOfReach;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LengthTest extends TestCase
{
    /** @return array<string, array{string, int, int}> */
    public static function readable(): array
    {
        return [
            'whole' => ['3', 3, 1],
            'fraction' => ['7/8', 7, 8],
            'mixed number' => ['2 7/8', 23, 8],
            'mixed with a dash' => ['2-7/8', 23, 8],
            'decimal' => ['2.875', 23, 8],
            'decimal without a whole part' => ['.5', 1, 2],
            'one-character fraction' => ['2⅞', 23, 8],
            'one-character fraction after a space' => ['2 ⅞', 23, 8],
            'only a one-character fraction' => ['⅞', 7, 8],
            'fraction slash' => ['2 7⁄8', 23, 8],
            'not in lowest terms' => ['2 14/16', 23, 8],
            'inch sign' => ['3"', 3, 1],
            'millimetres' => ['73 mm', 365, 127],
            'millimetres without a space' => ['25.4mm', 1, 1],
            'centimetres' => ['2.54 cm', 1, 1],
            'spaces around' => ['  2   7/8 ', 23, 8],
            'nothing at all, but zero' => ['0', 0, 1],
        ];
    }

    #[DataProvider('readable')]
    public function test_reads_what_quilters_write(string $text, int $numerator, int $denominator): void
    {
        self::assertObjectEquals(Length::ofInches($numerator, $denominator), Length::parse($text));
    }

    /** @return array<string, array{string}> */
    public static function unreadable(): array
    {
        return [
            'empty' => [''],
            'a word' => ['wide'],
            'zero below' => ['1/0'],
            'negative' => ['-2'],
            'two fractions' => ['1/2 1/4'],
            'exponent' => ['1e3'],
            'trailing newline and more' => ["3\n4"],
            'comma' => ['2,5'],
        ];
    }

    #[DataProvider('unreadable')]
    public function test_refuses_anything_else_and_quotes_it(string $text): void
    {
        try {
            Length::parse($text);
            self::fail('It was read.');
        } catch (LengthNotReadable $problem) {
            self::assertSame($text, $problem->given);
            self::assertStringContainsString('Write inches as', $problem->getMessage());
        }
    }

    public function test_a_bare_number_means_the_unit_of_the_block(): void
    {
        self::assertObjectEquals(Length::parse('73 mm'), Length::parse('73', LengthUnit::Millimetre));
        self::assertSame('73', Length::parse('73 mm')->toText(LengthUnit::Millimetre));
    }

    public function test_printing_and_reading_give_the_same_length(): void
    {
        for ($denominator = 1; $denominator <= 64; ++$denominator) {
            for ($numerator = 0; $numerator <= 3 * $denominator; $numerator += 7) {
                $length = Length::ofInches($numerator, $denominator);
                self::assertObjectEquals($length, Length::parse($length->toText()));
            }
        }
    }

    /** @return array<string, array{Grain, string, string}> */
    public static function printed(): array
    {
        return [
            'exact' => [Grain::Eighth, '2 7/8', '2 7/8'],
            'rounded up' => [Grain::Eighth, '2 15/16', '≈3'],
            'rounded down' => [Grain::Eighth, '2 29/32', '≈2 7/8'],
            'finer ruler' => [Grain::Sixteenth, '2 15/16', '2 15/16'],
            'finest ruler' => [Grain::ThirtySecond, '5/64', '≈3/32'],
            'decimal by no surprise' => [Grain::Sixteenth, '73 mm', '≈2 7/8'],
            'millimetres' => [Grain::HalfMillimetre, '73 mm', '73 mm'],
            'half millimetres' => [Grain::HalfMillimetre, '2 7/8', '≈73 mm'],
            'and a half' => [Grain::HalfMillimetre, '72.5 mm', '72.5 mm'],
        ];
    }

    #[DataProvider('printed')]
    public function test_prints_to_the_ruler_and_marks_what_was_rounded(Grain $grain, string $length, string $expected): void
    {
        self::assertSame($expected, $grain->print(Length::parse($length)));
    }

    public function test_an_overflow_is_told_and_never_becomes_a_float(): void
    {
        $odd = Length::parse('99999 9999/9998');

        $this->expectException(NumberOutOfReach::class);
        $odd->inches->times($odd->inches)->times($odd->inches);
    }
}
