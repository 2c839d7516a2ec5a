<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Workings\WorkedFile;
use App\Workings\WorkedTop;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Drawing\BackSketch;
use KeenSeam\Core\Drawing\DrawnSide;
use KeenSeam\Core\Drawing\FaceSketch;
use KeenSeam\Core\Drawing\Palette;
use KeenSeam\Core\Drawing\Sketch;
use KeenSeam\Core\Drawing\Svg;
use KeenSeam\Core\Making\FilePlan;
use KeenSeam\Core\Top\Top;
use KeenSeam\Core\Top\TopFace;

final class SeamDraw extends SeamCommand
{
    use CutOptions;
    use PressOptions;

    private const MOST_PIXELS = 20_000;

    protected $signature = 'seam:draw
        {file : a block file, *.keenseam.json, or a top file, *.keentop.json}
        {out : the picture to write, *.svg}
        {--side=face : face, back or outlines (to be coloured by hand)}
        {--width=800 : of the picture, in pixels}'.self::PRESS_OPTIONS.self::CUT_OPTIONS;

    protected $description = 'Draw the face of a block or a top, or its back with the allowances as they lie, as SVG.';

    protected function answer(Block $block, FilePlan $kept): OutFile
    {
        $side = $this->oneOf('side', DrawnSide::class);
        $file = new WorkedFile($block, $kept, $this->orderAsked(), $this->cutQuestion(), $this->pressAsked(), $this->untilTime(self::TIME_LIMIT));
        $sketch = match ($side) {
            DrawnSide::Face => FaceSketch::of(Face::of($block), Palette::ofFabrics($block->fabrics)),
            DrawnSide::Outlines => FaceSketch::outlines(Face::of($block)),
            DrawnSide::Back => BackSketch::of($file->plan(), Palette::ofFabrics($block->fabrics)),
        };
        $this->tell($file->leftOut);

        return $this->drawn($sketch, $side, $block->name);
    }

    protected function answerTop(Top $top): OutFile
    {
        $side = $this->oneOf('side', DrawnSide::class);
        $asked = $this->pressAsked();
        $palette = Palette::ofFabrics($top->fabrics);
        $sketch = match ($side) {
            DrawnSide::Face => FaceSketch::of(TopFace::of($top)->face, $palette, $top),
            DrawnSide::Outlines => FaceSketch::outlines(TopFace::of($top)->face, $top),
            DrawnSide::Back => BackSketch::of((new WorkedTop($top, $this->orderOfTopAsked(), $asked, $this->untilTime($this->limitOf($top, $asked->style))))->plan()->plan, $palette, $top),
        };

        return $this->drawn($sketch, $side, $top->name);
    }

    private function drawn(Sketch $sketch, DrawnSide $side, string $name): OutFile
    {
        $given = $this->option('width');
        $width = is_string($given) && preg_match('~^\d{1,6}$~D', $given) === 1 ? (int) $given : 0;
        if ($width < 1 || $width > self::MOST_PIXELS) {
            throw OptionNotKnown::range('width', is_string($given) ? $given : '', 1, self::MOST_PIXELS);
        }
        $out = $this->argument('out');

        return new OutFile($out, Svg::of($sketch, $width, title: sprintf('%s, %s', $name, $side->value))."\n", sprintf('%s of %s drawn: %s', ucfirst($side->value), $name, $out));
    }
}
