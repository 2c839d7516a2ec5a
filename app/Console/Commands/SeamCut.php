<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\BlockFiles\FileNotReadable;
use App\Documents\CutDocument;
use App\Workings\WorkedFile;
use App\Workings\WorkedTop;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Making\ChosenBuilds;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\FilePlan;
use KeenSeam\Core\Making\PatternCheck;
use KeenSeam\Core\Making\Preference;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Top\Top;

final class SeamCut extends SeamCommand
{
    use CutOptions;
    use PressOptions;

    protected $signature = 'seam:cut
        {file : a block file, *.keenseam.json, or a top file, *.keentop.json}
        {--blocks=1 : how many of the block}
        {--prefer=least-cloth : how ways to make a unit are weighed: least-cloth, accuracy or fewest-cuts}
        {--width= : usable width of the fabric; 42 in if not given}
        {--pattern= : a text file with a pattern\'s own list, a line a cut: fabric, size, count, cut once or cut twice}'.self::PRESS_OPTIONS.self::CUT_OPTIONS;

    protected $description = 'Print as JSON what to cut for a block, how its units are made and how much fabric that takes.';

    protected function answer(Block $block, FilePlan $kept): array
    {
        $question = $this->questionIn($block->unit);
        $file = new WorkedFile($block, $kept, $this->orderAsked(), $question, $this->pressAsked(), $this->untilTime(self::TIME_LIMIT));
        [$drawn, $plan, $sewn] = [$file->drawn(), $file->cutting(), $file->sewn()];
        $file->locks();
        $this->tell($file->leftOut);
        $pattern = $this->option('pattern');

        return CutDocument::of($plan, $sewn === $drawn ? null : ChosenBuilds::samePatches($drawn, $sewn), is_string($pattern) ? PatternCheck::of($plan, $this->textOf($pattern)) : null);
    }

    protected function answerTop(Top $top): array
    {
        $placed = (new WorkedTop($top, $this->orderOfTopAsked(), $this->pressAsked(), $this->untilTime(self::TIME_LIMIT_OF_TOP)))->placed();
        $plan = CuttingPlan::of($placed->construction, $this->questionIn($top->unit), $top);
        $pattern = $this->option('pattern');

        return CutDocument::of($plan, null, is_string($pattern) ? PatternCheck::of($plan, $this->textOf($pattern)) : null);
    }

    private function questionIn(LengthUnit $unit): CutQuestion
    {
        $width = $this->option('width');
        $usable = is_string($width) ? Length::parse($width, $unit) : null;
        if ($usable?->isPositive() === false) {
            throw OptionNotKnown::length('width', (string) $width);
        }

        return $this->cutQuestion($this->whole('blocks', $this->option('blocks')), $this->oneOf('prefer', Preference::class), $usable?->in($unit));
    }

    private function textOf(string $path): string
    {
        $text = is_file($path) ? @file_get_contents($path) : false;

        return $text === false ? throw FileNotReadable::missing($path) : $text;
    }
}
