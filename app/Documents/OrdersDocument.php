<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\OrderOfSewing;
use App\Models\ShelfBlock;
use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\ChosenOrder;
use KeenSeam\Core\Assembly\ClassKinship;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\EqualPart;
use KeenSeam\Core\Assembly\GrowingOrder;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\OrderNotPossible;
use KeenSeam\Core\Assembly\OrderReport;
use KeenSeam\Core\Assembly\OwnOrder;
use KeenSeam\Core\Assembly\OwnPair;
use KeenSeam\Core\Assembly\SeamPlaces;
use KeenSeam\Core\Assembly\SetInSeamNeeded;
use KeenSeam\Core\Assembly\Strand;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Assembly\UnitName;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Geometry\Point;

/** The orders of sewing side by side: how the block grows in each, and its figures. */
final class OrdersDocument
{
    /**
     * @param array<string, mixed>       $face   as it is drawn
     * @param array<array-key, mixed>    $orders as told by orders()
     * @param list<array<string, mixed>> $own    as told by ownOrders()
     *
     * @return array<string, mixed>
     */
    public static function of(ShelfBlock $block, array $face, array $orders, array $own): array
    {
        return [
            'block' => ['id' => $block->id, 'name' => $block->name, 'version' => $block->version],
            'chosen' => $block->orderId(),
            'isDecided' => $block->order_chosen,
            'face' => $face,
            'orders' => [...is_array($orders['orders'] ?? null) ? $orders['orders'] : [], ...$own],
        ];
    }

    /** @return array<string, mixed> a list, under its name */
    public static function orders(Face $face): array
    {
        $orders = $first = [];
        foreach (Order::cases() as $order) {
            $orders[] = self::order($face, $order, $first);
        }

        return ['orders' => $orders];
    }

    /**
     * The same of the quilter's own.
     *
     * @param array<string, mixed> $own nested pairs by name
     *
     * @return list<array<string, mixed>>
     */
    public static function ownOrders(Face $face, array $own): array
    {
        $orders = $first = [];
        foreach ($own as $name => $sew) {
            try {
                $orders[] = self::order($face, OwnOrder::of($name, $sew), $first);
            } catch (OrderNotPossible) {
                continue; // kept by another version; it says nothing here
            }
        }

        return $orders;
    }

    /**
     * @param array<string, string> $first words of the first order that sews the block alike, by how it is sewn
     *
     * @return array<string, mixed>
     */
    private static function order(Face $face, ChosenOrder $order, array &$first): array
    {
        try {
            $construction = Construction::of($face, $order);
        } catch (SetInSeamNeeded|OrderNotPossible $problem) {
            return [
                'order' => OrderOfSewing::idOf($order),
                'words' => $order->words(),
                'problem' => $problem->getMessage(),
                'patchesInTheWay' => $problem instanceof SetInSeamNeeded ? $problem->patchIds : [],
                'upToThere' => self::classes($problem instanceof SetInSeamNeeded ? $problem->made : []),
            ];
        }
        $report = OrderReport::of($construction);
        $sewn = SeamPlaces::of($construction)->whole();
        $sameAs = $sewn === '' ? null : ($first[$sewn] ?? null);
        $first[$sewn] ??= $order->words();

        return [
            'order' => OrderOfSewing::idOf($order),
            'words' => $order->words(),
            'sameAs' => $sameAs,
            'sew' => $order instanceof OwnOrder ? $order->toArray() : null,
            'figures' => self::figures($report),
            'joins' => array_map(static fn (Join $join): array => [
                'from' => FaceDocument::point($join->seam->from, $face->lattice),
                'to' => FaceDocument::point($join->seam->to, $face->lattice),
                'batch' => $report->batchOf[$join->id],
            ], $construction->joins),
            'strands' => array_map(static fn (Strand $strand): array => [
                'depth' => $strand->depth,
                'outline' => array_map(
                    static fn (Point $point): array => FaceDocument::point($point, $face->lattice),
                    $construction->joins[max($strand->joins)]->outline()->points,
                ),
            ], $construction->strands),
            'classes' => self::classes($construction->classes),
            'parts' => array_map(static fn (EqualPart $part): array => [
                'label' => $part->label,
                'count' => count($part->members),
                'patches' => $part->members[0]->patchIds(),
            ], $construction->equalParts()),
        ];
    }

    /** @return array<string, int|string|null> */
    private static function figures(OrderReport $report): array
    {
        return [
            'joins' => $report->joins,
            'matchPoints' => $report->matchPoints,
            'biasJoins' => $report->biasJoins,
            'longestJoin' => $report->longestJoin,
            'joinsToLearn' => $report->joinsToLearn,
            'chainBatches' => $report->chainBatches,
            'presses' => $report->presses,
        ];
    }

    /**
     * An order of her own as it grows: what stands apart, and the figures so far.
     *
     * @return array<string, mixed>
     */
    public static function growing(GrowingOrder $growing, Face $face): array
    {
        return [
            'parts' => array_map(static fn (OwnPair|string $sew, Assembly $part, int $i): array => [
                'sew' => is_string($sew) ? $sew : $sew->toArray(),
                'outline' => array_map(static fn (Point $point): array => FaceDocument::point($point, $face->lattice), $part->outline()->points),
                'patches' => $part->patchIds(),
                'opens' => $growing->opens($i),
            ], $growing->sew, $growing->parts, array_keys($growing->parts)),
            'figures' => self::figures($growing->report()),
            'done' => $growing->isDone(),
        ];
    }

    /**
     * @param list<UnitClass> $classes
     *
     * @return list<array<string, mixed>>
     */
    private static function classes(array $classes): array
    {
        $twins = ClassKinship::twins($classes);
        $alike = ClassKinship::lookAlikes($classes);

        $tags = UnitName::tags($classes);
        $called = static fn (int $class): string => UnitName::ofClass($classes[$class], true).($tags[$class] === '' ? '' : " ($tags[$class])");

        return array_map(static fn (UnitClass $class): array => [
            'label' => $class->label(),
            'name' => UnitName::ofClass($class, count($class->members) > 1),
            'tag' => $tags[$class->index],
            'count' => count($class->members),
            'twin' => isset($twins[$class->index]) ? $called($twins[$class->index]) : null,
            'lookAlikes' => array_map($called, $alike[$class->index] ?? []),
            'patches' => array_map(static fn ($patch): int => $patch->id, $class->members[0]->patches()),
        ], $classes);
    }
}
