<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly\Internal;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\OrderNotPossible;
use KeenSeam\Core\Assembly\OrderReport;
use KeenSeam\Core\Assembly\SetInSeamNeeded;
use KeenSeam\Core\Block\Face;

/**
 * Holds the order that the dynamic program found against the regular ones.
 *
 * Kinds of join to learn don't add up over regions: a regular order may repeat itself across regions where the
 * program only sees that two halves are equal. So it is the finished constructions that are compared.
 *
 * @internal
 */
final class BestOrder
{
    private const REGULAR = [Order::Rows, Order::Columns, Order::Quarters, Order::Around];

    public static function of(Face $face): Construction
    {
        $best = (new ConstructionBuilder($face, Order::Best))->build();
        $figures = self::figures($best);
        if ($figures[2] === null) {
            return $best; // too large for kinds of join to be told apart; match points and bias are least as it is
        }
        foreach (self::REGULAR as $order) {
            try {
                $regular = (new ConstructionBuilder($face, $order))->build();
            } catch (SetInSeamNeeded|OrderNotPossible) {
                continue;
            }
            $its = self::figures($regular);
            if ($its < $figures) {
                [$best, $figures] = [$regular, $its];
            }
        }

        return new Construction($face, Order::Best, $best->root, $best->joins, $best->classes, $best->strands);
    }

    /** @return array{int, int, int|null} match points, bias joins, kinds of join */
    private static function figures(Construction $construction): array
    {
        $report = OrderReport::of($construction);

        return [$report->matchPoints, $report->biasJoins, $report->joinsToLearn];
    }
}
