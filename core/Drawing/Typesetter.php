<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Measure\RulerText;

/** Sets words in lines of a given width, fractions as print sets them; sizes and widths in millimetres. */
final readonly class Typesetter
{
    /** Sizes of type: 10, 13 and 20 points, and 8.5 for what is only good to know. */
    public const TEXT = 3.53;

    public const HEADING = 4.6;

    public const TITLE = 7.1;

    public const SMALL = 3.0;

    private const LINE = 1.28;

    /** Of a fraction's figures, beside the type round it, and how far the upper one is raised. */
    private const FIGURES = 0.64;

    private const RAISED = 0.3;

    public function __construct(private TypeWidths $type, private LengthUnit $unit) {}

    /** @param string|list<array{string, bool}> $words runs of them, and whether each is bold */
    public function paragraph(string|array $words, float $width, float $size = self::TEXT, bool $isBold = false, string $colour = Palette::INK): Fitted
    {
        $shapes = [];
        $lines = $this->lines(is_string($words) ? [[$words, $isBold]] : $words, $width, $size);
        foreach ($lines as $number => $line) {
            $right = 0.0;
            foreach ($line as [$text, $bold]) {
                foreach ($this->set($text, $size, $bold, $colour, $right, ($number + 0.78) * $size * self::LINE) as [$shape, $after]) {
                    $shapes[] = $shape;
                    $right = $after;
                }
            }
        }

        return new Fitted(count($lines) * $size * self::LINE, $shapes);
    }

    /** A single line about a place, as far as it goes. */
    public function label(string $text, float $x, float $y, float $size, Anchor $anchor = Anchor::Middle, bool $isBold = false, string $colour = Palette::INK): Fitted
    {
        $text = RulerText::of($text, $this->unit);
        $left = $x - $this->width($text, $size, $isBold) * match ($anchor) {
            Anchor::Start => 0,
            Anchor::Middle => 0.5,
            Anchor::End => 1,
        };

        return new Fitted($size, array_column($this->set($text, $size, $isBold, $colour, $left, $y), 0));
    }

    /** Cut short where it is longer than the width. */
    public function clipped(string $text, float $width, float $size): string
    {
        while ($text !== '' && $this->width($text, $size, false) > $width) {
            $text = mb_substr(rtrim($text, '…'), 0, -1).'…';
            $text = $text === '…' ? '' : $text;
        }

        return $text;
    }

    /** A box to tick, as high as a line. */
    public static function box(float $size = self::TEXT): Fitted
    {
        return new Fitted($size * self::LINE, [Area::rectangle(0.1, $size * 0.12, $size * 0.95, $size * 0.95, null, Palette::INK, 0.25)]);
    }

    /** Words beside a box to tick. */
    public function ticked(Fitted $words): Fitted
    {
        return Fitted::beside(self::box(), self::TEXT * 1.7, $words);
    }

    /** How far ticked() leaves less room. */
    public static function tickedWidth(float $width): float
    {
        return $width - self::TEXT * 1.7;
    }

    public function width(string $text, float $size, bool $isBold): float
    {
        $width = 0.0;
        foreach (self::parts($text) as [$plain, $above, $below]) {
            $width += $plain !== '' ? $this->type->width($plain, $size, $isBold) : $this->type->width($above.'/'.$below, $size * self::FIGURES, $isBold);
        }

        return $width;
    }

    /**
     * @param list<array{string, bool}> $runs
     *
     * @return list<list<array{string, bool}>> lines of runs
     */
    private function lines(array $runs, float $width, float $size): array
    {
        $lines = [];
        $line = [];
        $used = 0.0;
        foreach ($runs as [$text, $isBold]) {
            // A mixed number is one word.
            $text = (string) preg_replace('~(\d) (\d+/\d+)~', "$1\u{a0}$2", RulerText::of($text, $this->unit));
            foreach (preg_split('~(?<= )~', $text, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
                foreach ($this->fitting($word, $width, $size, $isBold) as $piece) {
                    if ($line !== [] && $used + $this->width(rtrim($piece, ' '), $size, $isBold) > $width + 1e-6) {
                        $lines[] = $line;
                        [$line, $used] = [[], 0.0];
                    }
                    $last = array_pop($line) ?? ['', $isBold];
                    array_push($line, ...($last[1] === $isBold ? [[$last[0].$piece, $isBold]] : [$last, [$piece, $isBold]]));
                    $used += $this->width($piece, $size, $isBold);
                }
            }
        }
        $lines[] = $line;

        return $lines;
    }

    /** @return list<string> a word that is wider than the line, in pieces */
    private function fitting(string $word, float $width, float $size, bool $isBold): array
    {
        $pieces = [];
        while ($this->width(rtrim($word, ' '), $size, $isBold) > $width && mb_strlen($word) > 1) {
            $length = mb_strlen($word) - 1;
            while ($length > 1 && $this->width(mb_substr($word, 0, $length), $size, $isBold) > $width) {
                --$length;
            }
            $pieces[] = mb_substr($word, 0, $length);
            $word = mb_substr($word, $length);
        }
        $pieces[] = $word;

        return $pieces;
    }

    /** @return list<array{Lettering, float}> each with where what follows it begins */
    private function set(string $text, float $size, bool $isBold, string $colour, float $x, float $y): array
    {
        $set = [];
        foreach (self::parts($text) as [$plain, $above, $below]) {
            $small = $size * self::FIGURES;
            foreach ($plain !== '' ? [[$plain, $size, 0.0]] : [[$above, $small, self::RAISED * $size], ['/', $small, 0.1 * $size], [$below, $small, 0.0]] as [$run, $as, $raised]) {
                $next = $x + $this->type->width($run, $as, $isBold);
                $set[] = [new Lettering($x, $y - $raised, $run, $as, $isBold, $colour), $next];
                $x = $next;
            }
        }

        return $set;
    }

    /** @return list<array{string, string, string}> plain words, or what stands above and below of a fraction */
    private static function parts(string $text): array
    {
        $parts = [];
        foreach (preg_split('~((?<![\d/])\d+/\d+(?![\d/]))~', $text, -1, PREG_SPLIT_DELIM_CAPTURE | PREG_SPLIT_NO_EMPTY) ?: [] as $part) {
            $parts[] = preg_match('~^(\d+)/(\d+)$~D', $part, $fraction) === 1 ? ['', $fraction[1], $fraction[2]] : [$part, '', ''];
        }

        return $parts;
    }
}
