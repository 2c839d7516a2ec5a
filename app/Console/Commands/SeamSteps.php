<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Documents\StepsDocument;
use App\Workings\WorkedFile;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Guide\Chain;
use KeenSeam\Core\Guide\WorkSteps;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;

final class SeamSteps extends SeamCommand
{
    use CutOptions;

    protected $signature = 'seam:steps
        {file : a block file, *.keenseam.json}
        {--style=nest : how to press: nest, nest-furl, open, dark or mixed}
        {--order=rows : how to sew: rows, columns, quarters, diagonal, around or best}
        {--blocks=1 : how many of the block}
        {--chain=row-by-row : how rows go through the machine: row-by-row or webbed}
        {--lock=* : ID:left, ID:right or ID:open, fixes how a join is pressed}'.self::CUT_OPTIONS;

    protected $description = 'Print as JSON everything there is to do to a block, in the order a quilter works.';

    protected function answer(Block $block): array
    {
        $question = $this->cutQuestion($this->whole('blocks', $this->option('blocks')));
        $press = new PressQuestion($this->oneOf('style', PressStyle::class), $this->locks($this->option('lock')));
        $file = new WorkedFile($block, $this->oneOf('order', Order::class), $question, $press, $this->untilTime(self::TIME_LIMIT));

        return StepsDocument::of(WorkSteps::of($file->plan(), $question, $this->oneOf('chain', Chain::class), $file->drawn()));
    }
}
