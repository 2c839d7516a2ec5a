<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\TopJoinsSheet;
use App\Documents\TopSizesSheet;
use App\Models\ShelfTop;
use App\Wall\EditFields;
use App\Workings\WorkedTops;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Matching\MeasuredNotLikely;
use KeenSeam\Core\Measure\Length;

/** What must meet in a top: the rulers of its joins, and its blocks as they came out. */
final readonly class TopJoinsController
{
    public function __construct(private TopSizesSheet $sheet, private WorkedTops $tops, private TopJoinsSheet $joins) {}

    public function joins(ShelfTop $top): JsonResponse
    {
        return new JsonResponse($this->joins->of($top));
    }

    /** @throws KeenSeamProblem */
    public function join(ShelfTop $top, int $join): JsonResponse
    {
        return new JsonResponse($this->joins->join($top, $join));
    }

    /** @throws KeenSeamProblem */
    public function show(ShelfTop $top): JsonResponse
    {
        return new JsonResponse($this->sheet->of($top));
    }

    /** @throws KeenSeamProblem */
    public function crossing(ShelfTop $top, int $join, int $number): JsonResponse
    {
        return new JsonResponse($this->joins->crossing($top, $join, $number));
    }

    /**
     * What a block came out like, raw edge to raw edge; nothing said of either side when it is as planned.
     *
     * @throws KeenSeamProblem
     */
    public function update(Request $request, ShelfTop $top): JsonResponse
    {
        $fields = new EditFields($request->json()->all());
        $read = $this->tops->top($top);
        $place = $fields->placeOf($read)->key();
        $block = $read->firstDesign()->block;
        $size = [];
        foreach (['along' => $block->finishedWidth, 'beside' => $block->finishedHeight] as $side => $finished) {
            $text = trim($fields->has($side) ? $fields->text($side) : '');
            $size[] = $text;
            if ($text !== '') {
                MeasuredNotLikely::unlessNear(Length::parse($text, $read->unit)->in($read->unit)->toFloat(), $finished->plus($read->allowance->times(2))->in($read->unit)->toFloat(), $text, $read->unit);
            }
        }
        $top->cameOut($place, $size === ['', ''] ? null : [$size[0] === '' ? $size[1] : $size[0], $size[1] === '' ? $size[0] : $size[1]]);

        return $this->show($top);
    }
}
