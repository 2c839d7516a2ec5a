<?php

declare(strict_types=1);

namespace Tests\Reference;

use Brick\Math\BigRational;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class MeasureTest extends TestCase
{
    /** Against brick/math, a general-purpose library for exact numbers. */
    public function test_fractions_calculate_as_the_library_does(): void
    {
        $random = new Randomizer(new Mt19937(1959));
        for ($i = 0; $i < 2000; ++$i) {
            [$a, $b, $c, $d] = [$random->getInt(-4000, 4000), $random->getInt(1, 640), $random->getInt(-4000, 4000), $random->getInt(1, 640)];
            [$x, $y] = [Fraction::of($a, $b), Fraction::of($c, $d)];
            [$u, $v] = [BigRational::nd($a, $b), BigRational::nd($c, $d)];
            $pairs = [[$u->plus($v), $x->plus($y)], [$u->minus($v), $x->minus($y)], [$u->multipliedBy($v), $x->times($y)]];
            if ($c !== 0) {
                $pairs[] = [$u->dividedBy($v), $x->dividedBy($y)];
            }
            foreach ($pairs as [$expected, $found]) {
                self::assertSame((string) $expected->simplified(), (string) BigRational::nd($found->numerator, $found->denominator));
            }
            self::assertSame($u->compareTo($v), $x->compareTo($y) <=> 0);
        }
    }

    /** The inch is exactly 25.4 mm: NIST Special Publication 811 (2008), appendix B.8, "inch (in)". Value from memory. */
    public function test_an_inch_is_25_4_millimetres(): void
    {
        self::assertObjectEquals(Length::ofInches(1), Length::parse('25.4 mm'));
        self::assertSame('25 2/5', Length::ofInches(1)->toText(LengthUnit::Millimetre));
        self::assertObjectEquals(Length::ofInches(12), Length::parse('304.8', LengthUnit::Millimetre));
    }
}
