<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing\Sheets;

use KeenSeam\Core\Drawing\Anchor;
use KeenSeam\Core\Drawing\BackSketch;
use KeenSeam\Core\Drawing\Fitted;
use KeenSeam\Core\Drawing\Pages;
use KeenSeam\Core\Drawing\Palette;
use KeenSeam\Core\Drawing\StateMark;
use KeenSeam\Core\Drawing\Typesetter;
use KeenSeam\Core\Guide\RowWords;
use KeenSeam\Core\Pressing\Nesting;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\Rules;
use KeenSeam\Core\Top\Top;

/** The back, large, for the wall above the iron: where every allowance lies, and the same in words row by row. */
final readonly class PressSheet
{
    private const LEGEND = ['nested' => 'nested: ridges lock', 'stacked' => 'stacked: ridge on ridge', 'lopsided' => 'lopsided: one side open', 'flat' => 'flat: open to open, pin'];

    /** Of more patches nobody could read on a page where the allowances lie. */
    private const MOST_PATCHES = 3000;

    /** Share of the page that the back takes at most. */
    private const TALL = 0.78;

    public function __construct(private Typesetter $setter, private Palette $palette) {}

    /**
     * @param string   $title    "How it is pressed"
     * @param bool     $hasRows  whether its rows are told in words too
     * @param Top|null $bordered the top whose borders are drawn round it
     */
    public function onto(Pages $pages, PressingPlan $plan, string $title, bool $hasRows = true, ?Top $bordered = null): void
    {
        if (count($plan->construction->face->patches) <= self::MOST_PATCHES) {
            $this->back($pages, $plan, $title, $bordered);
        } else {
            $pages->begin($title, 60);
            $pages->add($this->setter->paragraph('Drawn on one page the back would be too small to be read; keep it as a picture, and look at it as large as you like. '.$this->crossings($plan), $pages->width), 2);
        }
        $rows = $hasRows ? RowWords::of($plan, new Rules($plan->construction)) : [];
        $pages->columns(array_map(fn (RowWords $row): Fitted => $this->setter->paragraph([[$row->title.': ', true], [$row->way.($row->why === null ? '' : ', '.$row->why), false]], $pages->column(3)), $rows), 3, 0.6);
    }

    private function back(Pages $pages, PressingPlan $plan, string $title, ?Top $bordered): void
    {
        $sketch = BackSketch::of($plan, $this->palette, $bordered);
        $scale = min($pages->width / $sketch->width, self::TALL * $pages->height() / $sketch->height);
        $pages->begin($title, $sketch->height * $scale + 22);
        $pages->add(new Fitted($sketch->height * $scale, $sketch->placed(($pages->width - $sketch->width * $scale) / 2, 0, $scale)), 2);
        $pages->add($this->setter->paragraph('The back, as you look at it; arrows lie across the seams and point to where the allowances go. '.$this->crossings($plan), $pages->width), 2);
        $pages->add($this->legend($plan), 1.5);
    }

    private function crossings(PressingPlan $plan): string
    {
        $counts = array_filter(array_map(static fn (Nesting $nesting): string => $plan->count($nesting) === 0 ? '' : $plan->count($nesting).' '.$nesting->value, Nesting::cases()), static fn (string $words): bool => $words !== '');
        $all = count($plan->matches);

        return sprintf('%s At most %d layers lie on each other.', match (true) {
            $all === 0 => 'No seams have to meet.',
            $all === 1 => 'One crossing: '.implode('', $counts).'.',
            default => $all.' crossings: '.implode(', ', $counts).'.',
        }, max([1, ...$plan->peaks()]));
    }

    /** Of the marks that are there. */
    private function legend(PressingPlan $plan): Fitted
    {
        $right = 0.0;
        $shapes = [];
        foreach (Nesting::cases() as $nesting) {
            if ($plan->count($nesting) > 0) {
                array_push($shapes, ...StateMark::of($nesting, [$right + 2.4, 2.4], 4.6), ...$this->setter->label(self::LEGEND[$nesting->value], $right + 6, 3.5, Typesetter::SMALL, Anchor::Start)->shapes);
                $right += 12 + $this->setter->width(self::LEGEND[$nesting->value], Typesetter::SMALL, false);
            }
        }

        return new Fitted($shapes === [] ? 0.0 : 4.8, $shapes);
    }
}
