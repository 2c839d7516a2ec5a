<?php

declare(strict_types=1);

namespace App\Paper;

use Dompdf\Cpdf;
use KeenSeam\Core\Block\Luminance;
use KeenSeam\Core\Drawing\Anchor;
use KeenSeam\Core\Drawing\Area;
use KeenSeam\Core\Drawing\Lettering;
use KeenSeam\Core\Drawing\Sketch;
use KeenSeam\Core\Drawing\Stroke;

/** Writes printed pages, each a sketch in millimetres, as PDF. */
final readonly class Pdf
{
    private const POINTS = 72 / 25.4;

    public function __construct(private SheetType $type) {}

    /** @param non-empty-list<Sketch> $pages all of one size */
    public function of(array $pages, string $title): string
    {
        $height = $pages[0]->height * self::POINTS;
        $pdf = $this->type->document($pages[0]->width * self::POINTS, $height);
        $pdf->addInfo('Title', $title);
        $pdf->addInfo('Creator', 'Keen Seam');
        foreach ($pages as $number => $page) {
            if ($number > 0) {
                $pdf->newPage();
            }
            foreach ($page->shapes as $shape) {
                match (true) {
                    $shape instanceof Area => $this->area($pdf, $shape, $height),
                    $shape instanceof Stroke => $this->stroke($pdf, $shape, $height),
                    $shape instanceof Lettering => $this->lettering($pdf, $shape, $height),
                    default => throw new \LogicException('A shape is an area, a stroke or lettering.'),
                };
            }
        }

        return $pdf->output();
    }

    private function area(Cpdf $pdf, Area $area, float $height): void
    {
        $corners = self::numbers($area->corners(), $height);
        if ($area->fill !== null) {
            $pdf->setColor(self::colour($area->fill));
            $pdf->polygon($corners, true);
        }
        if ($area->edge !== null) {
            $pdf->setStrokeColor(self::colour($area->edge));
            $pdf->setLineStyle($area->thick * self::POINTS, 'butt', 'round', []);
            // The package leaves an outline open.
            $pdf->polygon([...$corners, ...array_slice($corners, 0, 4)]);
        }
    }

    private function stroke(Cpdf $pdf, Stroke $stroke, float $height): void
    {
        $pdf->setStrokeColor(self::colour($stroke->colour));
        $pdf->setLineStyle($stroke->thick * self::POINTS, 'butt', 'round', array_map(static fn (float $dash): float => round($dash * self::POINTS, 3), $stroke->dashes));
        $points = self::numbers($stroke->points(), $height);
        for ($i = 0; $i + 3 < count($points); $i += 2) {
            $pdf->line($points[$i], $points[$i + 1], $points[$i + 2], $points[$i + 3]);
        }
    }

    private function lettering(Cpdf $pdf, Lettering $words, float $height): void
    {
        $pdf->setColor(self::colour($words->colour));
        $x = $words->x - $this->type->width($words->text, $words->size, $words->isBold) * match ($words->anchor) {
            Anchor::Start => 0,
            Anchor::Middle => 0.5,
            Anchor::End => 1,
        };
        foreach ($this->type->runs($words->text, $words->isBold) as [$run, $file]) {
            $pdf->selectFont($file.'.afm', '', true, true);
            $pdf->addText($x * self::POINTS, $height - $words->y * self::POINTS, $words->size * self::POINTS, $run);
            $x += $this->type->width($run, $words->size, $words->isBold);
        }
    }

    /**
     * @param list<array{float, float}> $places
     *
     * @return list<float>
     */
    private static function numbers(array $places, float $height): array
    {
        return array_merge(...array_map(static fn (array $place): array => [$place[0] * self::POINTS, $height - $place[1] * self::POINTS], $places));
    }

    /**
     * Black and white only: whatever it is printed on looks the same.
     *
     * @return array{float, float, float}
     */
    private static function colour(string $colour): array
    {
        return array_fill(0, 3, array_sum(Luminance::channels($colour)) / 3 / 255);
    }
}
