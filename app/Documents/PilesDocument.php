<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\ShelfBlock;
use App\Workings\WorkingOut;
use KeenSeam\Core\Assembly\EqualPart;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Assembly\UnitName;
use KeenSeam\Core\Guide\Comparison;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\TurnedUnit;

/** The piles at the iron: those in two already, what a second pile would gain, and the equal parts that could share one. */
final class PilesDocument
{
    /**
     * @param array<int, PressingPlan> $splits by class: the best plan when it may be pressed in two piles
     *
     * @return array<string, mixed>
     */
    public static function of(ShelfBlock $block, WorkingOut $working, array $splits): array
    {
        $now = $working->plans()->withoutLocks();

        return [
            'gains' => self::gains($block, $now, $splits),
            'twoPiles' => self::inTwoPiles($working->facts()->twoPiles(), $now),
            'equalParts' => $block->equal_parts->value,
            'parts' => array_map(static fn (EqualPart $part): array => [
                'label' => $part->label,
                'count' => count($part->members),
                'patches' => count($part->members[0]->patchIds()),
            ], $now->construction->equalParts()),
        ];
    }

    /**
     * @param array<int, PressingPlan> $splits
     *
     * @return list<array{class: string, text: string}>
     */
    private static function gains(ShelfBlock $block, PressingPlan $now, array $splits): array
    {
        $gains = [];
        foreach ($splits as $class => $plan) {
            if ($plan->cost->compareTo($now->cost, $block->style) < 0) {
                [$apart, $all, $name] = self::pile($class, $plan);
                $gains[] = [
                    'class' => $now->construction->classes[$class]->label(),
                    'text' => sprintf('Press %d of %d %s the other way: %s.', min($apart, $all - $apart), $all, $name, Comparison::words($now, $plan)),
                ];
            }
        }

        return $gains;
    }

    /**
     * @param list<int> $classes
     *
     * @return list<array{class: string, text: string}>
     */
    private static function inTwoPiles(array $classes, PressingPlan $now): array
    {
        $split = array_intersect_key($now->construction->classes, array_flip($classes));

        return array_values(array_map(static fn (UnitClass $class): array => [
            'class' => $class->label(),
            'text' => sprintf('%d of %d %s lie on a second pile.', ...self::pile($class->index, $now)),
        ], $split));
    }

    /** @return array{int, int, string} units on the second pile, units in all, what they are called */
    private static function pile(int $class, PressingPlan $plan): array
    {
        $members = $plan->construction->classes[$class]->members;
        $apart = array_filter($plan->turnedUnits, static fn (TurnedUnit $unit): bool => $unit->unitClass === $class && $unit->pile > 0);

        return [count($apart), count($members), UnitName::ofClass($plan->construction->classes[$class], true)];
    }
}
