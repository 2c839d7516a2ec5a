<?php

declare(strict_types=1);

namespace App\Photo;

use App\Models\LookingLesson;
use App\Models\PhotographRecord;
use App\Models\ShelfBlock;
use App\Workings\Workings;
use Illuminate\Support\Facades\DB;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Photo\PhotoNotReadable;
use KeenSeam\Core\Photo\PhotoReader;
use KeenSeam\Core\Photo\SeenCell;

/** The photograph of a block: kept, looked at, and made up for a lesson in looking. */
final readonly class PhotoShelf
{
    /** Tries to lay a unit so that one sees it lies wrong. */
    private const TRIES = 60;

    /** Pixels of a picture that is made up. */
    private const MADE = [1120, 840];

    public function __construct(private Workings $workings) {}

    public function of(ShelfBlock $block): ?PhotographRecord
    {
        return PhotographRecord::query()->where('shelf_block_id', $block->id)->first();
    }

    /** @throws PhotoNotReadable when the file is no photograph; then the one before stays */
    public function take(ShelfBlock $block, string $bytes): PhotographRecord
    {
        $file = PhotoFile::from($bytes);

        return $this->kept($block, $file->jpeg, $file->photo->width, $file->photo->height, null);
    }

    /** A picture with a surprise in it. */
    public function makeUp(ShelfBlock $block): PhotographRecord
    {
        $face = $this->workings->asAsked($block)->face();
        $shot = new Shot(random_int(1, 1_000_000));
        $planted = self::surprise($face, $shot);
        [$image] = Camera::take($face, $planted->faces, $shot, ...self::MADE);
        ob_start();
        imagejpeg($image, null, 84);

        return $this->kept($block, (string) ob_get_clean(), self::MADE[0], self::MADE[1], $planted->told);
    }

    /**
     * Where the quilter says it lies wrong; with it the lesson is over.
     *
     * @throws PhotoNotReadable when the picture is no lesson
     */
    public function guess(ShelfBlock $block, PhotographRecord $photo, int $row, int $column): void
    {
        if ($photo->planted === null || $photo->guess !== null) {
            throw PhotoNotReadable::noLesson();
        }
        $photo = $this->looked($block, $photo);
        $isAt = static fn (int $atRow, int $atColumn): bool => array_filter($photo->planted ?? [], static fn (array $one): bool => $one['row'] === $atRow && $one['column'] === $atColumn) !== [];
        $called = array_filter($photo->reading['cells'] ?? [], static fn (array $cell): bool => ! in_array($cell['verdict'], ['as drawn', 'unsure'], true));
        $found = array_filter($called, static fn (array $cell): bool => $isAt($cell['row'], $cell['column']));
        DB::transaction(static function () use ($block, $photo, $row, $column, $isAt, $called, $found): void {
            $photo->update(['guess' => ['row' => $row, 'column' => $column]]);
            LookingLesson::query()->create(['shelf_block_id' => $block->id, 'quilter_was_right' => $isAt($row, $column), 'program_was_right' => count($found) === count($photo->planted ?? []) && count($called) === count($found)]);
        });
    }

    /**
     * Compared with the block as it is drawn now.
     *
     * @throws PhotoNotReadable when what was kept is no picture any more
     */
    public function looked(ShelfBlock $block, PhotographRecord $photo): PhotographRecord
    {
        $sum = hash('xxh128', serialize([$block->document, $photo->corners, PhotoReader::VERSION]));
        if ($photo->read_of === $sum && $photo->reading !== null) {
            return $photo;
        }
        $face = $this->workings->asAsked($block)->face();
        $file = PhotoFile::from($photo->image);
        try {
            $reading = PhotoReader::read($face, $file->photo, $photo->corners);
            $told = [
                'corners' => $reading->corners,
                'cells' => array_map(static fn (SeenCell $cell): array => ['row' => $cell->row, 'column' => $cell->column, 'verdict' => $cell->verdict->value, 'turn' => $cell->placement->turn->value, 'mirrored' => $cell->placement->mirrored, 'sure' => $cell->sure, 'corners' => $cell->corners], $reading->cells),
                'alike' => $reading->alike,
                'problem' => null,
            ];
        } catch (PhotoNotReadable $problem) {
            $told = ['cells' => [], 'alike' => [], 'problem' => $problem->getMessage()];
        }
        $photo->update(['reading' => $told, 'read_of' => $sum]);

        return $photo;
    }

    /** @param list<array{row: int, column: int, turn: int, mirrored: bool, unit: string|null}>|null $planted */
    private function kept(ShelfBlock $block, string $jpeg, int $width, int $height, ?array $planted): PhotographRecord
    {
        return PhotographRecord::query()->updateOrCreate(['shelf_block_id' => $block->id], ['image' => $jpeg, 'width' => $width, 'height' => $height, 'corners' => null, 'reading' => null, 'read_of' => '', 'never_mind' => [], 'planted' => $planted, 'guess' => null]);
    }

    /** One unit turned, mirrored or changed for another. */
    private static function surprise(Face $face, Shot $shot): Planted
    {
        $units = array_values(array_filter($face->whole->parts, static fn ($part): bool => $part instanceof PlacedUnit));
        for ($try = 0; $try < self::TRIES; ++$try) {
            $cell = $units[$shot->random->getInt(0, count($units) - 1)]->cell;
            $ways = ['180', '0m', '90', '270', '180m', 'plain'];
            $way = $ways[$shot->random->getInt(0, $try < self::TRIES / 2 ? 4 : 5)];
            try {
                $planted = Planted::read(["$cell->row,$cell->column:$way"], $face);
            } catch (PlantedWrong) {
                continue; // a quarter turn of a unit that is not square
            }
            if ($planted->told !== []) {
                return $planted;
            }
        }

        return Planted::nothing();
    }
}
