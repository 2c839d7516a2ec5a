<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing\Reading;

/**
 * The filled, straight-edged shapes of a drawing in SVG (W3C, Scalable Vector Graphics 1.1), from the lowest to the
 * uppermost, with a sentence for each that cannot be a patch.
 */
final class SvgShapes
{
    private const MOST_SHAPES = 4000;

    private const DEEPEST = 40;

    /** Beside the largest extent of a curve: what bends less is straight. */
    private const STRAIGHT = 1e-3;

    /** Millimetres of the units that sizes are written in; pixels are no size of cloth. */
    private const UNITS = ['mm' => 1.0, 'cm' => 10.0, 'in' => 25.4, 'pt' => 25.4 / 72, 'pc' => 25.4 / 6];

    /** @var list<DrawnShape> */
    public array $shapes = [];

    /** @var list<string> a sentence for every shape that was left out */
    public array $says = [];

    public string $title = '';

    /** @var float|null millimetres of one unit of the drawing, where it says so */
    public ?float $millimetres = null;

    /** @var array<string, string> fill by class, as a style sheet in the drawing has it */
    private array $classes = [];

    private int $count = 0;

    private function __construct() {}

    /** @throws DrawingNotReadable */
    public static function in(string $text): self
    {
        $document = new \DOMDocument();
        // Entities of its own make a small file large; no drawing of patches needs any.
        if (stripos($text, '<!ENTITY') !== false || $text === '' || ! @$document->loadXML($text, LIBXML_NONET | LIBXML_COMPACT)) {
            throw DrawingNotReadable::notSvg();
        }
        $root = $document->documentElement;
        if ($root === null || $root->localName !== 'svg') {
            throw DrawingNotReadable::notSvg();
        }
        $read = new self();
        $read->measure($root);
        foreach ($document->getElementsByTagName('style') as $sheet) {
            preg_match_all('~\.([\w-]+)[^{}]*\{[^}]*?(?<![\w-])fill\s*:\s*([^;}]+)~', (string) $sheet->textContent, $rules, PREG_SET_ORDER);
            foreach ($rules as [, $class, $fill]) {
                $read->classes[$class] = trim($fill);
            }
        }
        $read->walk($root, [1, 0, 0, 1, 0, 0], '#000000', 0);
        if ($read->shapes === []) {
            throw DrawingNotReadable::empty();
        }

        return $read;
    }

    private function measure(\DOMElement $root): void
    {
        $box = array_map(floatval(...), preg_split('~[\s,]+~', trim($root->getAttribute('viewBox')), -1, PREG_SPLIT_NO_EMPTY) ?: []);
        if (preg_match('~^\s*([\d.]+)\s*(mm|cm|in|pt|pc)\s*$~', $root->getAttribute('width'), $size) === 1) {
            $width = (float) $size[1] * self::UNITS[$size[2]];
            $this->millimetres = count($box) === 4 ? ($box[2] > 0 ? $width / $box[2] : null) : 25.4 / 96;
        }
    }

    /** @param array{float, float, float, float, float, float} $matrix */
    private function walk(\DOMElement $element, array $matrix, string $fill, int $depth): void
    {
        if ($depth > self::DEEPEST) {
            return;
        }
        foreach ($element->childNodes as $child) {
            if (! $child instanceof \DOMElement || self::isHidden($child)) {
                continue;
            }
            $own = self::times($matrix, self::transform($child->getAttribute('transform')));
            $filled = $this->fill($child, $fill);
            match ($child->localName) {
                'g', 'svg', 'a', 'switch' => $this->walk($child, $own, $filled, $depth + 1),
                'title' => $this->title = $depth === 0 && $this->title === '' ? trim((string) $child->textContent) : $this->title,
                'rect', 'polygon', 'polyline', 'path' => $this->shape($child, $own, $filled),
                'circle', 'ellipse' => $this->leaveOut($child, 'is round; only straight edges can be sewn here'),
                'text' => $this->leaveOut($child, 'is writing'),
                'image' => $this->leaveOut($child, 'is a picture'),
                'use' => $this->leaveOut($child, 'is a copy that stands for another shape; make it a shape of its own in your drawing program'),
                default => null, // lines, definitions and notes of programs are no patches
            };
        }
    }

