<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Documents\PlanDocument;
use App\Workings\WorkedFile;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Pressing\EqualParts;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;

final class SeamPlan extends SeamCommand
{
    use CutOptions;

    protected $signature = 'seam:plan
        {file : a block file, *.keenseam.json}
        {--style=nest : how to press: nest, nest-furl, open, dark or mixed}
        {--order=rows : how to sew: rows, columns, quarters, diagonal, around or best}
        {--lock=* : ID:left, ID:right or ID:open, fixes how a join is pressed}
        {--lump=10 : plies above which style mixed opens a seam}
        {--two-piles=* : a unit class, like U1, that may be pressed in two piles}
        {--equal-parts=apart : how equal parts within one unit of patches are pressed: apart or alike}
        {--time-limit= : seconds for the search; then the best plan so far is printed with its gap}'.self::CUT_OPTIONS;

    protected $description = 'Print the order of sewing and the pressing plan of a block as JSON.';

    protected function answer(Block $block): array
    {
        $style = $this->oneOf('style', PressStyle::class);
        $press = new PressQuestion($style, $this->locks($this->option('lock')), (int) $this->amount('lump'), equalParts: $this->oneOf('equal-parts', EqualParts::class));
        $file = new WorkedFile($block, $this->oneOf('order', Order::class), $this->cutQuestion(), $press, $this->untilTime($this->amount('time-limit') ?? self::TIME_LIMIT));

        return PlanDocument::of($file->plan(...$this->twoPiles($file->sewn())), $style);
    }

    /** @return list<int> */
    private function twoPiles(Construction $construction): array
    {
        $labels = array_map(static fn (UnitClass $class): string => $class->label(), $construction->classes);

        return array_map(static function (mixed $given) use ($labels): int {
            $index = array_search($given, $labels, true);

            return $index === false ? throw OptionNotKnown::choice('two-piles', is_string($given) ? $given : '', $labels) : (int) $index;
        }, array_values((array) $this->option('two-piles')));
    }
}
