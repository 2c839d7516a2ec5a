<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Documents\LookDocument;
use App\Workings\WorkedFile;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;

final class SeamLook extends SeamCommand
{
    protected $signature = 'seam:look
        {file : a block file, *.keenseam.json}
        {--order=rows : how to sew: rows, columns, quarters, diagonal, around or best}';

    protected $description = 'Print as JSON how the units of a block lie: odd ones out, hands, look-alikes and a sentence for each.';

    protected function answer(Block $block): array
    {
        return LookDocument::of((new WorkedFile($block, $this->oneOf('order', Order::class), new CutQuestion(), new PressQuestion(PressStyle::Nest), $this->untilTime(self::TIME_LIMIT)))->drawn());
    }
}
