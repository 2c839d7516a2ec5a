<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\ShelfBlock;
use App\Workings\WorkingOut;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Guide\Comparison;
use KeenSeam\Core\Guide\PressWords;
use KeenSeam\Core\Guide\SeamName;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Pressing\GooseWings;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\Locks;
use KeenSeam\Core\Pressing\LumpCure;
use KeenSeam\Core\Pressing\OpenedSeams;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressingPlan;

/** What may be done about the lumps, each with its before and after; and what pressing a goose's wings alike would cost. */
final class AdviceDocument
{
    /** Crossings that are looked at, the thickest first. */
    private const MOST = 5;

    /** Seams of a block above which only the thickest crossing is looked at: every try is a plan. */
    private const LARGE = 600;

    /** @return array<string, mixed> */
    public static function of(ShelfBlock $block, WorkingOut $working): array
    {
        $plan = $working->plan();
        $opened = OpenedSeams::of($plan->construction);

        return [
            'lump' => $block->lump,
            'crossings' => self::crossings($block, $working, $plan, $opened),
            'wings' => self::wings($working, $plan),
            'habit' => self::habit($working, $plan),
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function crossings(ShelfBlock $block, WorkingOut $working, PressingPlan $plan, OpenedSeams $opened): array
    {
        $peaks = $plan->peaks();
        $lumps = array_filter($peaks, static fn (int $peak): bool => $peak > $block->lump);
        arsort($lumps);
        $told = [];
        foreach (array_slice($lumps, 0, count($plan->construction->joins) > self::LARGE ? 1 : self::MOST, true) as $i => $peak) {
            $junction = $plan->junctions[$i];
            $cures = $worth = [];
            foreach (LumpCure::at($plan->construction, $plan->pressing, $junction, $working->facts()->twoPiles()) as $cure) {
                $then = self::tried($block, $working, $cure);
                $after = $then?->peaks()[$i] ?? $peak;
                $isLess = array_filter($worth, static fn (array $known): bool => $known[1] <= $after && $cure->asksForMoreThan($known[0])) !== [];
                if ($then !== null && $after < $peak && ! $isLess) {
                    $worth[] = [$cure, $after];
                    $cures[] = self::cure($working, $cure, $plan, $then, $opened, $i);
                }
            }
            // Flat enough before the rest, and then what is the least to do.
            usort($cures, static fn (array $a, array $b): int => [$a['after'] > $block->lump, $a['warning'] !== null] <=> [$b['after'] > $block->lump, $b['warning'] !== null]);
            $told[] = [
                'at' => FaceDocument::point($junction->at, $plan->construction->face->lattice),
                'text' => $plan->construction->face->lattice->toText($junction->at),
                'patches' => count($junction->patchIds),
                'peak' => $peak,
                'cures' => array_slice($cures, 0, 3),
            ];
        }

        return $told;
    }

    /** The plan that it would come to; null where it cannot be. */
    private static function tried(ShelfBlock $block, WorkingOut $working, LumpCure $cure): ?PressingPlan
    {
        try {
            if ($cure->twoPiles !== null) {
                $piles = $working->facts()->withTwoPiles([...$working->facts()->twoPiles(), $cure->twoPiles]);

                return $working->with((clone $block)->fill(['two_piles' => $piles]))->plans()->mine();
            }

            return $working->plans()->withLocks(self::with($working, $cure->locks));
        } catch (KeenSeamProblem) {
            return null;
        }
    }

    /** @param list<Lock> $locks */
    private static function with(WorkingOut $working, array $locks): Locks
    {
        return array_reduce($locks, static fn (Locks $all, Lock $lock): Locks => $all->with($lock), $working->plans()->locks());
    }

    /** @return array<string, mixed> */
    private static function cure(WorkingOut $working, LumpCure $cure, PressingPlan $now, PressingPlan $then, OpenedSeams $opened, int $junction): array
    {
        $joins = array_map(static fn (Lock $lock): Join => $now->construction->joins[$lock->join], $cure->locks);
        $short = array_filter($cure->locks, static fn (Lock $lock): bool => $lock->at(0) === PressDirection::Open && in_array($lock->join, $opened->short, true));

        return [
            'words' => match (true) {
                $cure->twoPiles !== null => PressWords::twoPiles($now->construction, $cure->twoPiles),
                $joins === [] => '',
                $cure->isFurl => PressWords::furlHere(SeamName::all($now->construction)[$joins[0]->id]->title),
                default => PressWords::open($now->construction, $joins),
            },
            'after' => $then->peaks()[$junction],
            'costs' => Comparison::words($now, $then),
            'warning' => $short === [] ? null : PressWords::tooShort($now->construction, array_map(static fn (Lock $lock): Join => $now->construction->joins[$lock->join], array_values($short))),
            'locks' => array_map(self::lock(...), $cure->locks),
            'twoPiles' => $cure->twoPiles === null ? null : [...array_map(static fn (int $class): string => $now->construction->classes[$class]->label(), $working->facts()->twoPiles()), $now->construction->classes[$cure->twoPiles]->label()],
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function wings(WorkingOut $working, PressingPlan $plan): array
    {
        $told = [];
        foreach (GooseWings::pressedTwoWays($plan) as $wings) {
            $options = [];
            foreach ($wings->alike() as $words => $locks) {
                try {
                    $then = $working->plans()->withLocks(self::with($working, $locks));
                    $options[] = ['words' => $words, 'costs' => Comparison::words($plan, $then), 'locks' => array_map(self::lock(...), $locks)];
                } catch (KeenSeamProblem) {
                    continue; // something else is locked against it
                }
            }
            $told[] = ['words' => PressWords::wings($plan->construction, $wings->unitClass), 'options' => $options];
        }

        return $told;
    }

    /** Why the rows lie the other way round than most press them; null where they do not. */
    private static function habit(WorkingOut $working, PressingPlan $plan): ?string
    {
        $usual = PressWords::usualRows($plan, $working->rules());
        if ($usual === null) {
            return null;
        }
        $locks = $working->rules()->locks([$usual], new Locks($plan->construction, []));

        return PressWords::unlikeUsual($plan, $working->plans()->best($working->plans()->question()->withLocks($locks)), $working->rules());
    }

    /** @return array{join: int, directions: list<string>} */
    private static function lock(Lock $lock): array
    {
        return ['join' => $lock->join, 'directions' => array_map(static fn (PressDirection $direction): string => $direction->value, $lock->directions)];
    }

    /** @return array<string, mixed> how large the block is for opened seams */
    public static function opened(Construction $construction): array
    {
        $opened = OpenedSeams::of($construction);

        return ['short' => $opened->short, 'near' => array_slice($opened->near, 0, 400), 'covered' => (int) round(100 * $opened->covered), 'words' => PressWords::opened($construction, $opened)];
    }
}