    /** @param array{float, float, float, float, float, float} $matrix */
    private function shape(\DOMElement $element, array $matrix, string $fill): void
    {
        $colour = $fill === 'none' || $fill === 'transparent' ? null : CssColour::read($fill);
        if ($colour === null) {
            $this->leaveOut($element, $fill === 'none' || $fill === 'transparent' ? 'has no fill; give it the colour of its fabric' : sprintf('is filled with "%s", which is no plain colour', mb_substr($fill, 0, 40)));

            return;
        }
        $outlines = match ($element->localName) {
            'rect' => self::rectangle($element),
            'path' => self::path($element->getAttribute('d')),
            default => [self::points($element->getAttribute('points'))],
        };
        if ($outlines === null) {
            $this->leaveOut($element, $element->localName === 'rect' ? 'has round corners; only straight edges can be sewn here' : 'has a curve; only straight edges can be sewn here');

            return;
        }
        $outlines = array_values(array_filter($outlines, static fn (array $outline): bool => count($outline) >= 3));
        if (count($outlines) > 1 && self::hasHole($outlines)) {
            $this->leaveOut($element, 'has a hole; draw it without, and what lies in the hole as a shape on top');

            return;
        }
        foreach ($outlines as $outline) {
            $this->count();
            $this->shapes[] = new DrawnShape(array_map(static fn (array $corner): array => self::moved($matrix, $corner), $outline), $colour, $this->called($element));
        }
    }

    private function leaveOut(\DOMElement $element, string $why): void
    {
        $this->count();
        $this->says[] = sprintf('%s %s. It is left out.', $this->called($element), $why);
    }

    private function count(): void
    {
        if (++$this->count > self::MOST_SHAPES) {
            throw DrawingNotReadable::tooLarge($this->count, self::MOST_SHAPES);
        }
    }

    private function called(\DOMElement $element): string
    {
        $id = $element->getAttribute('id');
        $words = ['rect' => 'a rectangle', 'polygon' => 'a polygon', 'polyline' => 'a line', 'path' => 'a path', 'circle' => 'a circle', 'ellipse' => 'an ellipse', 'text' => 'words', 'image' => 'an image', 'use' => 'a copy'];

        return sprintf('Shape %d, %s%s,', $this->count, $words[$element->localName] ?? 'a shape', $id === '' ? '' : sprintf(' called "%s"', mb_substr($id, 0, 40)));
    }

    private static function isHidden(\DOMElement $element): bool
    {
        return $element->getAttribute('display') === 'none' || $element->getAttribute('visibility') === 'hidden' || preg_match('~(?<![\w-])(display\s*:\s*none|visibility\s*:\s*hidden)~', $element->getAttribute('style')) === 1;
    }

