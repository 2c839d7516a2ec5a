<?php

declare(strict_types=1);

namespace App\BlockFiles;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\OrderNotPossible;
use KeenSeam\Core\Assembly\SetInSeamNeeded;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\SewableSizes;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Making\FilePlan;

/** What every block passes before it is kept, whichever way it comes in: only what can be opened again stays. */
final readonly class BlockDoor
{
    public function __construct(private BlockFileReader $reader) {}

    /**
     * @return array{Block, FilePlan} the block, and what its file keeps of the work
     *
     * @throws KeenSeamProblem
     */
    public function withPlan(string $text): array
    {
        [$block, $plan] = $this->reader->readWithPlan($text);
        self::workedOut($block);

        return [$block, $plan];
    }

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
        SewableSizes::ensure($face);

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
}
