<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\Luminance;

/** What colour cloth is drawn in: its right side, its wrong side, its allowances. */
final readonly class Palette
{
    public const INK = '#20262b';

    public const SOFT = '#59636b';

    public const PAPER = '#ffffff';

    /** The wrong side is paler, so that dark fabrics stay readable on the back. */
    private const WRONG_SIDE = 0.5;

    private const ALLOWANCE = 0.2;

    private const EDGE = 0.45;

    /** The lightest and the darkest grey in print: marks and arrows are still seen on both. */
    private const GREYS = [0.96, 0.5];

    /** @param array<string, string> $colours by fabric key */
    private function __construct(private array $colours) {}

    /** @param iterable<Fabric> $fabrics */
    public static function ofFabrics(iterable $fabrics): self
    {
        $colours = [];
        foreach ($fabrics as $fabric) {
            $colours[$fabric->key] = $fabric->color;
        }

        return new self($colours);
    }

    /**
     * For a printer with black only: greys as far from each other as they can be, the lightest fabric the lightest.
     *
     * @param iterable<Fabric> $fabrics
     */
    public static function greys(iterable $fabrics): self
    {
        $luminance = [];
        foreach ($fabrics as $fabric) {
            $luminance[$fabric->key] = Luminance::of($fabric->color);
        }
        arsort($luminance);
        [$light, $dark] = self::GREYS;
        $colours = [];
        foreach (array_keys($luminance) as $rank => $key) {
            $grey = (int) round(255 * ($light - ($light - $dark) * $rank / max(1, count($luminance) - 1)));
            $colours[(string) $key] = sprintf('#%1$02x%1$02x%1$02x', $grey);
        }

        return new self($colours);
    }

    /** Nothing but outlines: to be coloured by hand. */
    public static function blank(): self
    {
        return new self([]);
    }

    public function face(string $fabric): string
    {
        return $this->colours[$fabric] ?? self::PAPER;
    }

    public function wrongSide(string $fabric): string
    {
        return self::mixed($this->face($fabric), self::PAPER, self::WRONG_SIDE);
    }

    /** Of an allowance whose wrong side is seen. */
    public function allowance(string $fabric): string
    {
        return self::mixed($this->face($fabric), self::PAPER, self::ALLOWANCE);
    }

    /** Round an allowance. */
    public function edge(string $fabric): string
    {
        return self::mixed($this->face($fabric), self::INK, self::EDGE);
    }

    /** The colour with the given share of another mixed in. */
    public static function mixed(string $colour, string $other, float $share): string
    {
        return sprintf('#%02x%02x%02x', ...array_map(static fn (int $one, int $two): int => (int) round($one * (1 - $share) + $two * $share), Luminance::channels($colour), Luminance::channels($other)));
    }
}
