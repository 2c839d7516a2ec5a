<?php

declare(strict_types=1);

namespace Tests\Core\Making;

use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\BlockFileWriter;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Making\FriendlySizes;
use KeenSeam\Core\Making\OtherUnit;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class OtherUnitTest extends TestCase
{
    public function test_exactly_is_as_large_and_back_again_it_is_the_same_file(): void
    {
        for ($seed = 1; $seed <= 20; ++$seed) {
            $block = BlockFile::read(Blocks::generated($seed, 3, 2));
            $other = OtherUnit::exactly($block, LengthUnit::Millimetre);
            self::assertSame([LengthUnit::Millimetre, true, true, true], [$other->unit, $other->finishedWidth->equals($block->finishedWidth), $other->finishedHeight->equals($block->finishedHeight), $other->seamAllowance->equals($block->seamAllowance)]);
            $read = BlockFile::read(BlockFileWriter::write($other));
            self::assertEquals(BlockFileWriter::write($block), BlockFileWriter::write(OtherUnit::exactly($read, LengthUnit::Inch)));
        }
    }

    public function test_sensibly_every_unit_lies_on_the_rulers_marks_and_nothing_grows_by_much(): void
    {
        foreach ([[LengthUnit::Inch, LengthUnit::Millimetre, '6'], [LengthUnit::Millimetre, LengthUnit::Inch, '1/4']] as [$from, $to, $allowance]) {
            $handy = 0;
            for ($seed = 1; $seed <= 30; ++$seed) {
                $file = Blocks::generated($seed, 2 + $seed % 4, 3);
                $size = $from === LengthUnit::Inch ? 4 + $seed / 2 : 100 + 13 * $seed;
                $file = ['units' => $from->value, 'seam_allowance' => $from === LengthUnit::Inch ? '1/4' : '6', 'finished' => ['width' => (string) (2 * $size), 'height' => (string) $size]] + $file;
                $block = BlockFile::read($file);
                $other = OtherUnit::sensibly($block, $to, Length::parse($allowance, $to));
                $handy += FriendlySizes::of(Face::of($other))->awkward === [] ? 1 : 0;
                self::assertTrue(Fraction::of($to === LengthUnit::Inch ? 8 : 1)->times($other->finishedWidth->in($to))->isWhole(), "seed $seed");
                self::assertSame($allowance, $other->seamAllowance->toText($to));
                $grown = $other->finishedWidth->inches->dividedBy($block->finishedWidth->inches);
                self::assertTrue($grown->equals($other->finishedHeight->inches->dividedBy($block->finishedHeight->inches)), 'in proportion');
                self::assertEqualsWithDelta(1.0, $grown->toFloat(), 1 / 16 + 1e-9, "seed $seed");
                $shapes = static fn (Face $face): array => array_map(static fn (Patch $patch): array => [$patch->fabric->key, count($patch->outline->points)], $face->patches);
                self::assertSame($shapes(Face::of($block)), $shapes(Face::of($other)));
            }
            self::assertGreaterThan(20, $handy, 'most come out with every unit on a mark');
        }
    }

    /**
     * What quilters make of the one in the other unit: common practice, no published source.
     *
     * @return array<string, array{int, string, string, string}>
     */
    public static function usual(): array
    {
        return [
            'a foot in four is 300 mm' => [4, '12', 'mm', '300'],
            '300 mm in four is a foot' => [4, '300', 'in', '12'],
            '9 in in three is 225 mm' => [3, '9', 'mm', '225'],
            'small units go by the single millimetre' => [4, '2', 'mm', '52'],
            'small units go by the eighth' => [4, '74', 'in', '3'],
            'from 20 mm on by five' => [4, '3 1/4', 'mm', '80'],
            'from 2 in on by the half' => [4, '264', 'in', '10'],
            'three of 22 mm are three of 7/8 in' => [3, '66', 'in', '2 5/8'],
        ];
    }

    #[DataProvider('usual')]
    public function test_usual_sizes(int $columns, string $side, string $to, string $expected): void
    {
        $row = implode(' ', array_fill(0, $columns, 'hAB'));
        $unit = LengthUnit::from($to);
        $file = ['units' => $unit === LengthUnit::Inch ? 'mm' : 'in', 'seam_allowance' => $unit === LengthUnit::Inch ? '6' : '1/4', 'finished' => ['width' => $side, 'height' => $side]] + Blocks::file(...array_fill(0, $columns, $row));
        self::assertSame($expected, OtherUnit::sensibly(BlockFile::read($file), $unit, Length::ofInches(1, 4))->finishedWidth->toText($unit));
    }

    public function test_flipped_corners_grow_with_the_block(): void
    {
        $file = Blocks::file('pA pB', 'pB pA');
        $file['finished'] = ['width' => '12', 'height' => '12'];
        $file['cells'][0] = ['row' => 1, 'column' => 1, 'unit' => 'flipped-corners', 'fabrics' => ['A'], 'corners' => ['tl' => ['fabric' => 'B', 'size' => '2']]];
        $other = OtherUnit::sensibly(BlockFile::read($file), LengthUnit::Millimetre, Length::ofInches(1, 4));
        self::assertSame('300', $other->finishedWidth->toText(LengthUnit::Millimetre));
        self::assertSame('50', BlockFileWriter::write($other)['cells'][0]['corners']['tl']['size']);
    }
}
