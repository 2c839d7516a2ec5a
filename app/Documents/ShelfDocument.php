<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\ShelfBlock;
use App\Workings\WorkingOut;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\Face;

/** A block as it stands on the shelf: what its card tells, and where its work stopped. */
final class ShelfDocument
{
    /**
     * @return array<string, mixed>
     *
     * @throws \KeenSeam\Core\KeenSeamProblem when the block cannot be opened
     */
    public static function of(ShelfBlock $block, WorkingOut $working): array
    {
        $card = self::card($working);

        return [
            'id' => $block->id,
            'name' => $block->name,
            'version' => $block->version,
            ...array_diff_key($card, ['isLaidOut' => true]),
            'picture' => sprintf('/api/blocks/%d/face.svg?of=%s', $block->id, hash('crc32b', $block->document)),
            'tags' => $block->tags,
            'touched' => $block->updated_at?->getTimestampMs() ?? 0,
            'stepsDone' => $block->stepsDoneNow(),
            'stepsInAll' => $block->steps_in_all,
            'stoppedAt' => self::stoppedAt($block, $card['isLaidOut']),
        ];
    }

    /** @return array{units: int, finished: list<string>, unit: string, width: float, height: float, fabrics: list<string>, isLaidOut: bool} */
    private static function card(WorkingOut $working): array
    {
        return $working->ofFile('card', static fn (): array => self::written($working->face()));
    }

    /** Whether there is something to sew on it yet. */
    public static function isLaidOut(WorkingOut $working): bool
    {
        return self::card($working)['isLaidOut'];
    }

    /** @return array{units: int, finished: list<string>, unit: string, width: float, height: float, fabrics: list<string>, isLaidOut: bool} */
    private static function written(Face $face): array
    {
        $block = $face->block;

        return [
            'units' => count($face->whole->parts),
            'finished' => FaceDocument::finished($face),
            'unit' => $block->unit->value,
            'width' => $block->finishedWidth->inches->toFloat(),
            'height' => $block->finishedHeight->inches->toFloat(),
            'fabrics' => array_values(array_map(static fn (Fabric $fabric): string => $fabric->name, $block->fabrics)),
            'isLaidOut' => $face->isLaidOut(),
        ];
    }

    /** The station that its picture opens. */
    private static function stoppedAt(ShelfBlock $block, bool $isLaidOut): string
    {
        return match (true) {
            $block->stepsDoneNow() > 0 => 'machine',
            ! $isLaidOut => 'wall',
            $block->cut_done !== [] => 'cut',
            $block->order_chosen => 'press',
            default => 'order',
        };
    }
}
