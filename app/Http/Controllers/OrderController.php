<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\FaceDocument;
use App\Documents\OrdersDocument;
use App\Documents\Sheets;
use App\Exceptions\ChoiceNotKnown;
use App\Http\SeenVersion;
use App\Models\OrderOfSewing;
use App\Models\ShelfBlock;
use App\Workings\Workings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\KeenSeamProblem;

/** The order in which the block is sewn. */
final readonly class OrderController
{
    public function __construct(private Workings $workings) {}

    public function index(ShelfBlock $block): JsonResponse
    {
        $working = $this->workings->of($block);
        $orders = Sheets::orders($working);

        return new JsonResponse(OrdersDocument::of($block, FaceDocument::kept($working)['face'], $orders, OrdersDocument::ownOrders($working->face(), $block->own_orders)));
    }

    /** @throws KeenSeamProblem */
    public function store(Request $request, ShelfBlock $block): JsonResponse
    {
        $order = $request->json('order');
        $order = OrderOfSewing::named(is_string($order) ? $order : '', $block->own_orders) ?? throw ChoiceNotKnown::of('order', Order::cases());
        $changed = (clone $block)->fill(['order' => $order]);
        $this->workings->of($changed)->drawn(); // an order that cannot be is refused before it is kept
        $block->saveOver(SeenVersion::of($request), ['order' => $order, 'order_chosen' => true]);

        return new JsonResponse(['order' => $block->orderId(), 'version' => $block->version]);
    }
}
