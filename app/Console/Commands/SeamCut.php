<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Documents\CutDocument;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\Preference;
use KeenSeam\Core\Measure\Length;

final class SeamCut extends SeamCommand
{
    protected $signature = 'seam:cut
        {file : a block file, *.keenseam.json}
        {--blocks=1 : how many of the block}
        {--prefer=least-cloth : how ways to make a unit are weighed: least-cloth, accuracy or fewest-cuts}
        {--width= : usable width of the fabric; 42 in if not given}
        {--way=* : CLASS:WAY, like U1:eight-at-a-time}';

    protected $description = 'Print as JSON what to cut for a block, how its units are made and how much fabric that takes.';

    protected function answer(Block $block): array
    {
        $width = $this->option('width');
        $ways = [];
        foreach ((array) $this->option('way') as $way) {
            [$label, $key] = [...explode(':', is_string($way) ? $way : '', 2), ''];
            $ways[$label] = $key;
        }
        $question = new CutQuestion(
            (int) $this->amount('blocks'),
            $this->oneOf('prefer', Preference::class),
            $ways,
            usableWidth: is_string($width) ? Length::parse($width, $block->unit)->in($block->unit) : null,
        );

        return CutDocument::of(CuttingPlan::of(Construction::of(Face::of($block), Order::Rows), $question));
    }
}
