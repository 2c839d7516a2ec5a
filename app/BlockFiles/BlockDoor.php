<?php

declare(strict_types=1);

namespace App\BlockFiles;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\OrderNotPossible;
use KeenSeam\Core\Assembly\SetInSeamNeeded;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\BlockNotPossible;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\KeenSeamProblem;

/** What every block passes before it is kept, whichever way it comes in: only what can be opened again stays. */
final readonly class BlockDoor
{
    /** Seam allowances that a whole block measures at least, each way. */
    private const LEAST_SIDE = 4;

    private const EQUAL = 1e-9;

    public function __construct(private BlockFileReader $reader) {}

    /**
     * @return array{Block, Face} as they were read and worked out
     *
     * @throws KeenSeamProblem
     */
    public function fromText(string $text): array
    {
        $block = $this->reader->read($text);

        return [$block, self::workedOut($block)];
    }

    /**
     * @return Face of the whole block; a change at the wall is answered with it
     *
     * @throws KeenSeamProblem when it has no face, or its sizes make no sense
     */
    public static function faced(Block $block): Face
    {
        $face = Face::of($block);
        self::ensureSewable($face);

        return $face;
    }

    /**
     * The same for what the wall did not draw itself.
     *
     * @throws KeenSeamProblem
     */
    public static function workedOut(Block $block): Face
    {
        $face = self::faced($block);
        try {
            Construction::of($face, Order::Rows);
        } catch (SetInSeamNeeded|OrderNotPossible) {
            // It can be looked at and mended; the Order station says which patches are in the way.
        }

        return $face;
    }

    /** Where the seams take more than what is to be seen, there is nothing to hold or to press. */
    private static function ensureSewable(Face $face): void
    {
        [$block, $unit] = [$face->block, $face->block->unit];
        $allowance = $block->seamAllowance->in($unit)->toFloat();
        if (min($block->finishedWidth->in($unit)->toFloat(), $block->finishedHeight->in($unit)->toFloat()) < self::LEAST_SIDE * $allowance - self::EQUAL) {
            throw BlockNotPossible::allSeam($block->seamAllowance, $unit);
        }
        foreach ($face->patches as $patch) {
            $width = self::width($patch->outline) / $face->lattice->steps;
            if ($width < $allowance - self::EQUAL) {
                throw BlockNotPossible::allowanceTooLarge($block->seamAllowance, $width, $unit);
            }
        }
    }

    /** Across its narrowest way, in lattice steps. */
    private static function width(ConvexPolygon $outline): float
    {
        $widths = [];
        foreach ($outline->edges() as [$a, $b]) {
            $side = $b->minus($a);
            $far = max([0, ...array_map(static fn (array $edge): int => abs($side->cross($edge[0]->minus($a))), $outline->edges())]);
            $widths[] = $far / sqrt($side->dot($side));
        }

        return min([INF, ...$widths]);
    }
}
