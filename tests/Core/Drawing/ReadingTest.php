<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Drawing\FaceSketch;
use KeenSeam\Core\Drawing\Palette;
use KeenSeam\Core\Drawing\Reading\CssColour;
use KeenSeam\Core\Drawing\Reading\DrawingNotReadable;
use KeenSeam\Core\Drawing\Reading\DrawnBlock;
use KeenSeam\Core\Drawing\Reading\SvgShapes;
use KeenSeam\Core\Drawing\Reading\Tiling;
use KeenSeam\Core\Drawing\Svg;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Blocks;

/** A drawing becomes the block that one sees. */
final class ReadingTest extends TestCase
{
    /** @return list<array{int}> */
    public static function seeds(): array
    {
        return array_map(static fn (int $seed): array => [$seed], range(1, 10));
    }

    #[DataProvider('seeds')]
    public function test_the_picture_of_a_block_gives_the_block_back(int $seed): void
    {
        $face = Blocks::construction(Blocks::generated($seed, 2 + $seed % 4, 2 + $seed % 3))->face;
        $drawn = self::block(Svg::of(FaceSketch::of($face, Palette::ofFabrics($face->block->fabrics)), 377));
        self::assertSame([], $drawn->says);
        $read = Face::of(BlockFile::read($drawn->file));
        self::assertCount(count($face->patches), $read->patches);
        [$wide, $high] = $face->finishedSize();
        for ($x = 0.0137; $x < 1; $x += 0.0611) {
            for ($y = 0.0171; $y < 1; $y += 0.0583) {
                self::assertSame(self::colourAt($face, $x, $y), self::colourAt($read, $x, $y), "at $x, $y");
            }
        }
        self::assertEqualsWithDelta($high / $wide, $read->finishedSize()[1] / $read->finishedSize()[0], 0.02);
    }

    #[DataProvider('seeds')]
    public function test_of_shapes_on_each_other_the_uppermost_is_seen(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $colours = ['#aa0000', '#00aa00', '#0000aa', '#aaaa00'];
        $shapes = [['points' => [[0, 0], [8, 0], [8, 8], [0, 8]], 'colour' => '#eeeeee']];
        for ($i = 0; $i < 6; ++$i) {
            [$x, $y] = [$random->getInt(0, 5), $random->getInt(0, 5)];
            [$w, $h] = [$random->getInt(1, 8 - $x), $random->getInt(1, 8 - $y)];
            $shapes[] = ['points' => $random->getInt(0, 2) === 0 && $w >= 2 && $h >= 2
                ? [[$x, $y], [$x + $w, $y], [$x + $w, $y + 1], [$x + 1, $y + 1], [$x + 1, $y + $h], [$x, $y + $h]] // with a dent
                : [[$x, $y], [$x + $w, $y], [$x + $w, $y + $h], [$x, $y + $h]], 'colour' => $colours[$i % 4]];
        }
        $svg = '<svg xmlns="http://www.w3.org/2000/svg">'.implode('', array_map(static fn (array $shape): string => sprintf('<polygon points="%s" fill="%s"/>', implode(' ', array_map(static fn (array $point): string => implode(',', $point), $random->getInt(0, 1) === 0 ? $shape['points'] : array_reverse($shape['points']))), $shape['colour']), $shapes)).'</svg>';
        $face = Face::of(BlockFile::read(self::block($svg)->file));
        for ($x = 0; $x < 8; ++$x) {
            for ($y = 0; $y < 8; ++$y) {
                $on = array_filter($shapes, static fn (array $shape): bool => Tiling::holds(array_map(static fn (array $point): array => [(float) $point[0], (float) $point[1]], $shape['points']), [$x + 0.5, $y + 0.5]));
                self::assertSame(end($on)['colour'] ?? '', self::colourAt($face, ($x + 0.47) / 8, ($y + 0.53) / 8), "cell $x, $y of $svg");
            }
        }
    }

