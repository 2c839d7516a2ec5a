<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Paper\Papers;
use App\Paper\Pdf;
use App\Paper\SheetType;
use App\Paper\ToPrint;
use App\Workings\WorkedFile;
use App\Workings\WorkedTop;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Drawing\Paper;
use KeenSeam\Core\Drawing\Sheets\SheetKind;
use KeenSeam\Core\Guide\BorderSteps;
use KeenSeam\Core\Guide\Chain;
use KeenSeam\Core\Guide\WorkSteps;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\FilePlan;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Matching\TakeUp;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Top\Top;

final class SeamPaper extends SeamCommand
{
    use CutOptions;
    use PressOptions;

    protected $signature = 'seam:paper
        {file : a block file, *.keenseam.json, or a top file, *.keentop.json}
        {out : the sheets to write, *.pdf}
        {--paper= : letter or a4; letter where it measures in inches, a4 where in millimetres, if not given}
        {--sheets= : which, with commas between: cut,templates,order,press,joins,steps; all of these if not given; colouring besides}
        {--blocks=1 : how many of the block}
        {--chain=row-by-row : how rows go through the machine: row-by-row, webbed or twos}
        {--take-up= : what one seam really takes from the width; two allowances if not given}
        {--square-up=units : what is trimmed before it is joined: units or none}'.self::PRESS_OPTIONS.self::CUT_OPTIONS;

    protected $description = 'Print what a quilter takes to the table as one PDF: what to cut, templates at full size, the order, the back, rulers, steps.';

    protected function answer(Block $block, FilePlan $kept): OutFile
    {
        $kinds = $this->kinds();
        $question = $this->cutQuestion($this->whole('blocks', $this->option('blocks')));
        $chain = $this->oneOf('chain', Chain::class);
        $squareUp = $this->oneOf('square-up', SquareUp::class);
        $takeUp = TakeUp::readOrIdeal($this->given('take-up'), $block);
        $file = new WorkedFile($block, $kept, $this->orderAsked(), $question, $this->pressAsked(), $this->untilTime(self::TIME_LIMIT));
        $written = $this->printed($kinds, $block->unit, new ToPrint(
            $block->name,
            $file->cutting(...),
            $file->plan(...),
            static fn (PressingPlan $plan): Drift => new Drift($plan, $takeUp, $squareUp),
            static fn (PressingPlan $plan): array => WorkSteps::of($plan, $file->question(), $chain, $file->drawn(), $squareUp),
        ));
        $this->tell($file->leftOut);

        return $written;
    }

    protected function answerTop(Top $top): OutFile
    {
        $kinds = $this->kinds();
        $asked = $this->pressAsked();
        $question = $this->cutQuestion($this->whole('blocks', $this->option('blocks')));
        $chain = $this->oneOf('chain', Chain::class);
        $squareUp = $this->oneOf('square-up', SquareUp::class);
        $worked = new WorkedTop($top, $this->orderOfTopAsked(), $asked, $this->untilTime($this->limitOf($top, $asked->style)));
        $given = $this->given('take-up');

        return $this->printed($kinds, $top->unit, new ToPrint(
            $top->name,
            static fn (): CuttingPlan => CuttingPlan::of($worked->placed()->construction, $question, $top),
            $worked->plan(...),
            static fn (PressingPlan $plan): Drift => new Drift($plan, TakeUp::readOrIdeal($given, $plan->construction->face->block), $squareUp),
            static fn (PressingPlan $plan): array => [...WorkSteps::of($plan, $question, $chain, $plan->construction, $squareUp), ...BorderSteps::of($top)],
            asPlaced: $top,
        ));
    }

    /** @param list<SheetKind> $kinds */
    private function printed(array $kinds, LengthUnit $unit, ToPrint $thing): OutFile
    {
        $paper = $this->option('paper') === null ? Paper::usualWith($unit) : $this->oneOf('paper', Paper::class);
        $type = new SheetType();
        $pages = (new Papers($type))->pages($thing, $paper, $kinds);
        $out = $this->argument('out');

        return new OutFile($out, (new Pdf($type))->of($pages, $thing->name), sprintf('%s of %s: %s', count($pages) === 1 ? '1 page' : count($pages).' pages', $thing->name, $out));
    }

    /** @return list<SheetKind> in the order of the work */
    private function kinds(): array
    {
        $given = $this->given('sheets');
        if ($given === null) {
            return SheetKind::usual();
        }
        $asked = array_map(trim(...), explode(',', $given));
        foreach ($asked as $one) {
            if (SheetKind::tryFrom($one) === null) {
                throw OptionNotKnown::choice('sheets', $one, array_column(SheetKind::cases(), 'value'));
            }
        }

        return array_values(array_filter(SheetKind::cases(), static fn (SheetKind $kind): bool => in_array($kind->value, $asked, true)));
    }

    private function given(string $option): ?string
    {
        $given = $this->option($option);

        return is_string($given) ? $given : null;
    }
}
