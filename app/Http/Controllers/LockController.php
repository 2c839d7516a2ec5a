<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\PressDocument;
use App\Http\SeenVersion;
use App\Models\ShelfBlock;
use App\Plans\BlockPlans;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\Locks;

/** The seams whose pressing the quilter decided herself. Every answer is the press station as it then looks. */
final readonly class LockController
{
    public function __construct(private BlockPlans $plans) {}

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
     * The plan is made before anything is saved: a lock that cannot be kept changes nothing.
     *
     * @param \Closure(Locks): Locks $change
     *
     * @throws KeenSeamProblem
     */
    private function saved(Request $request, ShelfBlock $block, \Closure $change): JsonResponse
    {
        $version = SeenVersion::of($request);
        $block->lockNow($change($this->plans->locks($block))->all);
        $station = $this->plans->press($block);
        $block->saveOver($version, []);

        return new JsonResponse(PressDocument::of($station));
    }
}
