<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\LookingLesson;
use App\Models\PhotographRecord;
use App\Models\ShelfBlock;
use KeenSeam\Core\Assembly\UnitName;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Photo\PhotoWords;
use KeenSeam\Core\Photo\Verdict;

/** The photograph of a block as the screen shows it. */
final class PhotoStationDocument
{
    /** @return array<string, mixed> */
    public static function of(ShelfBlock $block, Face $face, ?PhotographRecord $photo): array
    {
        $isLesson = $photo !== null && $photo->planted !== null;
        $isHidden = $isLesson && $photo->guess === null;
        $cells = $photo === null ? [] : array_map(static fn (array $cell): array => self::cell($cell, $face, $photo, $isHidden), $photo->reading['cells'] ?? []);
        $names = array_map(static fn ($fabric): string => $fabric->name, $face->block->fabrics);

        return [
            'block' => ['id' => $block->id, 'name' => $block->name, 'version' => $block->version],
            'face' => FaceDocument::of($face),
            'picture' => $photo === null ? null : ['address' => sprintf('/api/blocks/%d/photo.jpg?of=%s', $block->id, hash('crc32b', $photo->image)), 'width' => $photo->width, 'height' => $photo->height],
            'corners' => $photo->corners ?? $photo->reading['corners'] ?? null,
            'problem' => $photo->reading['problem'] ?? null,
            'lesson' => ! $isLesson ? null : ['isOver' => ! $isHidden, 'guess' => $photo->guess, 'planted' => $isHidden ? [] : array_map(static fn (array $one): array => ['row' => $one['row'], 'column' => $one['column']], $photo->planted ?? [])],
            'cells' => $cells,
            'says' => $isHidden || $photo === null ? '' : PhotoWords::summary(array_map(static fn (array $cell): Verdict => $cell['isIgnored'] ? Verdict::AsDrawn : Verdict::from($cell['verdict'] ?? ''), $cells)),
            'alike' => $isHidden || $photo === null ? [] : array_map(static fn (array $pair): string => PhotoWords::alike($names[$pair[0]] ?? $pair[0], $names[$pair[1]] ?? $pair[1]), $photo->reading['alike'] ?? []),
            'lessons' => LookingLesson::counts($block->id),
        ];
    }

    /**
     * @param array{row: int, column: int, verdict: string, turn: int, mirrored: bool, sure: float, corners: list<array{float, float}>} $cell
     *
     * @return array{row: int, column: int, name: string, verdict: string|null, turn: int, mirrored: bool, corners: list<array{float, float}>, patches: list<int>, words: string, isIgnored: bool}
     */
    private static function cell(array $cell, Face $face, PhotographRecord $photo, bool $isHidden): array
    {
        $unit = null;
        foreach ($face->whole->parts as $part) {
            $unit = $part instanceof PlacedUnit && $part->cell->row === $cell['row'] && $part->cell->column === $cell['column'] ? $part : $unit;
        }
        $seen = new Placement(Turn::from($cell['turn']), $cell['mirrored']);

        return [
            'row' => $cell['row'],
            'column' => $cell['column'],
            'name' => $unit === null ? '' : UnitName::of($unit, false),
            'verdict' => $isHidden ? null : $cell['verdict'],
            'turn' => $isHidden ? 0 : $cell['turn'],
            'mirrored' => ! $isHidden && $cell['mirrored'],
            'corners' => array_map(static fn (array $corner): array => [round($corner[0], 1), round($corner[1], 1)], $cell['corners']),
            'patches' => $unit === null ? [] : array_map(static fn ($patch): int => $patch->id, $unit->patches()),
            'words' => $isHidden || $unit === null ? '' : PhotoWords::of(Verdict::from($cell['verdict']), $seen, $unit->placement),
            'isIgnored' => in_array($cell['row'].','.$cell['column'], $photo->never_mind, true),
        ];
    }
}
