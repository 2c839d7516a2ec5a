<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\BlockFiles\BlockDoor;
use App\Documents\FaceDocument;
use App\Documents\ShelfDocument;
use App\Models\ShelfBlock;
use App\Wall\EditFields;
use App\Wall\OwnTray;
use App\Wall\StartAsked;
use App\Workings\Workings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\Block\BlockFileWriter;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Layout\Axis;
use KeenSeam\Core\Layout\GridWords;
use KeenSeam\Core\Layout\Hand;
use KeenSeam\Core\Layout\LayoutWords;
use KeenSeam\Core\Layout\Start;
use KeenSeam\Core\Layout\Symmetry;
use KeenSeam\Core\Layout\TrayUnit;

/** New blocks: what they can begin with, and one of them begun. */
final readonly class StartController
{
    /** Cells of a grid that is drawn while it is asked for. */
    private const MOST_DRAWN = 400;

    public function __construct(
        private BlockDoor $door,
        private Workings $workings,
    ) {}

    public function index(): JsonResponse
    {
        return new JsonResponse(['tray' => self::tray(), 'own' => OwnTray::shown(), 'follows' => self::follows()]);
    }

    /**
     * What a block would be, while it is still being asked for.
     *
     * @throws KeenSeamProblem whose place is the field that cannot be read
     */
    public function pictures(Request $request): JsonResponse
    {
        $asked = new StartAsked(new EditFields($request->query()));
        $isDrawn = count($asked->columns) * count($asked->rows) <= self::MOST_DRAWN;

        return new JsonResponse([
            'columns' => GridWords::of(Axis::Columns, $asked->columns, $asked->width, $asked->unit),
            'rows' => GridWords::of(Axis::Rows, $asked->rows, $asked->height, $asked->unit),
            'fits' => $asked->fits(),
            'starts' => array_map(static fn (Start $start): array => [
                'start' => $start->value,
                'words' => $start->words(),
                'face' => $isDrawn ? FaceDocument::of(Face::of($asked->block($start, $start->words()))) : null,
            ], Start::cases()),
        ]);
    }

    /** @return list<array<string, mixed>> the kinds of unit there are, in figure, ground and second figure */
    private static function tray(): array
    {
        return array_map(static fn (TrayUnit $unit): array => [
            'kind' => $unit->kind,
            'name' => $unit->name,
            'ratio' => $unit->ratio,
            'patches' => array_map(static fn (array $patch): array => ['role' => $patch[0], 'points' => $patch[1]], $unit->picture->toShares()),
        ], TrayUnit::all());
    }

    /** @return list<array<string, mixed>> what copies can follow by */
    private static function follows(): array
    {
        return array_map(static fn (Symmetry $one): array => [
            'name' => $one->value,
            'words' => $one->followWords(),
            'otherHand' => ['left' => LayoutWords::otherHand($one, Hand::Left), 'right' => LayoutWords::otherHand($one, Hand::Right)],
        ], [Symmetry::None, Symmetry::QuarterTurn, Symmetry::HalfTurn, Symmetry::MirrorVertical, Symmetry::MirrorHorizontal, Symmetry::MirrorBoth, Symmetry::MirrorDiagonals, Symmetry::Full]);
    }

    /** @throws KeenSeamProblem */
    public function store(Request $request): JsonResponse
    {
        $fields = new EditFields($request->json()->all());
        $name = trim($fields->text('name'));
        $block = (new StartAsked($fields))->block($fields->choice('start', Start::class), $name === '' ? 'New block' : $name);
        $text = json_encode(BlockFileWriter::write($block), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
        $this->door->fromText($text);
        $made = ShelfBlock::query()->create(['name' => $block->name, 'document' => $text]);
        $made->refresh();

        return new JsonResponse(ShelfDocument::of($made, $this->workings->of($made)), JsonResponse::HTTP_CREATED);
    }
}
