<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing\Sheets;

use KeenSeam\Core\Drawing\Fitted;
use KeenSeam\Core\Drawing\Pages;
use KeenSeam\Core\Drawing\Palette;
use KeenSeam\Core\Drawing\Typesetter;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\StepKind;

/** Everything there is to do, numbered as at the machine, a box to tick at every step. */
final readonly class StepSheet
{
    /** @param list<Step> $steps */
    public function __construct(private array $steps, private Typesetter $setter) {}

    public function onto(Pages $pages): void
    {
        $pages->begin('Step by step', 40);
        $pages->add($this->setter->paragraph(implode(' ', array_map(static fn (StepKind $kind): string => ucfirst($kind->place()).': '.lcfirst($kind->caution()), [StepKind::Cut, StepKind::Join, StepKind::Press])), $pages->width, Typesetter::SMALL, colour: Palette::SOFT), 1.5);
        $width = Typesetter::tickedWidth($pages->column(2));
        $pages->columns(array_map(fn (Step $step, int $i): Fitted => $this->setter->ticked($this->setter->paragraph([
            [($i + 1).'  '.$step->title.'. ', true],
            [$step->text.($step->times > 1 ? " ($step->times times)" : ''), false],
        ], $width)), $this->steps, array_keys($this->steps)), 2, 1.6);
    }
}
