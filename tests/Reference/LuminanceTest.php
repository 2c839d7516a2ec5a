<?php

declare(strict_types=1);

namespace Tests\Reference;

use KeenSeam\Core\Block\FabricValue;
use KeenSeam\Core\Block\Luminance;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Source: Web Content Accessibility Guidelines (WCAG) 2.2, W3C Recommendation, terms "relative luminance" and "contrast
 * ratio": L = 0.2126 R + 0.7152 G + 0.0722 B of linearised channels, (L1 + 0.05) / (L2 + 0.05), 21 at most.
 */
final class LuminanceTest extends TestCase
{
    /** @return array<string, array{string, float}> the formula's own ends and weights */
    public static function published(): array
    {
        return [
            'white' => ['#ffffff', 1.0],
            'white, short' => ['#fff', 1.0],
            'black' => ['#000000', 0.0],
            'red' => ['#ff0000', 0.2126],
            'green' => ['#00ff00', 0.7152],
            'blue' => ['#0000ff', 0.0722],
        ];
    }

    #[DataProvider('published')]
    public function test_relative_luminance(string $color, float $luminance): void
    {
        self::assertEqualsWithDelta($luminance, Luminance::of($color), 1e-9);
    }

    public function test_contrast_ratios(): void
    {
        self::assertEqualsWithDelta(21.0, Luminance::contrast('#000000', '#ffffff'), 1e-9);
        self::assertEqualsWithDelta(1.0, Luminance::contrast('#3b5b7a', '#3b5b7a'), 1e-9);
        // Greys on white on either side of the 4.5 that text needs; widely quoted, here from memory.
        self::assertEqualsWithDelta(4.54, Luminance::contrast('#767676', '#ffffff'), 0.005);
        self::assertEqualsWithDelta(4.48, Luminance::contrast('#777777', '#ffffff'), 0.005);
    }

    public function test_a_value_is_proposed_from_it(): void
    {
        self::assertSame(
            [FabricValue::Light, FabricValue::Medium, FabricValue::Dark],
            array_map(FabricValue::proposedFor(...), ['#ece5d6', '#7fb0a6', '#22405f']),
        );
    }
}
