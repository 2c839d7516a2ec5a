<?php

declare(strict_types=1);

namespace App\Paper;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Drawing\Area;
use KeenSeam\Core\Drawing\FaceSketch;
use KeenSeam\Core\Drawing\Fitted;
use KeenSeam\Core\Drawing\Pages;
use KeenSeam\Core\Drawing\Palette;
use KeenSeam\Core\Drawing\Paper;
use KeenSeam\Core\Drawing\Sheets\CutSheet;
use KeenSeam\Core\Drawing\Sheets\JoinsSheet;
use KeenSeam\Core\Drawing\Sheets\OrderSheet;
use KeenSeam\Core\Drawing\Sheets\PressSheet;
use KeenSeam\Core\Drawing\Sheets\SheetKind;
use KeenSeam\Core\Drawing\Sheets\StepSheet;
use KeenSeam\Core\Drawing\Sheets\TemplateSheet;
use KeenSeam\Core\Drawing\Sketch;
use KeenSeam\Core\Drawing\TopMapSketch;
use KeenSeam\Core\Drawing\Typesetter;
use KeenSeam\Core\Guide\TopWords;
use KeenSeam\Core\Making\TopBorders;
use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Matching\Tolerance;
use KeenSeam\Core\Measure\Surd;
use KeenSeam\Core\Pressing\TopPlan;
use KeenSeam\Core\Top\Top;

/** Sets the sheets of a block or a top on pages. */
final readonly class Papers
{
    public function __construct(private SheetType $type) {}

    /**
     * @param list<SheetKind>          $kinds
     * @param \Closure(int): void|null $done  told after each sheet how many are set
     *
     * @return non-empty-list<Sketch> pages, in millimetres
     */
    public function pages(ToPrint $thing, Paper $paper, array $kinds, ?\Closure $done = null): array
    {
        $face = (array_filter($kinds, static fn (SheetKind $kind): bool => $kind->isOfThePlan()) === [] ? $thing->cutting()->construction : $thing->plan()->construction)->face;
        $unit = $face->block->unit;
        $setter = new Typesetter($this->type, $unit);
        $palette = Palette::greys($face->block->fabrics);
        [$width, $height] = array_map(static fn (float $side): string => Amount::rounded($side, $unit), $thing->asPlaced === null ? $face->finishedSize() : array_map(static fn (Surd $side): float => $side->toFloat(), TopBorders::size($thing->asPlaced)));
        $size = ($width === $height ? $width : "$width x $height").' '.$unit->value;
        $pages = new Pages($paper, $setter, "$thing->name · $size", implode(', ', [$thing->name, $size.' finished', now()->format('j F Y')]));
        foreach ($kinds as $number => $kind) {
            $this->set($kind, $thing, $pages, $setter, $palette);
            if ($done !== null) {
                $done($number + 1);
            }
        }

        return $pages->done();
    }

    private function set(SheetKind $kind, ToPrint $thing, Pages $pages, Typesetter $setter, Palette $palette): void
    {
        match ($kind) {
            SheetKind::Cut => (new CutSheet($thing->cutting(), $setter, $palette))->onto($pages),
            SheetKind::Templates => (new TemplateSheet($thing->cutting(), $setter))->onto($pages),
            SheetKind::Order => self::order($thing, $pages, $setter, $palette),
            SheetKind::Press => self::press($thing, $pages, $setter, $palette),
            SheetKind::Joins => self::joins($thing, $pages, $setter, $palette),
            SheetKind::Steps => (new StepSheet($thing->steps(), $setter))->onto($pages),
            SheetKind::Colouring => self::colouring($thing, $pages, $setter),
        };
    }

    private static function colouring(ToPrint $thing, Pages $pages, Typesetter $setter): void
    {
        $face = $thing->cutting()->construction->face;
        $sketch = FaceSketch::outlines($face, $thing->asPlaced);
        $pages->begin('To be coloured', $pages->height());
        $scale = min($pages->width / $sketch->width, ($pages->free() - 30) / $sketch->height);
        $pages->add(new Fitted($sketch->height * $scale, $sketch->placed(($pages->width - $sketch->width * $scale) / 2, 0, $scale)));
        $names = array_map(static fn (Fabric $fabric): Fitted => Fitted::beside(new Fitted(6, [Area::rectangle(0, 0, 9, 6, Palette::PAPER, Palette::INK, 0.25)]), 12, $setter->paragraph($fabric->name, $pages->column(3) - 12)), array_values($face->block->fabrics));
        $pages->columns($names, 3, 2);
    }

    private static function order(ToPrint $thing, Pages $pages, Typesetter $setter, Palette $palette): void
    {
        $top = $thing->topPlan();
        if ($top !== null && $thing->asPlaced !== null) {
            self::map($top, $thing->asPlaced, $pages, $setter, $palette);
        }
        (new OrderSheet($thing->plan()->construction, $setter, $palette))->onto($pages, $top?->sewn->between());
    }

    /** Which block lies where, from which pile, turned by how much. */
    private static function map(TopPlan $top, Top $asPlaced, Pages $pages, Typesetter $setter, Palette $palette): void
    {
        $sketch = TopMapSketch::of($top, $asPlaced, $palette, $setter);
        $scale = min($pages->width / $sketch->width, 0.8 * $pages->height() / $sketch->height);
        $pages->begin('Where every block lies', $sketch->height * $scale + 20);
        $pages->add(new Fitted($sketch->height * $scale, $sketch->placed(($pages->width - $sketch->width * $scale) / 2, 0, $scale)));
        $pages->add($setter->paragraph('The number on a block is its pile'.(count(array_unique(array_column($top->sewn->copies, 'made'))) > 1 ? ', the letter which block it is' : '').'; an arrow says how far it is turned from how it was placed.', $pages->width));
        foreach ((new TopWords($top, $asPlaced))->sentences() as $sentence) {
            $pages->add($setter->paragraph($sentence, $pages->width), 1);
        }
    }

    private static function press(ToPrint $thing, Pages $pages, Typesetter $setter, Palette $palette): void
    {
        $sheet = new PressSheet($setter, $palette);
        $top = $thing->topPlan();
        foreach ($top === null ? [] : $top->made as $pile) {
            $sheet->onto($pages, $pile->plan, sprintf('%s%s, pile %d: press %s so', $pile->design->block->name, $pile->mirrored ? ' mirrored' : '', $pile->pile + 1, $pile->count === 1 ? 'one' : $pile->count), ! $pile->mirrored);
        }
        $sheet->onto($pages, $thing->plan(), $top === null ? 'How it is pressed' : 'How the whole top is pressed', $top === null, $thing->asPlaced);
    }

    private static function joins(ToPrint $thing, Pages $pages, Typesetter $setter, Palette $palette): void
    {
        $plan = $thing->plan();
        $top = $thing->topPlan();
        $told = null;
        if ($top !== null) {
            $ids = array_flip(array_map(static fn (Join $join): int => $join->id, $top->sewn->between()));
            $seen = [];
            foreach ($top->sewn->copies as $number => $copy) {
                $ids += isset($seen[$copy->made.$top->piles[$number]]) ? [] : array_flip($copy->joins);
                $seen[$copy->made.$top->piles[$number]] = true;
            }
            $told = static fn (Join $join): bool => isset($ids[$join->id]);
        }
        (new JoinsSheet($plan, $thing->drift(), $thing->tolerance ?? Tolerance::usual($plan->construction->face->block->unit), $setter, $palette))->onto($pages, $told);
    }
}