    public function test_the_same_shape_may_be_written_in_many_ways(): void
    {
        $square = '<rect width="60" height="60" fill="#eee"/>';
        $ways = [
            '<polygon points="0,0 60,0 0,60" fill="#204060"/>',
            '<path d="M0 0 60 0 0 60z" fill="#204060"/>',
            '<path d="m 0,0 h60 l-60,60 v-60 Z" fill="#204060"/>',
            '<path d="M0,0 H60 L0,60 V0" fill="rgb(32, 64, 96)"/>',
            '<path d="M0 0 C20 0 40 0 60 0 Q 30 30 0 60 Z" style="stroke:red;fill:#204060"/>',
            '<style>.dark { stroke: none; fill : #204060 }</style><g class="dark"><polyline points="0 0 60 0 0 60"/></g>',
            '<g fill="#204060" transform="translate(60 60) rotate(180)"><polygon points="60 60 0 60 60 0"/></g>',
            '<g transform="scale(2)"><g transform="matrix(-1 0 0 1 30 0)"><polygon fill="#204060ff" points="30,0 0,0 30,30"/></g></g>',
            '<path d="M60 0 H0 V60 L60 0" fill="#204060"/>',
            '<path d="m60,0 h-60 v 60z" fill="#204060"/>',
            '<path d="M0 60V0H60z" fill="#204060"/>',
            '<path d="m0 60 v-60 h60" fill="#204060"/>',
            '<polygon transform="scale(2 3) translate(5, 0) skewX(0)" points="-5,0 25,0 -5,20" fill="#204060"/>',
            '<polygon points="0.05,-0.06 59.96,0 0,60.07" fill="#204060"/>',
        ];
        $files = array_map(static fn (string $way): array => self::block("<svg xmlns=\"http://www.w3.org/2000/svg\">$square$way</svg>")->file, $ways);
        foreach ($files as $i => $file) {
            self::assertSame($files[0], $file, $ways[$i]);
        }
        self::assertSame([['row' => 1, 'column' => 1, 'unit' => 'half-square-triangle', 'fabrics' => ['B', 'A']]], $files[0]['cells']);
    }

    public function test_where_shapes_cross_between_the_parts_of_the_grid_the_crossing_is_exact(): void
    {
        foreach (['points="0,0 80,0 0,40"' => [[0.5, 0.25], [0.25, 0.375]], 'points="0,0 40,0 0,80"' => [[0.25, 0.5], [0.375, 0.25]]] as $triangle => $inside) {
            $file = self::block("<svg xmlns=\"http://www.w3.org/2000/svg\"><rect width=\"80\" height=\"80\" fill=\"#eee\"/><polygon $triangle fill=\"#204060\"/><rect x=\"20\" y=\"20\" width=\"60\" height=\"60\" fill=\"#a04020\"/></svg>")->file;
            $face = Face::of(BlockFile::read($file));
            $area = array_sum(array_map(static fn ($patch): int => $patch->outline->areaDoubled(), $face->patches));
            $dark = array_sum(array_map(static fn ($patch): int => $patch->fabric->color === '#204060' ? $patch->outline->areaDoubled() : 0, $face->patches));
            // A quarter of the square, without the corner at 20, 20 that is covered: 20 by 10, halved.
            self::assertEqualsWithDelta((1600 - 100) / 6400, $dark / $area, 1e-9);
            self::assertSame('#a04020', self::colourAt($face, 0.9, 0.9));
        }
    }

    /** A column and white cloth beside it stay that, whether or not a triangle lies on the column: no row runs through both. */
    public function test_what_shapes_leave_of_each_other_is_parted_where_that_makes_fewer_cells(): void
    {
        $column = '<rect width="8" height="8" fill="white"/><polygon fill="red" points="0,0 2,0 2,8 0,8"/>';
        $file = self::block("<svg viewBox=\"0 0 8 8\" xmlns=\"http://www.w3.org/2000/svg\">$column<polygon fill=\"green\" points=\"0,4 2,4 1,2\"/></svg>")->file;

        self::assertSame(['2', '6'], $file['columns']);
        self::assertCount(1, $file['rows']);
        self::assertSame(['grid', 'plain'], array_column($file['cells'], 'unit'));
        self::assertSame(['split-quarter-square-triangle', 'plain'], array_column($file['cells'][0]['cells'], 'unit'));
        $across = self::block("<svg viewBox=\"0 0 8 8\" xmlns=\"http://www.w3.org/2000/svg\"><g transform=\"matrix(0 1 1 0 0 0)\">$column<polygon fill=\"green\" points=\"0,4 2,4 1,2\"/></g></svg>")->file;
        self::assertSame([['2', '6'], 1], [$across['rows'], count($across['columns'])]);
        // Where whole edges cross from side to side both ways, that is the grid.
        $crossed = self::block('<svg viewBox="0 0 8 8" xmlns="http://www.w3.org/2000/svg"><rect width="4" height="2" fill="red"/><rect x="4" width="4" height="2" fill="blue"/><rect y="2" width="4" height="6" fill="blue"/><rect x="4" y="2" width="4" height="6" fill="red"/></svg>')->file;
        self::assertSame([2, 2, ['plain']], [count($crossed['columns']), count($crossed['rows']), array_values(array_unique(array_column($crossed['cells'], 'unit')))]);
    }

