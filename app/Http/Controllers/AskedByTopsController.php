<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\AskedByTops;
use App\Models\ShelfBlock;
use Illuminate\Http\JsonResponse;
use KeenSeam\Core\KeenSeamProblem;

final readonly class AskedByTopsController
{
    public function __construct(private AskedByTops $asked) {}

    /** @throws KeenSeamProblem */
    public function __invoke(ShelfBlock $block): JsonResponse
    {
        return new JsonResponse(['tops' => $this->asked->of($block)]);
    }
}
