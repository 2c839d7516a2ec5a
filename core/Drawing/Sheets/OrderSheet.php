<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing\Sheets;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\OrderReport;
use KeenSeam\Core\Drawing\Fitted;
use KeenSeam\Core\Drawing\GrowthSketch;
use KeenSeam\Core\Drawing\Pages;
use KeenSeam\Core\Drawing\Palette;
use KeenSeam\Core\Drawing\Typesetter;

/** In which order it is sewn, as a film: a picture for every trip to the machine, or for some of them where there would be too much to see. */
final readonly class OrderSheet
{
    /** The fewest first: as large as there is room for. */
    private const FRAMES_IN_A_ROW = [4, 5, 6, 8];

    /** A frame is no higher than this, beside its width. */
    private const TALL = 1.3;

    /** Patches in all frames together, and the fewest frames: what is smaller nobody sees on paper. */
    private const MOST_PATCHES = 40_000;

    private const FEWEST_FRAMES = 6;

    /** Between rows of frames. */
    private const GAP = 4.0;

    public function __construct(private Construction $construction, private Typesetter $setter, private Palette $palette) {}

    /** @param list<Join>|null $between the seams between the blocks of a top: how these are sewn their own sheets show; null for a block */
    public function onto(Pages $pages, ?array $between = null): void
    {
        $report = OrderReport::of($this->construction);
        $from = $between === null || $between === [] ? 0 : min(array_map(static fn (Join $join): int => $report->batchOf[$join->id], $between)) - 1;
        $trips = self::shown(range($from, $report->chainBatches), max(self::FEWEST_FRAMES, intdiv(self::MOST_PATCHES, count($this->construction->face->patches))));
        $pages->begin('In which order it is sewn', 60);
        $counted = static fn (int $count, string $one, string $many): string => $count === 1 ? "1 $one" : "$count $many";
        $pages->add($this->setter->paragraph(sprintf(
            '%s: %s in %s to the machine, %s to the iron; %s to match, the longest seam %s. What stands apart is still to be sewn.%s',
            $this->construction->order->words(),
            $counted($report->joins, 'seam', 'seams'),
            $counted($report->chainBatches, 'trip', 'trips'),
            $counted($report->presses, 'trip', 'trips'),
            $counted($report->matchPoints, 'place', 'places'),
            $report->longestJoin,
            count($trips) <= $report->chainBatches - $from ? ' Not every trip is shown.' : '',
        ), $pages->width), 1.5);
        foreach (self::FRAMES_IN_A_ROW as $across) {
            $width = $pages->column($across);
            $frames = array_map(fn (int $trips): Fitted => $this->frame($report, $trips, $width), $trips);
            if (ceil(count($frames) / $across) * ($frames[0]->height + self::GAP) <= $pages->free()) {
                break;
            }
        }
        foreach (array_chunk($frames, $across) as $row) {
            $pages->add(array_reduce(array_keys($row), static fn (Fitted $set, int $i): Fitted => Fitted::beside($set, $i * ($pages->width - $width) / ($across - 1), $row[$i]), new Fitted(0, [])), self::GAP);
        }
    }

    /**
     * So many of them, the first and the last among them.
     *
     * @param non-empty-list<int> $trips
     *
     * @return non-empty-list<int>
     */
    private static function shown(array $trips, int $most): array
    {
        $last = count($trips) - 1;
        if ($last < $most) {
            return $trips;
        }

        return array_map(static fn (int $frame): int => $trips[(int) round($frame * $last / ($most - 1))], range(0, $most - 1));
    }

    private function frame(OrderReport $report, int $trips, float $width): Fitted
    {
        $sketch = GrowthSketch::of($this->construction, $report, $trips, $this->palette);
        $scale = min($width / $sketch->width, $width * self::TALL / $sketch->height);
        $words = $trips === 0 ? 'cut and made' : "after trip $trips";

        return Fitted::below(1, new Fitted($sketch->height * $scale, $sketch->placed(($width - $sketch->width * $scale) / 2, 0, $scale)), new Fitted(Typesetter::SMALL * 1.3, $this->setter->label($words, $width / 2, Typesetter::SMALL, Typesetter::SMALL)->shapes));
    }
}
