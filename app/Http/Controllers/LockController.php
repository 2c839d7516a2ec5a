<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\PressAnswers;
use App\Models\ShelfBlock;
use App\Workings\WorkingOut;
use App\Workings\Workings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\Assembly\JoinNotKnown;
use KeenSeam\Core\Guide\SeamName;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\Locks;

/** The seams whose pressing the quilter decided herself. Every answer is what is otherwise at the press station then. */
final readonly class LockController
{
    private const MOST = 100;

    public function __construct(
        private PressAnswers $answers,
        private Workings $workings,
    ) {}

    /** @throws KeenSeamProblem */
    public function store(Request $request, ShelfBlock $block, int $join): JsonResponse
    {
        $lock = self::read($join, $request->json('directions') ?? $request->json('direction'));

        return $this->saved($request, $block, 'Press '.$this->titleOf($block, $join), static fn (Locks $locks): Locks => $locks->with($lock));
    }

    /**
     * Several at once, as one change.
     *
     * @throws KeenSeamProblem
     */
    public function storeAll(Request $request, ShelfBlock $block): JsonResponse
    {
        $given = $request->json('locks');
        $read = array_map(static function (mixed $lock): Lock {
            $join = is_array($lock) ? ($lock['join'] ?? null) : null;

            return self::read(is_int($join) ? $join : -1, is_array($lock) ? ($lock['directions'] ?? null) : null);
        }, is_array($given) ? array_slice(array_values($given), 0, self::MOST) : []);

        return $this->saved($request, $block, 'Take the advice', static fn (Locks $locks): Locks => array_reduce($read, static fn (Locks $all, Lock $lock): Locks => $all->with($lock), $locks));
    }

    /** @throws KeenSeamProblem */
    public function destroy(Request $request, ShelfBlock $block, int $join): JsonResponse
    {
        return $this->saved($request, $block, 'Release '.$this->titleOf($block, $join), static fn (Locks $locks): Locks => $locks->without($join));
    }

    /** @throws KeenSeamProblem */
    public function destroyAll(Request $request, ShelfBlock $block): JsonResponse
    {
        return $this->saved($request, $block, 'Release all locks', static fn (Locks $locks): Locks => $locks->none());
    }

    /**
     * Lets those go that fit no seam any more.
     *
     * @throws KeenSeamProblem
     */
    public function destroyAsleep(Request $request, ShelfBlock $block): JsonResponse
    {
        return $this->answers->after($request, $block, 'Let sleeping locks go', static function (WorkingOut $working) use ($block): void {
            $block->locks = $working->facts()->withLocks($working->plans()->locks()->all, false);
        });
    }

    /**
     * @param \Closure(Locks): Locks $change
     *
     * @throws KeenSeamProblem
     */
    private function saved(Request $request, ShelfBlock $block, string $words, \Closure $change): JsonResponse
    {
        return $this->answers->after($request, $block, $words, static function (WorkingOut $working) use ($block, $change): void {
            $locks = $change($working->plans()->locks())->all;
            foreach ($locks as $lock) {
                $lock->joinIn($working->construction());
            }
            $block->own_way = true;
            $block->locks = $working->facts()->withLocks($locks);
        });
    }

    /** @param mixed $given a direction for the whole join, or a list with one a segment */
    private static function read(int $join, mixed $given): Lock
    {
        $words = array_filter(is_array($given) ? $given : [$given], is_string(...));

        return Lock::parse($join.':'.implode(',', $words));
    }

    /** @throws JoinNotKnown */
    private function titleOf(ShelfBlock $block, int $join): string
    {
        $construction = $this->workings->of($block)->construction();
        JoinNotKnown::unlessIn($construction, $join);

        return lcfirst(SeamName::all($construction)[$join]->title);
    }
}
