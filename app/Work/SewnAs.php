<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\ShelfBlock;
use App\Workings\Workings;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Guide\Chain;
use KeenSeam\Core\KeenSeamProblem;

/** How the units go through the machine: along the rows, webbed, or in twos, which is an order of its own. */
final readonly class SewnAs
{
    public function __construct(private Workings $workings) {}

    public static function of(ShelfBlock $block): Chain
    {
        return $block->order === Order::Twos ? Chain::Twos : $block->chain;
    }

    /**
     * Takes what is sewn along: a seam that the other order does not have must not be sewn yet.
     *
     * @throws WorkNotPossible
     * @throws KeenSeamProblem where the block cannot be sewn so
     */
    public function choose(ShelfBlock $block, Chain $chain): void
    {
        $isInTwos = $block->order === Order::Twos;
        if ($isInTwos === ($chain === Chain::Twos)) {
            $block->sewAs($isInTwos ? $block->chain : $chain);

            return;
        }
        $sewn = $this->workings->of($block)->facts()->progress()->sewn;
        $order = $isInTwos ? Order::Rows : Order::Twos;
        $changes = [
            'order' => $order->value,
            'chain' => $isInTwos ? $chain : $block->chain,
            'work' => [$order->key() => $block->work[$block->order->key()] ?? []] + $block->work,
            'measured_parts' => [$order->key() => $block->measured_parts[$block->order->key()] ?? []] + $block->measured_parts,
        ];
        $other = $this->workings->of((clone $block)->fill($changes));
        if (count($other->facts()->progress()->sewn) < count($sewn)) {
            throw WorkNotPossible::sewnOtherwise();
        }
        $block->saveOver($block->version, $changes);
        $block->refresh();
    }
}
