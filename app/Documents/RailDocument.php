<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\ShelfBlock;
use App\Workings\WorkingOut;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\KeenSeamProblem;

/**
 * The stations on the line of stitching: what to say of each, and whether its work is done. Done is what was done with the
 * hands or decided by the quilter, never what the program could work out.
 */
final readonly class RailDocument
{
    /** @return array{stations: list<array{name: string, word: string, note: string, isDone: bool}>} */
    public static function of(ShelfBlock $block, WorkingOut $working): array
    {
        [$units, $seams, $sewn, $pressed, $nested] = [FaceDocument::kept($working)['units'], 0, 0, 0, ''];
        try {
            $head = $working->planHead();
            $progress = $working->facts()->progress();
            [$seams, $sewn, $pressed] = [count($head->pressing->directions), count($progress->sewn), count($progress->pressed)];
            $nested = $head->figures['matches'] === 0 ? 'nothing to match' : sprintf('%d of %d nest', $head->figures['nested'], $head->figures['matches']);
        } catch (KeenSeamProblem) {
            // It cannot be sewn as it is; the Order station says why.
        }
        [$isSewn, $isPressed] = [$seams > 0 && $sewn === $seams, $seams > 0 && $pressed === $seams];
        [$ready, $all] = self::cut($block, $working, $isSewn);
        $isChosen = $block->order_chosen || $sewn > 0;

        return ['stations' => [
            self::station('wall', 'Wall', $units === 1 ? '1 unit' : "$units units", ShelfDocument::isLaidOut($working)),
            self::station('cut', 'Cut and make', $ready === 0 || $isSewn ? '' : "$ready of $all ready", $isSewn || ($all > 0 && $ready === $all)),
            self::station('order', 'Order', self::orderNote($block, $isChosen), $isChosen),
            self::station('press', 'Press', $nested, $isPressed),
            self::station('joins', 'Joins', '', $isSewn),
            self::station('machine', 'Machine', match (true) {
                $seams === 0 => '',
                $isSewn => $isPressed ? 'all sewn' : 'sewn, not all pressed',
                default => sprintf('%d of %d seam%s sewn', $sewn, $seams, $seams === 1 ? '' : 's'),
            }, $isPressed && $block->stepsDoneNow() >= ($block->steps_in_all ?? 0)),
        ]];
    }

    /** @return array{name: string, word: string, note: string, isDone: bool} */
    private static function station(string $name, string $word, string $note, bool $isDone): array
    {
        return ['name' => $name, 'word' => $word, 'note' => $note, 'isDone' => $isDone];
    }

    /** @return array{int, int} stacks and units that lie ready, and how many there are; worked out only where some do */
    private static function cut(ShelfBlock $block, WorkingOut $working, bool $isSewn): array
    {
        if ($block->cut_done === [] || $isSewn) {
            return [0, 0];
        }
        try {
            return CuttingDocument::readiness($block, $working->cutting(), $working->facts()->progress()->finishedClasses($working->construction()));
        } catch (KeenSeamProblem) {
            return [0, 0];
        }
    }

    private static function orderNote(ShelfBlock $block, bool $isChosen): string
    {
        if (! $isChosen) {
            return 'not chosen yet';
        }

        return match ($block->order) {
            Order::Rows => 'by rows',
            Order::Columns => 'by columns',
            Order::Quarters => 'in halves',
            Order::Twos => 'in twos',
            Order::Diagonal => 'slanting rows',
            Order::Around => 'round a centre',
            Order::Best => 'fewest points',
            default => $block->order->words(),
        };
    }
}
