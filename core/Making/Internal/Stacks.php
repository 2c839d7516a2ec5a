<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Internal;

use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Making\Bench;
use KeenSeam\Core\Making\Cut;
use KeenSeam\Core\Making\CutNotPossible;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\MadeUnit;
use KeenSeam\Core\Making\Margin;
use KeenSeam\Core\Making\Piece;

/**
 * Gathers pieces that are cut alike into stacks, and gives each its letter at exact sizes, so that margins don't change it.
 *
 * @internal
 */
final class Stacks
{
    /** Patches that are a cell by themselves. */
    private const PLAIN = 'plain';

    /** @var array<string, Piece> one of each stack, by its key at exact size */
    private array $exact = [];

    /** @var list<array{key: string, piece: Piece, pieces: int, mirrored: int, for: string, patches: list<int>}> */
    private array $entries = [];

    public function __construct(
        private readonly Bench $bench,
        private readonly CutQuestion $question,
    ) {}

    public function addUnit(MadeUnit $made): void
    {
        $way = $made->way;
        $ofUnit = array_merge(...$made->unit->members);
        foreach ($way->pieces as $piece) {
            $patches = $piece->patch === null ? [] : array_values(array_filter($ofUnit, fn (Patch $patch): bool => $this->bench->cutter->piece($patch)->patch === $piece->patch));
            $this->add($piece, $piece->piecesFor($made->batches(), $made->parts, $way->parts), $made->unit->label, $patches);
        }
    }

    /** @param list<Patch> $loose */
    public function addLoose(array $loose): void
    {
        $groups = [];
        foreach ($loose as $patch) {
            $groups[(string) $this->bench->cutter->piece($patch)->patch][] = $patch;
        }
        foreach ($groups as $patches) {
            $this->add($this->bench->cutter->piece($patches[0]), $this->question->blocks * count($patches), self::PLAIN, $patches);
        }
    }

    /** @param list<array{Piece, int, string}> $strips with how many there are, and what they are for */
    public function addStrips(array $strips): void
    {
        foreach ($strips as [$piece, $count, $for]) {
            $this->add($piece, $this->question->blocks * $count, $for, []);
        }
    }

    /**
     * @return list<Cut>
     *
     * @throws CutNotPossible where a margin was chosen for a stack that is not there
     */
    public function cuts(): array
    {
        $letters = $this->letters();
        foreach (array_keys($this->question->margins->stacks) as $letter) {
            if (! in_array((string) $letter, $letters, true)) {
                throw CutNotPossible::unknownStack((string) $letter, array_values($letters));
            }
        }
        $cuts = [];
        foreach ($this->entries as $entry) {
            $margin = $this->question->margins->of($entry['piece'], $entry['for'] === self::PLAIN || str_starts_with($entry['for'], 'border ') ? null : $entry['for'], $letters[$entry['key']]);
            $cuts[$entry['key'].' '.$margin->value] ??= ['entry' => $entry, 'margin' => $margin, 'pieces' => 0, 'mirrored' => 0, 'for' => [], 'patches' => []];
            $of = &$cuts[$entry['key'].' '.$margin->value];
            // One stack has one size: the largest that any of its units asks for.
            if ($entry['piece']->size($margin, $this->bench->marks)[0]->compareTo($of['entry']['piece']->size($margin, $this->bench->marks)[0]) > 0) {
                $of['entry'] = $entry;
            }
            $of['pieces'] += $entry['pieces'];
            $of['mirrored'] += $entry['mirrored'];
            $of['for'][$entry['for']] = true;
            array_push($of['patches'], ...$entry['patches']);
            unset($of);
        }
        $order = array_flip(array_keys($letters));
        $cuts = array_values($cuts);
        usort($cuts, static fn (array $a, array $b): int => [$order[$a['entry']['key']], $a['margin']->value] <=> [$order[$b['entry']['key']], $b['margin']->value]);

        return array_map(function (array $cut) use ($letters): Cut {
            $piece = $cut['entry']['piece'];
            [$width, $height] = $piece->size($cut['margin'], $this->bench->marks);
            $patches = $cut['patches'];
            sort($patches);

            return new Cut($letters[$cut['entry']['key']], $piece->fabric, $piece->shape, $width, $height, $piece->then->wholes($cut['pieces']), $piece->then, array_map(strval(...), array_keys($cut['for'])), $cut['margin'], $cut['mirrored'], $patches, $piece->template, $cut['entry']['key']);
        }, $cuts);
    }

    /**
     * @param int         $pieces  once all are cut further
     * @param list<Patch> $patches that they become in one block
     */
    private function add(Piece $piece, int $pieces, string $for, array $patches): void
    {
        $key = $piece->stackKey($this->bench->marks);
        $this->exact[$key] ??= $piece;
        $drawn = $this->exact[$key]->template?->isMirrored;
        $other = $drawn === null ? [] : array_filter($patches, fn (Patch $patch): bool => $this->bench->cutter->piece($patch)->template?->isMirrored !== $drawn);
        $this->entries[] = [
            'key' => $key,
            // The hand of the first one is the one that is drawn.
            'piece' => $piece->template === null ? $piece : $this->exact[$key],
            'pieces' => $pieces,
            'mirrored' => $this->question->blocks * count($other),
            'for' => $for,
            'patches' => array_map(static fn (Patch $patch): int => $patch->id, $patches),
        ];
    }

    /** @return array<string, string> letter by key, in the order of the list: by fabric, the largest first */
    private function letters(): array
    {
        $marks = $this->bench->marks;
        $keys = array_keys($this->exact);
        usort($keys, function (string $a, string $b) use ($marks): int {
            [$one, $other] = [$this->exact[$a], $this->exact[$b]];
            [[$w, $h], [$otherW, $otherH]] = [$one->exact($marks), $other->exact($marks)];

            return $one->fabric <=> $other->fabric ?: $otherW->times($otherH)->compareTo($w->times($h)) ?: $a <=> $b;
        });
        $letters = [];
        foreach ($keys as $i => $key) {
            $letters[$key] = self::letter($i);
        }

        return $letters;
    }

    /** a, b, ..., z, aa, ab, ... */
    private static function letter(int $number): string
    {
        return ($number < 26 ? '' : self::letter(intdiv($number, 26) - 1)).chr(ord('a') + $number % 26);
    }
}
