<?php

declare(strict_types=1);

namespace Tests\Core\Making;

use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\Stage;
use KeenSeam\Core\Making\Way;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/** Every way to make a unit as it is told, stage by stage; read aloud beside the cloth. Common practice, no published source. */
final class StagesReadAloudTest extends TestCase
{
    /** @return iterable<string, array{string, string, string, int, list<string>}> unit, way, what it is called, seams of a batch, and each stage: what is done, to how many, in which words */
    public static function ways(): iterable
    {
        yield 'hAB, two-at-a-time' => ['hAB', 'two-at-a-time', 'two from two squares', 2, [
            'lay 1: Lay the two squares right sides together.',
            'mark 1: Draw a line corner to corner on the wrong side of Sailcloth.',
            'sew 1: Sew on both sides of the line, one allowance away.',
            'cut 1: Cut on the line.',
            'press 2: Open and press.',
            'trim 2: Square up to 3 1/2: the seam on the ruler\'s 45 degree line; two sides, half a turn, two more.',
        ]];
        yield 'hAB, from-triangles' => ['hAB', 'from-triangles', 'from cut triangles', 1, [
            'cut 2: Cut the squares corner to corner.',
            'lay 1: Lay them out as they will lie; long bias sides are handled little.',
            'sew 1: Sew Harbour ink to Sailcloth.',
            'press 1: Open and press.',
            'trim 1: Square up to 3 1/2: the seam on the ruler\'s 45 degree line; two sides, half a turn, two more.',
        ]];
        yield 'hAB, eight-at-a-time' => ['hAB', 'eight-at-a-time', 'eight from two large squares', 4, [
            'lay 1: Lay the two squares right sides together.',
            'mark 1: Draw both diagonals on the wrong side of Sailcloth.',
            'sew 1: Sew on both sides of both lines, one allowance away.',
            'cut 1: Cut through the middle both ways, then on both lines.',
            'press 8: Open and press.',
            'trim 8: Square up to 3 1/2: the seam on the ruler\'s 45 degree line; two sides, half a turn, two more.',
        ]];
        yield 'hAB, four-at-a-time' => ['hAB', 'four-at-a-time', 'four sewn round the edge', 4, [
            'lay 1: Lay the two squares right sides together.',
            'sew 1: Sew all round, one allowance from the edge.',
            'cut 1: Cut corner to corner both ways.',
            'press 4: Open and press: all outer edges are bias now, so starch first and press up and down.',
            'trim 4: Square up to 3 1/2: the seam on the ruler\'s 45 degree line; two sides, half a turn, two more.',
        ]];
        yield 'hAB, foundation-sheets' => ['hAB', 'foundation-sheets', 'on printed sheets, 2 at a time', 2, [
            'lay 1: Lay the two fabrics right sides together, and pin the printed sheet on top.',
            'mark 1: The sheet shows 1 by 1 squares with their diagonals, and the seams beside them.',
            'sew 1: Sew on the printed seams with short stitches.',
            'cut 1: Cut on all other lines.',
            'press 2: Tear the paper off, open and press.',
            'trim 2: Square up to 3 1/2: the seam on the ruler\'s 45 degree line; two sides, half a turn, two more.',
        ]];
        yield 'qABAB, crossed' => ['qABAB', 'crossed', 'two half-square triangles crossed', 4, [
            'lay 1: Lay two squares right sides together.',
            'mark 1: Draw a line corner to corner on the wrong side of Sailcloth.',
            'sew 1: Sew on both sides of the line, one allowance away.',
            'cut 1: Cut on the line.',
            'press 2: Open, and press as the plan has it.',
            'lay 1: Lay two right sides together, seams nested, unlike fabrics on each other.',
            'mark 1: Draw a line corner to corner across the seam.',
            'sew 1: Sew on both sides of the line, one allowance away.',
            'cut 1: Cut on the line.',
            'press 2: Open and press.',
            'trim 2: Square up to 3 1/2: the centre at half the size both ways; two sides, half a turn, two more.',
        ]];
        yield 'qABAB, from-triangles' => ['qABAB', 'from-triangles', 'from four cut triangles', 3, [
            'cut 4: Cut the squares corner to corner.',
            'lay 1: Lay them out as they will lie; long bias sides are handled little.',
            'sew 1: Sew Harbour ink to Sailcloth.',
            'press 1: Open and press. Trim the edge where the next piece is laid straight, one allowance past the seams that end there; never nearer.',
            'sew 1: Sew Harbour ink to Sailcloth.',
            'press 1: Open and press. Trim the edge where the next piece is laid straight, one allowance past the seams that end there; never nearer.',
            'sew 1: Sew Sailcloth and Harbour ink to Sailcloth and Harbour ink.',
            'press 1: Open and press.',
            'trim 1: Square up to 3 1/2: the centre at half the size both ways; two sides, half a turn, two more.',
        ]];
        yield 'qABCB, crossed' => ['qABCB', 'crossed', 'two half-square triangles crossed', 8, [
            'lay 1: Lay two squares right sides together.',
            'mark 1: Draw a line corner to corner on the wrong side of Sailcloth.',
            'sew 1: Sew on both sides of the line, one allowance away.',
            'cut 1: Cut on the line.',
            'lay 1: Lay two squares right sides together.',
            'mark 1: Draw a line corner to corner on the wrong side of Sea glass.',
            'sew 1: Sew on both sides of the line, one allowance away.',
            'cut 1: Cut on the line.',
            'press 4: Open, and press as the plan has it.',
            'lay 2: Lay two right sides together, seams nested, unlike fabrics on each other.',
            'mark 2: Draw a line corner to corner across the seam.',
            'sew 2: Sew on both sides of the line, one allowance away.',
            'cut 2: Cut on the line.',
            'press 4: Open and press.',
            'trim 4: Square up to 3 1/2: the centre at half the size both ways; two sides, half a turn, two more.',
        ]];
        yield 'qABCB, from-triangles' => ['qABCB', 'from-triangles', 'from four cut triangles', 3, [
            'cut 4: Cut the squares corner to corner.',
            'lay 1: Lay them out as they will lie; long bias sides are handled little.',
            'sew 1: Sew Harbour ink to Sailcloth.',
            'press 1: Open and press. Trim the edge where the next piece is laid straight, one allowance past the seams that end there; never nearer.',
            'sew 1: Sew Harbour ink to Sea glass.',
            'press 1: Open and press. Trim the edge where the next piece is laid straight, one allowance past the seams that end there; never nearer.',
            'sew 1: Sew Sea glass and Harbour ink to Sailcloth and Harbour ink.',
            'press 1: Open and press.',
            'trim 1: Square up to 3 1/2: the centre at half the size both ways; two sides, half a turn, two more.',
        ]];
        yield 'sABC, crossed' => ['sABC', 'crossed', 'a half-square triangle and a square crossed', 6, [
            'lay 1: Lay the two smaller squares right sides together.',
            'mark 1: Draw a line corner to corner on the wrong side of Sea glass.',
            'sew 1: Sew on both sides of the line, one allowance away.',
            'cut 1: Cut on the line.',
            'press 2: Open and press: two half-square triangles.',
            'lay 2: Lay each right sides together with a square of the large fabric.',
            'mark 2: Draw a line corner to corner across the seam.',
            'sew 2: Sew on both sides of the line, one allowance away.',
            'cut 2: Cut on the line.',
            'press 4: Open and press.',
            'trim 4: Square up to 3 1/2: the long seam on the 45 degree line, the crossing in the middle; two sides, half a turn, two more.',
        ]];
        yield 'sABC, from-triangles' => ['sABC', 'from-triangles', 'from a large and two small triangles', 2, [
            'cut 3: Cut the squares corner to corner.',
            'lay 1: Lay them out as they will lie; long bias sides are handled little.',
            'sew 1: Sew Sea glass to Harbour ink.',
            'press 1: Open and press. Trim the edge where the next piece is laid straight, one allowance past the seams that end there; never nearer.',
            'sew 1: Sew Harbour ink and Sea glass to Sailcloth.',
            'press 1: Open and press.',
            'trim 1: Square up to 3 1/2: the long seam on the 45 degree line; two sides, half a turn, two more.',
        ]];
        yield 'sABC, stepped' => ['sABC', 'stepped', 'four of one hand, stepped line', 8, [
            'lay 1: Lay the two smaller squares right sides together.',
            'mark 1: Draw both diagonals.',
            'sew 1: Sew along each half of the diagonals, one allowance away and always left of it as you go from the middle out.',
            'cut 1: Cut on both diagonals: four pairs of one hand.',
            'press 4: Open and press.',
            'sew 4: Sew a large triangle to the long side of each.',
            'press 4: Open and press.',
            'trim 4: Square up to 3 1/2: the long seam on the 45 degree line; two sides, half a turn, two more.',
        ]];
        yield 'gABB, four-at-once' => ['gABB', 'four-at-once', 'four at once, without waste', 6, [
            'lay 1: Lay two small squares on opposite corners of the large one, right sides together; clip the tips where they overlap.',
            'mark 1: Draw a line corner to corner across both.',
            'sew 1: Sew on both sides of the line, one allowance away.',
            'cut 1: Cut on the line.',
            'press 2: Open and press: two hearts.',
            'lay 2: Lay a small square on the corner of each heart, right sides together.',
            'mark 2: Draw the line from that corner between the two small triangles.',
            'sew 2: Sew on both sides of the line, one allowance away.',
            'cut 2: Cut on the line.',
            'press 4: Open and press.',
            'trim 4: Square up to 4 1/2 x 2 1/2: the tip one allowance below the raw edge and half way along; two sides, half a turn, two more.',
        ]];
        yield 'gABB, flipped' => ['gABB', 'flipped', 'one at a time, corners flipped', 2, [
            'lay 1: Lay a small square on its corner, right sides together.',
            'mark 1: Draw a line corner to corner on its wrong side.',
            'sew 1: Sew a hair to the waste side of the line.',
            'press 1: Open and look before you cut off the waste; press.',
            'lay 1: Lay the next one on the opposite or the other corner; clip the tips that cross.',
            'mark 1: Draw a line corner to corner on its wrong side.',
            'sew 1: Sew a hair to the waste side of the line.',
            'press 1: Open and look before you cut off the waste; press.',
            'trim 1: Square up to 4 1/2 x 2 1/2: the tip one allowance below the raw edge and half way along; two sides, half a turn, two more.',
        ]];
        yield 'gABB, from-triangles' => ['gABB', 'from-triangles', 'from a large and two small triangles', 2, [
            'cut 3: Cut the squares corner to corner.',
            'lay 1: Lay them out as they will lie; long bias sides are handled little.',
            'sew 1: Sew Sailcloth to Harbour ink.',
            'press 1: Open and press.',
            'sew 1: Sew Harbour ink to Harbour ink and Sailcloth.',
            'press 1: Open and press.',
            'trim 1: Square up to 4 1/2 x 2 1/2: the tip one allowance below the raw edge and half way along; two sides, half a turn, two more.',
        ]];
        yield 'gABB, two-half-squares' => ['gABB', 'two-half-squares', 'as two half-square triangles', 3, [
            'lay 1: Lay a square of each sky on one of the goose\'s, right sides together.',
            'mark 1: Draw a line corner to corner on the wrong side of the sky.',
            'sew 1: Sew on both sides of the line, one allowance away.',
            'cut 1: Cut on the line.',
            'press 2: Open, press, and square the half-square triangles up.',
            'lay 1: Lay a left and a right one side by side, the goose\'s halves meeting in the middle.',
            'sew 1: Sew them together, up the middle.',
            'press 1: Press and check the tip.',
        ]];
        yield 'gABC, two-half-squares' => ['gABC', 'two-half-squares', 'as two half-square triangles', 6, [
            'lay 2: Lay a square of each sky on one of the goose\'s, right sides together: one pair for each sky.',
            'mark 2: Draw a line corner to corner on the wrong side of the sky.',
            'sew 2: Sew on both sides of the line, one allowance away.',
            'cut 2: Cut on the line.',
            'press 4: Open, press, and square the half-square triangles up.',
            'lay 2: Lay a left and a right one side by side, the goose\'s halves meeting in the middle.',
            'sew 2: Sew them together, up the middle.',
            'press 2: Press and check the tip.',
        ]];
        yield 'tABC, template' => ['tABC', 'template', 'cut with templates', 2, [
            'cut 3: Make a template of each outline, with its allowance, and cut round it with the grain arrow along the weave.',
            'lay 1: Lay them out as they will lie; long bias sides are handled little.',
            'sew 1: Sew Sailcloth to Harbour ink.',
            'press 1: Open and press.',
            'sew 1: Sew Sea glass to Harbour ink and Sailcloth.',
            'press 1: Open and press.',
            'trim 1: Square up to 3 1/2: the tip one allowance below the raw edge and half way along; two sides, half a turn, two more.',
        ]];
        yield 'four-patch, from-units' => ['four-patch', 'from-units', 'from its units and patches', 3, [
            'lay 1: Cut and make what lies in it first; lay it out and look.',
            'sew 1: Sew it like a small block, row by row.',
            'trim 1: Square up to 4 1/2: all sides straight; two sides, half a turn, two more.',
        ]];
        yield 'four-patch, strip-sets' => ['four-patch', 'strip-sets', 'from strips, cut across', 2, [
            'lay 1: Lay the strips of a set side by side.',
            'sew 1: Sew them together lengthwise, every other seam from the other end.',
            'press 1: Press as the plan has it.',
            'cut 1: Cut the set of 2 across into 2 of 2 1/2.',
            'sew 1: Sew the cut rows together, seams nested.',
            'trim 1: Square up to 4 1/2: all sides straight; two sides, half a turn, two more.',
        ]];
        yield 'rows of three, strip-sets' => ['three rows', 'strip-sets', 'from strips, cut across', 6, [
            'lay 2: Lay the strips of a set side by side.',
            'sew 2: Sew them together lengthwise, every other seam from the other end.',
            'press 2: Press as the plan has it.',
            'cut 2: Cut the set of 3 across into 2 of 1 1/2. Cut the set of 3 across into 1 of 2 1/2.',
            'sew 1: Sew the cut rows together, seams nested.',
            'trim 1: Square up to 4 1/2: all sides straight; two sides, half a turn, two more.',
        ]];
        yield 'rails, strip-sets' => ['rails', 'strip-sets', 'from strips, cut across', 2, [
            'lay 1: Lay the strips of a set side by side.',
            'sew 1: Sew them together lengthwise, every other seam from the other end.',
            'press 1: Press as the plan has it.',
            'cut 1: Cut the set of 3 across into 1 of 4 1/2.',
            'trim 1: Square up to 4 1/2: all sides straight; two sides, half a turn, two more.',
        ]];
        yield 'oblongs, cut' => ['oblongs', 'cut', 'cut to size', 2, [
            'cut 3: Cut the pieces.',
            'lay 1: Lay them out as they will lie.',
            'sew 1: Sew Sea glass to Harbour ink.',
            'press 1: Open and press.',
            'sew 1: Sew Harbour ink and Sea glass to Sailcloth.',
            'press 1: Open and press.',
            'trim 1: Square up to 4 1/2: all sides straight; two sides, half a turn, two more.',
        ]];
        yield 'corners, flipped' => ['corners', 'flipped', 'corners sewn and flipped', 3, [
            'lay 1: Lay a small square on its corner, right sides together.',
            'mark 1: Draw a line corner to corner on its wrong side.',
            'sew 1: Sew a hair to the waste side of the line.',
            'press 1: Open and look before you cut off the waste; press.',
            'lay 1: Lay the next one on the opposite or the other corner; clip the tips that cross.',
            'mark 1: Draw a line corner to corner on its wrong side.',
            'sew 1: Sew a hair to the waste side of the line.',
            'press 1: Open and look before you cut off the waste; press.',
            'lay 1: Lay the next one on its corner; clip the tips that cross.',
            'mark 1: Draw a line corner to corner on its wrong side.',
            'sew 1: Sew a hair to the waste side of the line.',
            'press 1: Open and look before you cut off the waste; press.',
            'trim 1: Square up to 4 1/2: all sides straight; two sides, half a turn, two more.',
        ]];
        yield 'rejoined, rejoined' => ['rejoined', 'rejoined', 'half-square triangles cut and sewn again', 4, [
            'lay 1: Lay two squares right sides together.',
            'mark 1: Draw a line corner to corner on the wrong side of Sailcloth.',
            'sew 1: Sew on both sides of the line, one allowance away.',
            'cut 1: Cut on the line.',
            'press 2: Open, press, and square up to 5.',
            'cut 2: Cut each through at half of 5, at 2 1/2, along the weave.',
            'turn 4: Turn one half round.',
            'lay 2: Lay the two right sides together, the cut edges on each other.',
            'sew 2: Sew the two together again.',
            'press 2: Open and press.',
            'trim 2: Square up to 4 1/2: take the 1/2 that is too high off the lower edge; two sides, half a turn, two more.',
        ]];
    }

