<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\ProblemResponse;
use App\Models\ShelfBlock;
use App\Models\ShelfTop;
use App\Paper\PaperAsked;
use App\Paper\PaperShelf;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use KeenSeam\Core\KeenSeamProblem;

/** Sheets on paper. Who asks is told where they lie once they are made. */
final readonly class PaperController
{
    public function __construct(private PaperShelf $papers) {}

    /** @throws KeenSeamProblem */
    public function ofBlock(Request $request, ShelfBlock $block): JsonResponse
    {
        return $this->address($request, $block);
    }

    /** @throws KeenSeamProblem */
    public function ofTop(Request $request, ShelfTop $top): JsonResponse
    {
        return $this->address($request, $top);
    }

    public function show(string $key, string $name, string $form): Response|JsonResponse
    {
        $made = $this->papers->made($key);
        if ($made === null) {
            return ProblemResponse::refused('not-kept', 'These sheets are not kept any more. Ask for them again.', Response::HTTP_NOT_FOUND);
        }

        return new Response($made, Response::HTTP_OK, ['Content-Type' => $form === 'pdf' ? 'application/pdf' : 'text/html; charset=utf-8', 'Content-Disposition' => sprintf('inline; filename="%s.%s"', $name, $form)]);
    }

    /** @throws KeenSeamProblem */
    private function address(Request $request, ShelfBlock|ShelfTop $thing): JsonResponse
    {
        $asked = PaperAsked::in($request);
        $key = $this->papers->ready($thing, $asked);
        $name = implode('-', [Str::slug($thing->name) ?: 'sheets', ...count($asked->kinds) === 1 ? [$asked->kinds[0]->value] : []]);

        return new JsonResponse(['address' => sprintf('/api/papers/%s/%s.%s', $key, $name, $asked->form->value), 'paper' => $asked->paper->value]);
    }
}
