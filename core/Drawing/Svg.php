<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

/** Writes a sketch as a picture that any browser and drawing program reads. */
final class Svg
{
    private const DOTS = 600;

    /** Shipped with the screens; elsewhere what there is. */
    private const TYPE = "'Source Sans 3 Variable', 'Source Sans 3', sans-serif";

    private const DECIMALS = 4;

    /** For the screen: its longer side is as many dots. */
    public static function picture(Sketch $sketch, string $title = ''): string
    {
        return self::of($sketch, self::DOTS * min(1.0, $sketch->width / $sketch->height), title: $title);
    }

    /**
     * @param float  $width of the picture; its height follows
     * @param string $unit  of that: pixels where it is left out, or "mm"
     * @param string $title read aloud, and shown by browsers
     */
    public static function of(Sketch $sketch, float $width, string $unit = '', string $title = ''): string
    {
        return sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" viewBox="%s" width="%s" height="%s"%s>%s%s</svg>',
            implode(' ', array_map(self::number(...), [$sketch->left, $sketch->top, $sketch->width, $sketch->height])),
            self::number($width).$unit,
            self::number($width * $sketch->height / $sketch->width).$unit,
            $title === '' ? '' : ' role="img"',
            $title === '' ? '' : '<title>'.self::text($title).'</title>',
            implode('', array_map(self::shape(...), $sketch->shapes)),
        );
    }

    private static function shape(Shape $shape): string
    {
        return match (true) {
            $shape instanceof Area => sprintf('<polygon%s points="%s" fill="%s"%s/>', self::part($shape->part), self::points($shape->corners()), $shape->fill ?? 'none', $shape->edge === null ? '' : sprintf(' stroke="%s" stroke-width="%s" stroke-linejoin="round"', $shape->edge, self::number($shape->thick))),
            $shape instanceof Stroke => sprintf('<polyline%s points="%s" fill="none" stroke="%s" stroke-width="%s"%s/>', self::part($shape->part), self::points($shape->points()), $shape->colour, self::number($shape->thick), $shape->dashes === [] ? '' : sprintf(' stroke-dasharray="%s"', implode(' ', array_map(self::number(...), $shape->dashes)))),
            $shape instanceof Lettering => sprintf('<text x="%s" y="%s" font-family="%s" font-size="%s"%s fill="%s"%s>%s</text>', self::number($shape->x), self::number($shape->y), self::TYPE, self::number($shape->size), $shape->isBold ? ' font-weight="700"' : '', $shape->colour, $shape->anchor === Anchor::Start ? '' : sprintf(' text-anchor="%s"', $shape->anchor->value), self::text($shape->text)),
            default => throw new \LogicException('A shape is an area, a stroke or lettering.'),
        };
    }

    private static function part(string $part): string
    {
        return $part === '' ? '' : sprintf(' class="%s"', $part);
    }

    /** @param list<array{float, float}> $points */
    private static function points(array $points): string
    {
        return implode(' ', array_map(static fn (array $point): string => self::number($point[0]).','.self::number($point[1]), $points));
    }

    private static function number(float $number): string
    {
        return (string) (round($number, self::DECIMALS) + 0.0); // no "-0"
    }

    private static function text(string $text): string
    {
        return htmlspecialchars($text, ENT_XML1 | ENT_QUOTES);
    }
}
