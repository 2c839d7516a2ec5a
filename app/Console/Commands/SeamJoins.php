<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Documents\JoinsDocument;
use App\Workings\WorkedFile;
use App\Workings\WorkedTop;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Making\FilePlan;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Matching\TakeUp;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Top\Top;

final class SeamJoins extends SeamCommand
{
    use CutOptions;
    use PressOptions;

    protected $signature = 'seam:joins
        {file : a block file, *.keenseam.json, or a top file, *.keentop.json}
        {--take-up= : what one seam really takes from the width; two allowances if not given}
        {--square-up=units : what is trimmed before it is joined: units or none}'.self::PRESS_OPTIONS.self::CUT_OPTIONS;

    protected $description = 'Print as JSON what must meet at every join, where it lies and whether it will.';

    protected function answer(Block $block, FilePlan $kept): array
    {
        $given = $this->option('take-up');
        $takeUp = is_string($given) ? TakeUp::read($given, $block) : $block->seamAllowance->in($block->unit)->times(Fraction::of(2));
        $squareUp = $this->oneOf('square-up', SquareUp::class);
        $file = new WorkedFile($block, $kept, $this->orderAsked(), $this->cutQuestion(), $this->pressAsked(), $this->untilTime(self::TIME_LIMIT));
        $plan = $file->plan();
        $this->tell($file->leftOut);

        return JoinsDocument::of($plan, new Drift($plan, $takeUp, $squareUp), $takeUp);
    }

    protected function answerTop(Top $top): array
    {
        $asked = $this->pressAsked();
        $worked = new WorkedTop($top, $this->orderOfTopAsked(), $asked, $this->untilTime($this->limitOf($top, $asked->style)));
        $given = $this->option('take-up');
        $frame = $worked->placed()->construction->face->block;
        $takeUp = is_string($given) ? TakeUp::read($given, $frame) : $frame->seamAllowance->in($frame->unit)->times(Fraction::of(2));
        $plan = $worked->plan()->plan;

        return JoinsDocument::of($plan, new Drift($plan, $takeUp, $this->oneOf('square-up', SquareUp::class)), $takeUp) + ($top->borders === [] ? [] : ['borders' => JoinsDocument::borders($top)]);
    }
}
