<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Documents\LookDocument;
use App\Documents\TopLookDocument;
use App\Workings\PressAsked;
use App\Workings\WorkedFile;
use App\Workings\WorkedTop;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\FilePlan;
use KeenSeam\Core\Top\Top;

final class SeamLook extends SeamCommand
{
    use OrderOption;

    protected $signature = 'seam:look
        {file : a block file, *.keenseam.json, or a top file, *.keentop.json}'.self::ORDER_OPTION;

    protected $description = 'Print as JSON how the units of a block lie: odd ones out, hands, look-alikes and a sentence for each.';

    protected function answer(Block $block, FilePlan $kept): array
    {
        $file = new WorkedFile($block, $kept, $this->orderAsked(), new CutQuestion(), new PressAsked(), $this->untilTime(self::TIME_LIMIT));
        $drawn = $file->drawn();
        $this->tell($file->leftOut);

        return LookDocument::of($drawn);
    }

    protected function answerTop(Top $top): array
    {
        return TopLookDocument::of((new WorkedTop($top, $this->orderOfTopAsked(), new PressAsked(), $this->untilTime(self::TIME_LIMIT_OF_TOP)))->placed());
    }
}
