<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Documents\PlanDocument;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressStyle;

final class SeamPlan extends SeamCommand
{
    /** Seconds after which a very large block gets the best plan found so far. */
    private const TIME_LIMIT = 20.0;

    protected $signature = 'seam:plan
        {file : a block file, *.keenseam.json}
        {--style=nest : how to press: nest}
        {--order=rows : how to sew: rows}
        {--lock=* : ID:left or ID:right, fixes how a join is pressed}
        {--lump= : plies above which style mixed opens a seam}
        {--time-limit= : seconds for the search; then the best plan so far is printed with its gap}';

    protected $description = 'Print the order of sewing and the pressing plan of a block as JSON.';

    protected function answer(Block $block): array
    {
        $style = $this->oneOf('style', PressStyle::class);
        $order = $this->oneOf('order', Order::class);
        $locks = array_map(
            static fn (mixed $lock): Lock => Lock::parse(is_string($lock) ? $lock : ''),
            array_values((array) $this->option('lock')),
        );
        $this->amount('lump');
        $deadline = microtime(true) + ($this->amount('time-limit') ?? self::TIME_LIMIT);
        $planner = new PressingPlanner(Construction::of(Face::of($block), $order));

        return PlanDocument::of($planner->best($style, $locks, static fn (): bool => microtime(true) > $deadline));
    }
}
