<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\ShelfBlock;
use App\Wall\Walls;
use App\Workings\Workings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Assembly\UnitName;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Layout\HandCount;
use KeenSeam\Core\Layout\Impostors;
use KeenSeam\Core\Layout\LayoutWords;

/** What the layout means at the machine and the iron: it takes longer than the picture, so it comes after it. */
final readonly class WallFiguresController
{
    public function __construct(
        private Workings $workings,
        private Walls $walls,
    ) {}

    /** @throws KeenSeamProblem when the block cannot be sewn in its order */
    public function __invoke(Request $request, ShelfBlock $block): JsonResponse
    {
        $wall = $this->walls->open($block, Walls::pathOf($request));
        $opened = $wall->open()->asBlock() === $wall->block ? null : $this->walls->sewn($block, Face::of($wall->open()->asBlock()));
        $working = $this->workings->of($block);
        $construction = $working->construction();

        $hands = HandCount::allOn($construction->face);
        $tags = UnitName::tags($construction->classes);
        // How a unit lies that is sewn in already needs no second look.
        $settled = $opened === null ? $working->facts()->progress()->settled($construction) : [];
        $cells = [];
        foreach ($construction->face->whole->parts as $unit) {
            if ($unit instanceof PlacedUnit && array_filter($unit->patches(), static fn (Patch $patch): bool => isset($settled[$patch->id])) !== []) {
                $cells[$unit->cell->row.' '.$unit->cell->column] = true;
            }
        }
        $twice = array_values(array_filter(Impostors::allIn($opened ?? $construction), static fn (Impostors $one): bool => ! isset($cells[$one->cell->row.' '.$one->cell->column])));

        return new JsonResponse([
            'version' => $block->version,
            'patches' => count($construction->face->patches),
            'units' => array_map(static fn (UnitClass $class): array => [
                'class' => $class->label(),
                'tag' => $tags[$class->index],
                'count' => count($class->members),
                'name' => UnitName::ofClass($class, count($class->members) > 1),
                'hand' => HandCount::handOf($hands, $class->members[0]),
            ], $construction->classes),
            'figures' => $working->planHead()->figures,
            'lookTwice' => array_map(static fn (Impostors $impostors): array => [$impostors->cell->row, $impostors->cell->column], $twice),
            'lookTwiceSays' => LayoutWords::lookTwice(count($twice)),
        ]);
    }
}
