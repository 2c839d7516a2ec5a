<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\PressAnswers;
use App\Models\ShelfBlock;
use Illuminate\Http\Response;
use KeenSeam\Core\KeenSeamProblem;

final readonly class PlanController
{
    public function __construct(private PressAnswers $answers) {}

    /** @throws KeenSeamProblem */
    public function __invoke(ShelfBlock $block): Response
    {
        return $this->answers->whole($block);
    }
}
