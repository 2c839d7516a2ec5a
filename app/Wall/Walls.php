<?php

declare(strict_types=1);

namespace App\Wall;

use App\BlockFiles\BlockDoor;
use App\BlockFiles\BlockFileReader;
use App\Models\ShelfBlock;
use App\Workings\Workings;
use Illuminate\Http\Request;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\BlockFileWriter;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Layout\Wall;

/** Opens blocks of the shelf on the wall and puts changed ones back. */
final readonly class Walls
{
    public function __construct(
        private Workings $workings,
        private BlockFileReader $reader,
    ) {}

    /**
     * @param string $path    rows and columns of the small grids that are open: "2.3/1.1"
     * @param bool   $isAlone whether small grids that are equal to it stay as they are
     *
     * @throws KeenSeamProblem
     */
    public function open(ShelfBlock $block, string $path, bool $isAlone = false): Wall
    {
        return Wall::of($this->workings->of($block)->design(), self::path($path), $isAlone);
    }

    /**
     * The face of the grid that is open.
     *
     * @throws KeenSeamProblem when the layout breaks a rule of block files, or a unit does not fit its cell
     */
    public function face(Wall $wall): Face
    {
        BlockFile::read(BlockFileWriter::write($wall->block));
        $whole = BlockDoor::faced($wall->block);
        $open = $wall->open()->asBlock();

        return $open === $wall->block ? $whole : Face::of($open);
    }

    /** The layout to match, if there is one. */
    public function picture(ShelfBlock $block): ?Block
    {
        return $block->picture === null ? null : $this->reader->readAgain($block->picture);
    }

    public function save(ShelfBlock $block, int $seenVersion, Wall $wall, string $words): void
    {
        $text = json_encode(BlockFileWriter::write($wall->block), JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
        History::record($block, $seenVersion, $words, $this->workings->of($block)->changesWith($wall->block->name, $text));
    }

    /**
     * Takes the last change back or, with +1, makes it again.
     *
     * @throws KeenSeamProblem when the block as it would become cannot be opened
     */
    public function step(ShelfBlock $block, int $seenVersion, int $by): void
    {
        History::step($block, $seenVersion, $by, function (ShelfBlock $changed): array {
            BlockDoor::workedOut($this->workings->of($changed)->design());

            return [];
        });
    }

    public function sewn(ShelfBlock $block, Face $face): ?Construction
    {
        try {
            return Construction::of($face, $block->order);
        } catch (KeenSeamProblem) {
            return null; // the layout can be looked at all the same; the Order station says what is in the way
        }
    }

    /** The path a request asks for. */
    public static function pathOf(Request $request): string
    {
        $path = $request->input('path', '');

        return is_string($path) ? $path : '';
    }

    /** @return list<array{int, int}> */
    private static function path(string $path): array
    {
        if ($path === '') {
            return [];
        }
        if (preg_match('~^\d{1,4}\.\d{1,4}(/\d{1,4}\.\d{1,4}){0,11}$~D', $path) !== 1) {
            throw EditNotReadable::field('path', 'path like 2.3');
        }

        return array_map(static function (string $place): array {
            [$row, $column] = explode('.', $place);

            return [(int) $row, (int) $column];
        }, explode('/', $path));
    }
}
