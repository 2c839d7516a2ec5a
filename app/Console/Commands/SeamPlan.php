<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Documents\PlanDocument;
use App\Documents\TopDocument;
use App\Workings\WorkedFile;
use App\Workings\WorkedTop;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Making\FilePlan;
use KeenSeam\Core\Pressing\EqualParts;
use KeenSeam\Core\Top\Top;

final class SeamPlan extends SeamCommand
{
    use CutOptions;
    use PressOptions;

    protected $signature = 'seam:plan
        {file : a block file, *.keenseam.json, or a top file, *.keentop.json}
        {--two-piles=* : a unit class, like U1, that may be pressed in two piles}
        {--equal-parts=apart : how equal parts within one unit of patches are pressed: apart or alike}
        {--time-limit= : seconds for the search; then the best plan so far is printed with its gap}'.self::PRESS_OPTIONS.self::CUT_OPTIONS;

    protected $description = 'Print the order of sewing and the pressing plan of a block or a top as JSON.';

    protected function answer(Block $block, FilePlan $kept): array
    {
        $file = new WorkedFile($block, $kept, $this->orderAsked(), $this->cutQuestion(), $this->pressAsked($this->oneOf('equal-parts', EqualParts::class)), $this->untilTime($this->amount('time-limit') ?? self::TIME_LIMIT));

        $plan = $file->plan(...$this->twoPiles($file->sewn()));
        $this->tell($file->leftOut);

        return PlanDocument::of($plan, $file->style());
    }

    protected function answerTop(Top $top): array
    {
        $asked = $this->pressAsked($this->oneOf('equal-parts', EqualParts::class));
        $worked = new WorkedTop($top, $this->orderOfTopAsked(), $asked, $this->untilTime($this->amount('time-limit') ?? $this->limitOf($top, $asked->style)));

        return TopDocument::of($worked->plan(), $worked->style());
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
