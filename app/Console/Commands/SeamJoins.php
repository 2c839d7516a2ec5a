<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Documents\JoinsDocument;
use App\Workings\WorkedFile;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Matching\TakeUp;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;

final class SeamJoins extends SeamCommand
{
    use CutOptions;

    protected $signature = 'seam:joins
        {file : a block file, *.keenseam.json}
        {--style=nest : how to press: nest, nest-furl, open, dark or mixed}
        {--order=rows : how to sew: rows, columns, quarters, diagonal, around or best}
        {--take-up= : what one seam really takes from the width; two allowances if not given}
        {--square-up=units : what is trimmed before it is joined: units or none}
        {--lock=* : ID:left, ID:right or ID:open, fixes how a join is pressed}'.self::CUT_OPTIONS;

    protected $description = 'Print as JSON what must meet at every join, where it lies and whether it will.';

    protected function answer(Block $block): array
    {
        $given = $this->option('take-up');
        $takeUp = is_string($given) ? TakeUp::read($given, $block) : $block->seamAllowance->in($block->unit)->times(Fraction::of(2));
        $squareUp = $this->oneOf('square-up', SquareUp::class);
        $press = new PressQuestion($this->oneOf('style', PressStyle::class), $this->locks($this->option('lock')));
        $plan = (new WorkedFile($block, $this->oneOf('order', Order::class), $this->cutQuestion(), $press, $this->untilTime(self::TIME_LIMIT)))->plan();

        return JoinsDocument::of($plan, new Drift($plan, $takeUp, $squareUp), $takeUp);
    }
}