    public function test_a_known_unit_is_found_whichever_way_it_lies(): void
    {
        foreach ([0 => 'bl t br', 90 => 'tl r bl', 180 => 'tr b tl', 270 => 'br l tr'] as $turn => $goose) {
            [$width, $height] = $turn % 180 === 0 ? [40, 20] : [20, 40];
            $places = ['tl' => [0, 0], 't' => [$width / 2, 0], 'tr' => [$width, 0], 'r' => [$width, $height / 2], 'br' => [$width, $height], 'b' => [$width / 2, $height], 'bl' => [0, $height], 'l' => [0, $height / 2]];
            $file = self::block(sprintf('<svg xmlns="http://www.w3.org/2000/svg"><rect width="%d" height="%d" fill="#fff"/><polygon fill="teal" points="%s"/></svg>', $width, $height, implode(' ', array_map(static fn (string $place): string => implode(',', $places[$place]), explode(' ', $goose)))))->file;
            self::assertSame(['flying-geese', $turn], [$file['cells'][0]['unit'], $file['cells'][0]['turn'] ?? 0]);
            self::assertSame(['width' => '12', 'height' => $width === 40 ? '6' : '24'], $file['finished']);
        }
        $tall = self::block('<svg xmlns="http://www.w3.org/2000/svg"><rect width="30" height="30" fill="#fff"/><polygon fill="teal" points="0,30 15,0 30,30"/></svg>')->file;
        self::assertSame('triangle-in-square', $tall['cells'][0]['unit']);
    }

    public function test_the_size_is_the_drawings_own_where_it_has_one(): void
    {
        $drawn = static fn (string $head, LengthUnit $unit, ?Fraction $width = null): array => (new DrawnBlock(SvgShapes::in("<svg xmlns=\"http://www.w3.org/2000/svg\" $head><rect x=\"10\" width=\"80\" height=\"40\" fill=\"red\"/></svg>"), 'Ebb', $unit, $width))->file['finished'];
        self::assertSame(['width' => '8', 'height' => '4'], $drawn('width="10in" height="10in" viewBox="0 0 100 100"', LengthUnit::Inch));
        self::assertSame(['width' => '200', 'height' => '100'], $drawn('width="25cm" viewBox="0 0 100 100"', LengthUnit::Millimetre));
        self::assertSame(['width' => '12', 'height' => '6'], $drawn('width="400"', LengthUnit::Inch));
        self::assertSame(['width' => '300', 'height' => '150'], $drawn('', LengthUnit::Millimetre));
        self::assertSame(['width' => '9 1/2', 'height' => '4 3/4'], $drawn('width="10in" viewBox="0 0 100 100"', LengthUnit::Inch, Fraction::of(19, 2)));
    }

    public function test_what_cannot_be_a_patch_is_told_by_name_and_the_rest_is_read(): void
    {
        $drawn = self::block('<svg xmlns="http://www.w3.org/2000/svg"><title>Ebb</title><rect width="20" height="20" fill="#eee"/><circle r="3" id="sun"/><text>Tide</text><rect width="5" height="5" rx="1"/><path d="M0 0 A5 5 0 0 1 9 9Z"/><path d="M0 0H9V9H0Z M2 2H4V4H2Z"/><polygon points="0,0 9,0 9,9" fill="none"/><rect width="9" height="9" fill="url(#shade)"/><use href="#sun"/><line x2="4"/><g display="none"><rect width="10" height="20" fill="#000"/></g><polygon fill="#333" points="0,0 20,0 20,20"/></svg>');
        self::assertSame([
            'Shape 2, a circle called "sun", is round; only straight edges can be sewn here. It is left out.',
            'Shape 3, words, is writing. It is left out.',
            'Shape 4, a rectangle, has round corners; only straight edges can be sewn here. It is left out.',
            'Shape 5, a path, has a curve; only straight edges can be sewn here. It is left out.',
            'Shape 6, a path, has a hole; draw it without, and what lies in the hole as a shape on top. It is left out.',
            'Shape 7, a polygon, has no fill; give it the colour of its fabric. It is left out.',
            'Shape 8, a rectangle, is filled with "url(#shade)", which is no plain colour. It is left out.',
            'Shape 9, a copy, is a copy that stands for another shape; make it a shape of its own in your drawing program. It is left out.',
        ], $drawn->says);
        self::assertSame('half-square-triangle', $drawn->file['cells'][0]['unit']);
        $open = self::block('<svg xmlns="http://www.w3.org/2000/svg"><rect width="10" height="10" fill="#a00"/><rect x="10" y="10" width="10" height="10" fill="#a00"/></svg>');
        self::assertSame(['50 % of the block is covered by no shape: it is taken for a white ground.'], $open->says);
        self::assertSame(['B', 'A', 'A', 'B'], array_merge(...array_column($open->file['cells'], 'fabrics')));
    }

