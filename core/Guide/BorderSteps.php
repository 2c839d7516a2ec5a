<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Grain;
use KeenSeam\Core\Measure\Surd;
use KeenSeam\Core\Top\Border;
use KeenSeam\Core\Top\Top;

/**
 * How the borders come to a top that is sewn: each strip is cut to what the top really measures, so that the edges lie flat.
 * Sides first, then top and bottom. Common practice, no published source.
 */
final readonly class BorderSteps
{
    private function __construct(private Top $top) {}

    /** @return list<Step> none where there are no borders */
    public static function of(Top $top): array
    {
        $steps = [];
        [$width, $height] = $top->hanging();
        foreach ($top->borders as $number => $border) {
            array_push($steps, ...(new self($top))->around($border, count($top->borders) === 1 ? 'the border' : 'border '.($number + 1), $width, $height));
            $wider = Surd::of($border->width->in($top->unit)->times(Fraction::of(2)));
            [$width, $height] = [$width->plus($wider), $height->plus($wider)];
        }

        return $steps;
    }

    /** @return list<Step> */
    private function around(Border $border, string $name, Surd $width, Surd $height): array
    {
        $across = $this->words(Surd::of($border->width->in($this->top->unit)));
        $wider = $border->corners === null ? $width->plus(Surd::of($border->width->in($this->top->unit)->times(Fraction::of(2)))) : $width;
        $title = ucfirst($name);

        return [
            ...$this->pair($title, 'from top to bottom', $this->words($height), sprintf('Cut both side strips of %s as long as the middle of the three, %s wide.', $name, $across), 'Sew a strip to each side'),
            ...$this->pair(
                $title,
                $border->corners === null ? 'from side to side, the new strips too' : 'from side to side, without the new strips',
                $this->words($wider),
                sprintf('Cut the upper and the lower strip of %s as long as the middle of the three, %s wide%s.', $name, $across, $border->corners === null ? '' : sprintf(', and sew a square of %s of %s to each of their ends; press toward the strip', $this->words(Surd::of($border->width->in($this->top->unit))), $border->corners->name)),
                'Sew one along the top and one along the bottom',
            ),
        ];
    }

    /** @return list<Step> */
    private function pair(string $title, string $way, string $planned, string $cut, string $sew): array
    {
        $step = static fn (StepKind $do, string $text, int $times = 1): Step => new Step($do, [], [], [], $title, $text, $times);

        return [
            $step(StepKind::Measure, sprintf('Measure the top through its middle %s, three times; raw it should be %s.', $way, $planned), 3),
            $step(StepKind::Cut, $cut, 2),
            $step(StepKind::Join, $sew.': pin the middles and the ends first, then ease what is between; the longer of the two lies below, on the feed.', 2),
            $step(StepKind::Press, 'Press toward the border.', 2),
        ];
    }

    /** A raw length to the ruler's marks. */
    private function words(Surd $finished): string
    {
        $raw = $finished->toFloat() + 2 * $this->top->allowance->in($this->top->unit)->toFloat();

        return ltrim(Amount::rounded($raw, $this->top->unit), Grain::ROUNDED).' '.$this->top->unit->value;
    }
}
