<?php

declare(strict_types=1);

namespace Tests\Core\Guide;

use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Guide\SizeWords;
use KeenSeam\Core\Matching\BlocksAsMade;
use KeenSeam\Core\Measure\Length;
use PHPUnit\Framework\TestCase;
use Tests\Support\Tops;

/** What is said of blocks that came out at other sizes. */
final class SizeWordsTest extends TestCase
{
    /** Two thirty-seconds are left, an eighth is eased, and more puckers: common practice, no published source. */
    public function test_each_way_is_told_with_what_it_does_to_the_points(): void
    {
        $words = static fn (string $size, array $over = []): array => self::sentences($over, ['6 1/2', $size]);
        self::assertSame([], $words('6 1/2'));
        self::assertSame('Sew them as they are: where two meet they differ by 1/32 in at most, which nobody sees.', $words('6 15/32')[0]);
        self::assertSame([
            'Ease: where two meet they differ by 1/8 in at most. Pin the ends and the crossings, the longer one below, on the feed; all points stay.',
            'Square all to the smallest: up to 1/8 in comes off, half of it on each side; in the next seam points at the edges of the largest lose up to 1/16 in, and the top becomes 1/4 in narrower and 1/8 in shorter.',
        ], $words('6 3/8'));
        $sashes = ['sashes' => ['width' => '1', 'fabric' => 'C']];
        self::assertSame('Easing is not enough: somewhere two differ by 1/4 in, and more than 1/8 in puckers.', $words('6 1/4', $sashes)[0]);
        self::assertStringStartsWith('Cut the sashes to suit: beside a smaller block as much wider as it is smaller, up to 1/4 in;', $words('6 1/4', $sashes)[2]);
        // On point by the diagonal: two blocks of 6 in, 1/8 in too small, lose 0.35 in of their 17 in, and one row half of that.
        $onPoint = ['rows' => 1, 'setting' => 'on-point', 'sides' => ['fabric' => 'C']];
        self::assertStringEndsWith('and the top becomes 11/32 in narrower and 3/16 in shorter.', $words('6 3/8', $onPoint)[1]);
        // Too large is no shorter.
        self::assertStringEndsWith('half of it on each side; points at their edges lose nothing that is seen.', $words('6 9/16')[1]);
    }

    public function test_the_limits_themselves_still_count_as_left_and_as_eased(): void
    {
        // A sixteenth comes off, half of it each side: a thirty-second is left.
        self::assertStringContainsString('points at their edges lose nothing that is seen', self::sentences([], ['6 1/2', '6 7/16'])[1]);
        self::assertStringContainsString('lose up to 1/16 in', self::sentences([], ['6 1/2', '6 13/32'])[1]);
        self::assertStringStartsWith('Ease: where two meet they differ by 1/16 in', self::sentences([], ['6 1/2', '6 7/16'])[0]);
        self::assertStringStartsWith('Easing is not enough: somewhere two differ by 5/32 in', self::sentences([], ['6 1/2', '6 11/32'])[0]);
    }

    public function test_a_top_is_shorter_by_what_comes_off_each_row_and_column(): void
    {
        // Three across and two down, each 1/8 in smaller.
        self::assertStringEndsWith('and the top becomes 3/8 in narrower and 1/4 in shorter.', self::sentences(['rows' => 2, 'columns' => 3], ['6 1/2', '6 3/8', '6 1/2', '6 1/2', '6 1/2', '6 1/2'])[1]);
    }

    /**
     * @param array<string, mixed> $over
     * @param list<string>         $sizes raw
     *
     * @return list<string>
     */
    private static function sentences(array $over, array $sizes): array
    {
        $top = TopConstruction::of(Tops::face(Tops::file($over + ['rows' => 1], Tops::PINWHEEL)));
        $raw = [];
        foreach ($top->copies as $number => $copy) {
            $size = Length::parse($sizes[$number])->inches;
            $raw[$copy->place->place?->key() ?? ''] = [$size, $size];
        }

        return (new SizeWords(new BlocksAsMade($top->top->top, $top->copies, $raw), $top->top->top))->sentences();
    }
}