    /** @param list<string> $told */
    #[DataProvider('ways')]
    public function test_it_is_told_as_it_is_done(string $unit, string $key, string $words, int $seams, array $told): void
    {
        $file = preg_match('~^[a-z][A-C]+$~D', $unit) === 1 ? ['finished' => $unit[0] === 'g' ? ['width' => '4', 'height' => '2'] : ['width' => '3', 'height' => '3']] + Blocks::file($unit) : self::drawn($unit);
        $way = array_values(array_filter(CuttingPlan::of(Blocks::construction($file), new CutQuestion())->units[0]->ways, static fn (Way $way): bool => $way->key === $key))[0];

        self::assertSame([$words, $seams], [$way->words, $way->seams]);
        self::assertSame($told, array_map(static fn (Stage $stage): string => sprintf('%s %d: %s', $stage->do->value, $stage->count, $stage->words), $way->stages));
    }

    /** @return array<string, mixed> one cell of 4 in: a four-patch, a square with corners flipped, or a half square cut and sewn again */
    private static function drawn(string $unit): array
    {
        $plain = static fn (int $row, int $column, string $fabric): array => ['row' => $row, 'column' => $column, 'unit' => 'plain', 'fabrics' => [$fabric]];
        $patch = static fn (string $fabric, string $points): array => ['fabric' => $fabric, 'points' => array_map(static fn (string $point): array => explode(',', $point), explode(' ', $points))];

        return ['finished' => ['width' => '4', 'height' => '4'], 'cells' => [['row' => 1, 'column' => 1] + match ($unit) {
            'four-patch' => ['unit' => 'grid', 'columns' => ['1', '1'], 'rows' => ['1', '1'], 'cells' => [$plain(1, 1, 'A'), $plain(1, 2, 'B'), $plain(2, 1, 'B'), $plain(2, 2, 'A')]],
            'three rows' => ['unit' => 'grid', 'columns' => ['1', '1', '2'], 'rows' => ['1', '2', '1'], 'cells' => array_map(static fn (array $cell): array => $plain(...$cell), [[1, 1, 'A'], [1, 2, 'B'], [1, 3, 'C'], [2, 1, 'B'], [2, 2, 'A'], [2, 3, 'C'], [3, 1, 'A'], [3, 2, 'B'], [3, 3, 'C']])],
            'rails' => ['unit' => 'grid', 'columns' => ['1', '1', '2'], 'rows' => ['1'], 'cells' => [$plain(1, 1, 'A'), $plain(1, 2, 'B'), $plain(1, 3, 'C')]],
            'oblongs' => ['unit' => 'patches', 'patches' => [$patch('A', '0,0 1/2,0 1/2,1 0,1'), $patch('B', '1/2,0 1,0 1,1/2 1/2,1/2'), $patch('C', '1/2,1/2 1,1/2 1,1 1/2,1')]],
            'corners' => ['unit' => 'flipped-corners', 'fabrics' => ['A'], 'corners' => array_fill_keys(['tl', 'tr', 'br'], ['fabric' => 'B', 'size' => '1'])],
            default => ['unit' => 'patches', 'patches' => [$patch('A', '0,0 1/2,0 1/2,1/2 0,1'), $patch('B', '0,1 1/2,1/2 1/2,1'), $patch('B', '1/2,0 1,0 1,1/2 1/2,1'), $patch('A', '1,1/2 1,1 1/2,1')]],
        }]] + Blocks::file('pA');
    }
}