    /** @return list<array{string, string}> */
    public static function refused(): array
    {
        return [
            ['no drawing', 'This is no drawing in SVG. Save it as SVG in your drawing program, and choose that file.'],
            ['<html><body/></html>', 'This is no drawing in SVG. Save it as SVG in your drawing program, and choose that file.'],
            ['<!DOCTYPE svg [<!ENTITY a "b">]><svg xmlns="http://www.w3.org/2000/svg"><rect width="9" height="9"/></svg>', 'This is no drawing in SVG. Save it as SVG in your drawing program, and choose that file.'],
            ['<svg xmlns="http://www.w3.org/2000/svg"><line x2="9"/></svg>', 'No shape in this drawing is filled and has straight edges. Fill the patches with the colours of their fabrics.'],
            ['<svg xmlns="http://www.w3.org/2000/svg"><polygon points="0,0 5,5 9,9" fill="red"/><rect height="9" fill="red"/></svg>', ''],
            ['<svg xmlns="http://www.w3.org/2000/svg"><rect width="0" height="9"/></svg>', 'The shapes of this drawing cover no area. Draw the patches as large as they are.'],
            ['<svg xmlns="http://www.w3.org/2000/svg">'.str_repeat('<rect width="1" height="9"/>', 4001).'</svg>', 'The drawing has 4001 shapes; at most 4000 can be read. Draw one block by itself.'],
            ['<svg xmlns="http://www.w3.org/2000/svg"><polygon points="50,0 61,35 98,35 68,57 79,91 50,70 21,91 32,57 2,35 39,35" fill="gold"/></svg>', 'Edges of these shapes cross where no grid has a corner, so no exact block comes of it. Draw every patch as a shape of its own, corner on corner, snapped to a grid.'],
        ];
    }

    #[DataProvider('refused')]
    public function test_what_is_no_block_is_refused_in_a_sentence(string $svg, string $says): void
    {
        if ($says === '') {
            self::assertStringContainsString('covers nothing', implode(' ', self::block($svg)->says));

            return;
        }
        $this->expectExceptionObject(new \InvalidArgumentException($says));
        $this->expectException(DrawingNotReadable::class);
        self::block($svg);
    }

    public function test_colours_are_read_as_drawings_write_them(): void
    {
        foreach (['#fff' => '#ffffff', '#1a3' => '#11aa33', '#12abEF' => '#12abef', '#1234' => '#112233', 'rgb(1,2,3)' => '#010203', 'rgba(100%, 0%, 50%, .5)' => '#ff0080', ' SteelBlue ' => '#4682b4', 'blue' => '#0000ff', 'red' => '#ff0000', 'none' => null, 'currentColor' => null, '#12' => null, '' => null, 'ff' => null] as $text => $colour) {
            self::assertSame($colour, CssColour::read((string) $text), (string) $text);
        }
    }

    /** 1 in is 2.54 cm, 25.4 mm, 72 pt, 6 pc and 96 px: CSS Values and Units Module Level 3, section 5.2 (from memory). */
    public function test_every_unit_of_a_drawing_makes_the_same_inch(): void
    {
        foreach (['1in', '2.54cm', '25.4mm', '72pt', '6pc', ' 1.0in '] as $inch) {
            $shapes = SvgShapes::in("<svg xmlns='http://www.w3.org/2000/svg' width='$inch' viewBox='0 0 50 50'><rect width='50' height='50'/></svg>");
            self::assertEqualsWithDelta(25.4 / 50, $shapes->millimetres, 1e-12, $inch);
        }
        self::assertEqualsWithDelta(25.4 / 96, SvgShapes::in("<svg xmlns='http://www.w3.org/2000/svg' width='2in'><rect width='192' height='192'/></svg>")->millimetres ?? 0.0, 1e-12);
        foreach (["width='0in' viewBox='0 0 0 50'", "width='50' viewBox='0 0 50 50'", "width='50px'"] as $unsized) {
            self::assertNull(SvgShapes::in("<svg xmlns='http://www.w3.org/2000/svg' $unsized><rect width='50' height='50'/></svg>")->millimetres, $unsized);
        }
    }

    private static function block(string $svg): DrawnBlock
    {
        return new DrawnBlock(SvgShapes::in($svg), 'Ebb', LengthUnit::Inch);
    }

    /** @param float $x and $y: shares of the face */
    private static function colourAt(Face $face, float $x, float $y): string
    {
        $corners = $face->outline()->points;
        $at = [$x * max(array_map(static fn ($point): int => $point->x, $corners)), $y * max(array_map(static fn ($point): int => $point->y, $corners))];
        foreach ($face->patches as $patch) {
            if (Tiling::holds(array_map(static fn ($point): array => [(float) $point->x, (float) $point->y], $patch->outline->points), $at)) {
                return $patch->fabric->color;
            }
        }

        return '';
    }
}
