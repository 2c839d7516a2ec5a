<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Documents\StepsDocument;
use App\Workings\WorkedFile;
use App\Workings\WorkedTop;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Guide\BorderSteps;
use KeenSeam\Core\Guide\Chain;
use KeenSeam\Core\Guide\WorkSteps;
use KeenSeam\Core\Making\FilePlan;
use KeenSeam\Core\Top\Top;

final class SeamSteps extends SeamCommand
{
    use CutOptions;
    use PressOptions;

    protected $signature = 'seam:steps
        {file : a block file, *.keenseam.json, or a top file, *.keentop.json}
        {--blocks=1 : how many of the block}
        {--chain=row-by-row : how rows go through the machine: row-by-row, webbed or twos (neighbours in pairs, pairs in pairs, whatever --order says)}'.self::PRESS_OPTIONS.self::CUT_OPTIONS;

    protected $description = 'Print as JSON everything there is to do to a block, in the order a quilter works.';

    protected function answer(Block $block, FilePlan $kept): array
    {
        $question = $this->cutQuestion($this->whole('blocks', $this->option('blocks')));
        $chain = $this->oneOf('chain', Chain::class);
        $file = new WorkedFile($block, $kept, $chain === Chain::Twos ? Order::Twos : $this->orderAsked(), $question, $this->pressAsked(), $this->untilTime(self::TIME_LIMIT));
        $plan = $file->plan();
        $this->tell($file->leftOut);

        return StepsDocument::of(WorkSteps::of($plan, $file->question(), $chain, $file->drawn()));
    }

    protected function answerTop(Top $top): array
    {
        $asked = $this->pressAsked();
        $worked = new WorkedTop($top, $this->orderOfTopAsked(), $asked, $this->untilTime($this->limitOf($top, $asked->style)));
        $plan = $worked->plan()->plan;

        return StepsDocument::of([...WorkSteps::of($plan, $this->cutQuestion($this->whole('blocks', $this->option('blocks'))), $this->oneOf('chain', Chain::class), $plan->construction), ...BorderSteps::of($top)]);
    }
}
