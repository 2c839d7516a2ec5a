<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\OrdersDocument;
use App\Exceptions\ChoiceNotKnown;
use App\Http\SeenVersion;
use App\Models\ShelfBlock;
use App\Plans\BlockPlans;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\KeenSeamProblem;

/** The order in which the block is sewn. */
final readonly class OrderController
{
    public function __construct(private BlockPlans $plans) {}

    public function index(ShelfBlock $block): JsonResponse
    {
        $face = $this->plans->face($block);
        $memory = $this->plans->memory($block);
        $orders = $memory->recall('orders');
        if ($orders === null) {
            $orders = OrdersDocument::orders($face);
            $memory->keep('orders', $orders);
        }

        return new JsonResponse(OrdersDocument::of($block, $face, $orders));
    }

    /** @throws KeenSeamProblem */
    public function store(Request $request, ShelfBlock $block): JsonResponse
    {
        $order = $request->json('order');
        $order = Order::tryFrom(is_string($order) ? $order : '') ?? throw ChoiceNotKnown::of('order', Order::cases());
        Construction::of($this->plans->face($block), $order); // an order that cannot be is refused before it is kept
        $block->saveOver(SeenVersion::of($request), ['order' => $order]);

        return new JsonResponse(['order' => $block->order->value, 'version' => $block->version]);
    }
}
