<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Surd;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class SurdTest extends TestCase
{
    public function test_sums_and_multiples(): void
    {
        $half = new Surd(Fraction::of(1, 2), Fraction::of(1, 4));
        $sum = $half->plus(Surd::of(Fraction::of(2)))->times(Fraction::of(2));

        self::assertSame(['5', '1/2'], [$sum->whole->toText(), $sum->root->toText()]);
        self::assertEqualsWithDelta(5 + M_SQRT2 / 2, $sum->toFloat(), 1e-12);
    }

    public function test_it_is_raised_to_the_next_mark_and_stays_where_it_lies_on_one(): void
    {
        self::assertSame('7/8', (new Surd(Fraction::of(1, 2), Fraction::of(1, 4)))->raisedTo(8)->toText()); // 0.8536
        self::assertSame('2 1/2', Surd::of(Fraction::of(5, 2))->raisedTo(8)->toText());
        self::assertSame('3 3/8', Surd::of(Fraction::of(10, 3))->raisedTo(8)->toText());
    }

    public function test_it_is_compared_exactly_even_very_close_by(): void
    {
        // Convergents of the square root of two lie on either side of it, closer and closer.
        $root = new Surd(Fraction::zero(), Fraction::of(1));
        foreach ([[1, 1, 1], [3, 2, -1], [7, 5, 1], [17, 12, -1], [41, 29, 1], [577, 408, -1], [1393, 985, 1], [665857, 470832, -1]] as [$top, $bottom, $sign]) {
            self::assertSame($sign, $root->compareTo(Fraction::of($top, $bottom)) <=> 0, "$top/$bottom");
            self::assertSame(-$sign, (new Surd(Fraction::zero(), Fraction::of(-1)))->compareTo(Fraction::of(-$top, $bottom)) <=> 0);
        }
    }

    public function test_random_amounts_are_raised_by_less_than_a_mark(): void
    {
        $random = new Randomizer(new Mt19937(5));
        for ($i = 0; $i < 300; ++$i) {
            $surd = new Surd(Fraction::of($random->getInt(-40, 400), $random->getInt(1, 16)), Fraction::of($random->getInt(0, 40), $random->getInt(1, 16)));
            $marks = [1, 2, 8, 16][$random->getInt(0, 3)];
            $raised = $surd->raisedTo($marks);
            self::assertLessThanOrEqual(0, $surd->compareTo($raised));
            self::assertGreaterThan(0, $surd->compareTo($raised->minus(Fraction::of(1, $marks))));
        }
    }
}
