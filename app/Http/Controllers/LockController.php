<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\PressAnswers;
use App\Models\ShelfBlock;
use App\Workings\WorkingOut;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\Locks;

/** The seams whose pressing the quilter decided herself. Every answer is what is otherwise at the press station then. */
final readonly class LockController
{
    public function __construct(private PressAnswers $answers) {}

    /** @throws KeenSeamProblem */
    public function store(Request $request, ShelfBlock $block, int $join): JsonResponse
    {
        $direction = $request->json('direction');
        $lock = Lock::parse($join.':'.(is_string($direction) ? $direction : ''));

        return $this->saved($request, $block, static fn (Locks $locks): Locks => $locks->with($lock));
    }

    /** @throws KeenSeamProblem */
    public function destroy(Request $request, ShelfBlock $block, int $join): JsonResponse
    {
        return $this->saved($request, $block, static fn (Locks $locks): Locks => $locks->without($join));
    }

    /** @throws KeenSeamProblem */
    public function destroyAll(Request $request, ShelfBlock $block): JsonResponse
    {
        return $this->saved($request, $block, static fn (Locks $locks): Locks => $locks->none());
    }

    /**
     * Lets those go that fit no seam any more.
     *
     * @throws KeenSeamProblem
     */
    public function destroyAsleep(Request $request, ShelfBlock $block): JsonResponse
    {
        return $this->answers->after($request, $block, static function (WorkingOut $working) use ($block): void {
            $block->locks = $working->facts()->withLocks($working->plans()->locks()->all, false);
        });
    }

    /**
     * @param \Closure(Locks): Locks $change
     *
     * @throws KeenSeamProblem
     */
    private function saved(Request $request, ShelfBlock $block, \Closure $change): JsonResponse
    {
        return $this->answers->after($request, $block, static function (WorkingOut $working) use ($block, $change): void {
            $block->locks = $working->facts()->withLocks($change($working->plans()->locks())->all);
        });
    }
}
