<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\BlockFiles\BlockDoor;
use App\Documents\ShelfDocument;
use App\Models\ShelfBlock;
use App\Wall\EditFields;
use App\Workings\Workings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\Block\BlockFileWriter;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Measure\Fraction;

/** A block once more, as large or in another size, with all that was decided about it and nothing of what was sewn. */
final readonly class CopyController
{
    /** Seams, piles and cells are known by their place, and so outlive another size; sewn, cut and measured is only the one. */
    private const DECIDED = ['order', 'order_chosen', 'tags', 'style', 'rest', 'locks', 'two_piles', 'equal_parts', 'rules', 'lump', 'own_way', 'own_orders', 'meant', 'swatches', 'cutting', 'square_up', 'chain', 'take_up', 'leave', 'ease'];

    public function __construct(
        private BlockDoor $door,
        private Workings $workings,
    ) {}

    /** @throws KeenSeamProblem */
    public function __invoke(Request $request, ShelfBlock $block): JsonResponse
    {
        $fields = new EditFields($request->json()->all());
        $from = $this->workings->of($block)->design();
        $width = $fields->has('width') ? $fields->length('width', $from->unit) : $from->finishedWidth;
        $height = $fields->has('height') ? $fields->length('height', $from->unit) : $from->finishedHeight;
        // Flipped corners are lengths of their own; they grow by the side that grows least, so that they still fit.
        $scales = [$width->inches->dividedBy($from->finishedWidth->inches), $height->inches->dividedBy($from->finishedHeight->inches)];
        $scale = $scales[0]->compareTo($scales[1]) < 0 ? $scales[0] : $scales[1];
        $name = trim($fields->text('name'));
        $copy = $from->with(name: $name === '' ? $from->name : $name, width: $width, height: $height, grid: $scale->equals(Fraction::of(1)) ? $from->grid : $from->grid->scaled($scale, $from->unit));
        $text = json_encode(BlockFileWriter::write($copy), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
        $this->door->fromText($text);
        $made = ShelfBlock::query()->create(['name' => $copy->name, 'document' => $text] + $block->only(self::DECIDED));
        $made->refresh();

        return new JsonResponse(ShelfDocument::of($made, $this->workings->of($made)), JsonResponse::HTTP_CREATED);
    }
}
