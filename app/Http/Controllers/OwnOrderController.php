<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\OrdersDocument;
use App\Exceptions\ChoiceNotKnown;
use App\Http\SeenVersion;
use App\Models\OrderOfSewing;
use App\Models\ShelfBlock;
use App\Workings\Workings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\GrowingOrder;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\OwnOrder;
use KeenSeam\Core\KeenSeamProblem;

/** An order of the quilter's own: grown part by part, and kept with the block under a name. */
final readonly class OwnOrderController
{
    private const MOST = 20;

    public function __construct(private Workings $workings) {}

    /**
     * One step on from the parts that stand apart; from the beginning where none are told. Nothing is kept of it.
     *
     * @throws KeenSeamProblem
     */
    public function grow(Request $request, ShelfBlock $block): JsonResponse
    {
        $face = $this->workings->of($block)->face();
        $told = $request->json('parts');
        $growing = is_array($told) ? GrowingOrder::of($face, array_values($told)) : GrowingOrder::start($face);
        [$a, $b, $likes] = [$request->json('a'), $request->json('b'), $request->json('likes') === true];
        $growing = match ($request->json('do')) {
            null => $growing,
            'sew' => $growing->sewn(is_int($a) ? $a : -1, is_int($b) ? $b : -1, $likes),
            'twos' => $growing->inTwos(),
            'open' => $growing->opened(is_int($a) ? $a : -1, $likes),
            default => throw ChoiceNotKnown::among('do', ['sew', 'twos', 'open']),
        };

        return new JsonResponse(OrdersDocument::growing($growing, $face));
    }

    /** @throws KeenSeamProblem */
    public function store(Request $request, ShelfBlock $block): JsonResponse
    {
        $name = $request->json('name');
        $order = OwnOrder::of(is_string($name) ? trim($name) : '', $request->json('sew'));
        if (count($block->own_orders) >= self::MOST && ! isset($block->own_orders[$order->name])) {
            throw ChoiceNotKnown::among('name', [sprintf('the %d orders that are kept already; take one away first', self::MOST)]);
        }
        Construction::of($this->workings->of($block)->face(), $order); // one that cannot be is refused before it is kept
        $block->saveOver(SeenVersion::of($request), ['own_orders' => [...$block->own_orders, $order->name => $order->toArray()], 'order' => $order, 'order_chosen' => true]);

        return new JsonResponse(['order' => $block->orderId(), 'version' => $block->version]);
    }

    /** @throws KeenSeamProblem */
    public function destroy(Request $request, ShelfBlock $block): JsonResponse
    {
        $name = $request->json('name');
        $id = $block->orderId();
        $left = array_diff_key($block->own_orders, [is_string($name) ? $name : '' => true]);
        $block->saveOver(SeenVersion::of($request), ['own_orders' => $left, 'order' => OrderOfSewing::named($id, $left) ?? Order::Rows, 'order_chosen' => $block->order_chosen && OrderOfSewing::named($id, $left) !== null]);

        return new JsonResponse(['order' => $block->orderId(), 'version' => $block->version]);
    }
}
