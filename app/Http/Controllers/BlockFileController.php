<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\ShelfBlock;
use App\Shelf\PlanInFile;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use KeenSeam\Core\KeenSeamProblem;

/** The block as a file to keep or to pass on. */
final readonly class BlockFileController
{
    public function __construct(private PlanInFile $plans) {}

    /** @throws KeenSeamProblem */
    public function __invoke(ShelfBlock $block): Response
    {
        $name = Str::slug($block->name) ?: 'block';

        return new Response($this->plans->withPlan($block), Response::HTTP_OK, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => sprintf('attachment; filename="%s.keenseam.json"', $name),
        ]);
    }
}