    private function fill(\DOMElement $element, string $inherited): string
    {
        if (preg_match('~(?<![\w-])fill\s*:\s*([^;]+)~', $element->getAttribute('style'), $style) === 1) {
            return trim($style[1]);
        }
        foreach (preg_split('~\s+~', $element->getAttribute('class'), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $class) {
            if (isset($this->classes[$class])) {
                return $this->classes[$class];
            }
        }
        $own = trim($element->getAttribute('fill'));

        return $own === '' || $own === 'inherit' ? $inherited : $own;
    }

    /** @return list<list<array{float, float}>>|null null where its corners are round */
    private static function rectangle(\DOMElement $element): ?array
    {
        $number = static fn (string $name): float => (float) $element->getAttribute($name);
        [$x, $y, $width, $height] = [$number('x'), $number('y'), $number('width'), $number('height')];

        return $number('rx') > 0 || $number('ry') > 0 ? null : [[[$x, $y], [$x + $width, $y], [$x + $width, $y + $height], [$x, $y + $height]]];
    }

    /** @return list<array{float, float}> */
    private static function points(string $text): array
    {
        $numbers = self::numbers($text);

        return array_map(static fn (array $pair): array => [$pair[0], $pair[1]], array_values(array_filter(array_chunk($numbers, 2), static fn (array $pair): bool => count($pair) === 2)));
    }

    /** @return list<list<array{float, float}>>|null outlines one after the other; null where one bends */
    private static function path(string $text): ?array
    {
        preg_match_all('~([MmLlHhVvZzCcSsQqTtAa])([^MmLlHhVvZzCcSsQqTtAa]*)~', $text, $parts, PREG_SET_ORDER);
        [$outlines, $outline, $x, $y] = [[], [], 0.0, 0.0];
        foreach ($parts as [, $letter, $rest]) {
            $numbers = self::numbers($rest);
            $isRelative = ctype_lower($letter);
            $size = match (strtoupper($letter)) {
                'C' => 6,
                'S', 'Q' => 4,
                'A' => 7,
                'M', 'L', 'T' => 2,
                default => 1,
            };
            if (strtoupper($letter) === 'Z') {
                [$x, $y] = $outline[0] ?? [$x, $y];
                [$outlines[], $outline] = [$outline, []];

                continue;
            }
            foreach (array_chunk($numbers, $size) as $i => $chunk) {
                if (count($chunk) < $size) {
                    break;
                }
                [$fromX, $fromY] = [$x, $y];
                [$endX, $endY] = array_slice([0.0, ...$chunk], -2);
                [$x, $y] = match (strtoupper($letter)) {
                    'H' => [$endY + ($isRelative ? $x : 0), $y],
                    'V' => [$x, $endY + ($isRelative ? $y : 0)],
                    default => [$endX + ($isRelative ? $x : 0), $endY + ($isRelative ? $y : 0)],
                };
                $controls = match (strtoupper($letter)) {
                    'C', 'S', 'Q' => array_slice(array_chunk($chunk, 2), 0, -1),
                    default => [],
                };
                foreach ($controls as $control) {
                    [$controlX, $controlY] = [$control[0] + ($isRelative ? $fromX : 0), ($control[1] ?? 0) + ($isRelative ? $fromY : 0)];
                    $long = hypot($x - $fromX, $y - $fromY);
                    if (abs(($x - $fromX) * ($controlY - $fromY) - ($y - $fromY) * ($controlX - $fromX)) > self::STRAIGHT * $long * max($long, 1e-9)) {
                        return null;
                    }
                }
                if (strtoupper($letter) === 'A' || strtoupper($letter) === 'T') {
                    return null;
                }
                if (strtoupper($letter) === 'M' && $i === 0) {
                    [$outlines[], $outline] = [$outline, []];
                } elseif ($outline === []) {
                    $outline[] = [$fromX, $fromY]; // a new outline goes on from where the last one was closed
                }
                $outline[] = [$x, $y];
            }
        }
        $outlines[] = $outline;

        return $outlines;
    }

    /** @param list<list<array{float, float}>> $outlines whether one of them lies within another */
    private static function hasHole(array $outlines): bool
    {
        foreach ($outlines as $i => $inner) {
            foreach ($outlines as $j => $outer) {
                if ($i !== $j && array_filter($inner, static fn (array $corner): bool => ! Tiling::holds($outer, $corner)) === []) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<float> */
    private static function numbers(string $text): array
    {
        preg_match_all('~[-+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?~', $text, $numbers);

        return array_map(floatval(...), $numbers[0]);
    }

    /** @return array{float, float, float, float, float, float} */
    private static function transform(string $text): array
    {
        $matrix = [1.0, 0.0, 0.0, 1.0, 0.0, 0.0];
        preg_match_all('~(matrix|translate|scale|rotate|skewX|skewY)\s*\(([^)]*)\)~', $text, $parts, PREG_SET_ORDER);
        foreach ($parts as [, $name, $rest]) {
            $n = self::numbers($rest) + array_fill(0, 6, null);
            $turn = deg2rad((float) $n[0]);
            $matrix = self::times($matrix, match ($name) {
                'matrix' => [(float) $n[0], (float) $n[1], (float) $n[2], (float) $n[3], (float) $n[4], (float) $n[5]],
                'translate' => [1.0, 0.0, 0.0, 1.0, (float) $n[0], (float) $n[1]],
                'scale' => [(float) $n[0], 0.0, 0.0, (float) ($n[1] ?? $n[0]), 0.0, 0.0],
                'rotate' => self::times(self::times([1.0, 0.0, 0.0, 1.0, (float) $n[1], (float) $n[2]], [cos($turn), sin($turn), -sin($turn), cos($turn), 0.0, 0.0]), [1.0, 0.0, 0.0, 1.0, -(float) $n[1], -(float) $n[2]]),
                'skewX' => [1.0, 0.0, tan($turn), 1.0, 0.0, 0.0],
                'skewY' => [1.0, tan($turn), 0.0, 1.0, 0.0, 0.0],
            });
        }

        return $matrix;
    }

    /**
     * @param array{float, float, float, float, float, float} $one
     * @param array{float, float, float, float, float, float} $other done first
     *
     * @return array{float, float, float, float, float, float}
     */
    private static function times(array $one, array $other): array
    {
        [$a, $b, $c, $d, $e, $f] = $one;
        [$p, $q, $r, $s, $t, $u] = $other;

        return [$a * $p + $c * $q, $b * $p + $d * $q, $a * $r + $c * $s, $b * $r + $d * $s, $a * $t + $c * $u + $e, $b * $t + $d * $u + $f];
    }

    /**
     * @param array{float, float, float, float, float, float} $matrix
     * @param array{float, float}                             $place
     *
     * @return array{float, float}
     */
    private static function moved(array $matrix, array $place): array
    {
        [$a, $b, $c, $d, $e, $f] = $matrix;

        return [$a * $place[0] + $c * $place[1] + $e, $b * $place[0] + $d * $place[1] + $f];
    }
}
