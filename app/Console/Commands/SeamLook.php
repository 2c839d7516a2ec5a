<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Documents\LookDocument;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Face;

final class SeamLook extends SeamCommand
{
    protected $signature = 'seam:look
        {file : a block file, *.keenseam.json}
        {--order=rows : how to sew: rows, columns, quarters, diagonal, around or best}';

    protected $description = 'Print as JSON how the units of a block lie: odd ones out, hands, look-alikes and a sentence for each.';

    protected function answer(Block $block): array
    {
        return LookDocument::of(Construction::of(Face::of($block), $this->oneOf('order', Order::class)));
    }
}
