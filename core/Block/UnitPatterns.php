<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

/**
 * The unit kinds whose corners are fixed. A new kind is one entry here and its name in the block file's schema.
 *
 * Patches stand in the order of their fabrics. Places: t top, b bottom, l left, r right, c centre.
 */
final class UnitPatterns
{
    /** @return array<string, UnitPattern> by kind */
    public static function all(): array
    {
        static $all = null;

        return $all ??= array_column(array_map(
            static fn (UnitPattern $pattern): array => [$pattern->kind, $pattern],
            self::entries(),
        ), 1, 0);
    }

    /** @return list<UnitPattern> */
    private static function entries(): array
    {
        return [
            UnitPattern::of('plain', 'plain patch', 'plain patches', ['tl tr br bl'], SewingOrder::of(0)),
            UnitPattern::of(
                'half-square-triangle',
                'half-square triangle',
                'half-square triangles',
                ['tl tr bl', 'tr br bl'],
                SewingOrder::of(0, 1),
            ),
            // Two pairs of triangles, then the long seam: it can be pressed either way without a lump on one side.
            UnitPattern::of(
                'quarter-square-triangle',
                'quarter-square triangle',
                'quarter-square triangles',
                ['tl tr c', 'tr br c', 'br bl c', 'bl tl c'],
                SewingOrder::of(SewingOrder::of(0, 1), SewingOrder::of(2, 3)),
            ),
            UnitPattern::of(
                'split-quarter-square-triangle',
                'split quarter-square triangle',
                'split quarter-square triangles',
                ['tl tr bl', 'tr br c', 'br bl c'],
                SewingOrder::of(0, SewingOrder::of(1, 2)),
            ),
            UnitPattern::of(
                'flying-geese',
                'flying goose',
                'flying geese',
                ['bl t br', 'tl t bl', 't tr br'],
                SewingOrder::of(1, 0, 2),
            ),
            UnitPattern::of(
                'triangle-in-square',
                'triangle in a square',
                'triangles in a square',
                ['bl t br', 'tl t bl', 't tr br'],
                SewingOrder::of(1, 0, 2),
            ),
            // Opposite corners first, so that each pair can be pressed and trimmed before the next one crosses it.
            UnitPattern::of(
                'square-in-square',
                'square in a square',
                'squares in a square',
                ['t r b l', 'tl t l', 't tr r', 'r br b', 'b bl l'],
                SewingOrder::of(1, 0, 3, 2, 4),
            ),
        ];
    }
}
