<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\OwnUnit;
use App\Models\ShelfBlock;
use App\Wall\EditFields;
use App\Wall\EditNotReadable;
use App\Wall\OwnTray;
use App\Wall\Walls;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\KeenSeamProblem;

/** The quilter's own units in the tray. */
final readonly class TrayController
{
    public function __construct(private Walls $walls) {}

    /**
     * Keeps the unit of a cell.
     *
     * @throws KeenSeamProblem
     */
    public function store(Request $request, ShelfBlock $block): JsonResponse
    {
        $fields = new EditFields($request->json()->all());
        $name = trim($fields->text('name'));
        if ($name === '') {
            throw EditNotReadable::field('name', 'name for the unit');
        }
        OwnTray::keep($this->walls->open($block, Walls::pathOf($request)), $fields->number('row'), $fields->number('column'), $name);

        return $this->shown(JsonResponse::HTTP_CREATED);
    }

    public function destroy(OwnUnit $unit): JsonResponse
    {
        $unit->delete();

        return $this->shown();
    }

    public function restore(OwnUnit $unit): JsonResponse
    {
        $unit->restore();

        return $this->shown();
    }

    private function shown(int $status = JsonResponse::HTTP_OK): JsonResponse
    {
        return new JsonResponse(['own' => OwnTray::shown()], $status);
    }
}
