<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use KeenSeam\Core\Assembly\ChosenOrder;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\OwnOrder;

/**
 * The order a block is sewn in: the name of a regular one, or "own:" and the name of one that is kept in own_orders.
 *
 * @implements CastsAttributes<ChosenOrder, ChosenOrder|string>
 */
final class OrderOfSewing implements CastsAttributes
{
    private const OWN = 'own:';

    /** What the shelf and the screens call an order. */
    public static function idOf(ChosenOrder $order): string
    {
        return $order instanceof OwnOrder ? self::OWN.$order->name : $order->key();
    }

    /**
     * @param array<string, mixed> $ownOrders nested pairs by name
     *
     * @return ChosenOrder|null null when there is no such order
     */
    public static function named(string $id, array $ownOrders): ?ChosenOrder
    {
        $name = str_starts_with($id, self::OWN) ? substr($id, strlen(self::OWN)) : null;
        if ($name === null) {
            return Order::tryFrom($id);
        }

        return isset($ownOrders[$name]) ? OwnOrder::of($name, $ownOrders[$name]) : null;
    }

    public function get(Model $model, string $key, mixed $value, array $attributes): ChosenOrder
    {
        $own = json_decode(is_string($attributes['own_orders'] ?? null) ? $attributes['own_orders'] : '{}', true, OwnOrder::DEEPEST);

        return self::named(is_string($value) ? $value : '', is_array($own) ? $own : []) ?? Order::Rows;
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        return is_string($value) ? $value : self::idOf($value ?? Order::Rows);
    }
}
