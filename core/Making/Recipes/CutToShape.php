<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Recipes;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Piece as Unsewn;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Listed;
use KeenSeam\Core\Making\Bench;
use KeenSeam\Core\Making\CutShape;
use KeenSeam\Core\Making\InnerTrim;
use KeenSeam\Core\Making\Piece;
use KeenSeam\Core\Making\Recipe;
use KeenSeam\Core\Making\StageKind;
use KeenSeam\Core\Making\Table\Table;
use KeenSeam\Core\Making\Then;
use KeenSeam\Core\Making\UnitToMake;
use KeenSeam\Core\Matching\RawEdges;

/** Every patch cut by its own shape and sewn in the order of the plan: triangles from squares, rectangles, templates. */
final readonly class CutToShape implements Recipe
{
    /** Patches of one fabric along a join are named; of a longer one only that it is next. */
    private const MOST_STAGES = 8;

    /** @param list<Piece> $pieces one for each kind of patch that is cut for this unit itself */
    private function __construct(
        private string $key,
        private string $words,
        private string $check,
        private array $pieces,
        private UnitToMake $unit,
        private RawEdges $edges,
    ) {}

    public static function for(UnitToMake $unit, Bench $bench): array
    {
        if (count($unit->patches) < 2 || ($unit->isGrid() && $unit->first !== null)) {
            return [];
        }
        $inParts = array_map(static fn (Patch $patch): int => $patch->id, array_merge(...array_map(static fn (UnitToMake $part): array => array_merge(...$part->members), $unit->parts)));
        $pieces = [];
        foreach ($unit->patches as $patch) {
            if (! in_array($patch->id, $inParts, true)) {
                $piece = $bench->cutter->piece($patch);
                $pieces[(string) $piece->patch] = isset($pieces[(string) $piece->patch]) ? $piece->times($pieces[(string) $piece->patch]->perBatch + 1) : $piece;
            }
        }
        $pieces = array_values($pieces);
        [$key, $words] = self::named($unit, $pieces);

        return [new self($key, $words, self::check($unit), $pieces, $unit, $bench->cutter->edges)];
    }

    public function key(): string
    {
        return $this->key;
    }

    public function words(): string
    {
        return $this->words;
    }

    public function note(): string
    {
        return '';
    }

    public function isByChoice(): bool
    {
        return false;
    }

    public function carryOut(Table $table): void
    {
        $table->sewnByHand = 1;
        $table->pieces = $this->pieces;
        $isTemplate = array_filter($this->pieces, static fn (Piece $piece): bool => $piece->shape === CutShape::Template) !== [];
        $isTriangle = array_filter($this->pieces, static fn (Piece $piece): bool => $piece->then !== Then::None) !== [];
        $isBias = $isTemplate || $isTriangle;
        $cut = implode(' ', array_filter([
            $this->unit->parts === [] ? '' : 'Make its '.implode(', ', array_values(array_unique(array_map(static fn (UnitToMake $part): string => $part->plural, $this->unit->parts)))).' first.',
            $isTemplate ? 'Make a template of each outline, with its allowance, and cut round it with the grain arrow along the weave.' : '',
            $isTriangle ? 'Cut the squares corner to corner.' : '',
            $isBias || $this->pieces === [] ? '' : 'Cut the pieces.',
        ]));
        $table->show(StageKind::Cut, $cut, array_map(fn (Patch $patch): array => [$this->piece($patch, $this->edges->outline(new Unsewn($patch)))], $this->unit->patches));
        $table->show(StageKind::Lay, 'Lay them out as they will lie'.($isBias ? '; long bias sides are handled little.' : '.'), [array_map(fn (Patch $patch): array => $this->piece($patch, $this->finished($patch)), $this->unit->patches)]);
        $this->sew($table);
        $table->squareUp($this->check, []);
    }

    private function sew(Table $table): void
    {
        if (count($this->unit->joins) > self::MOST_STAGES) {
            $table->show(StageKind::Sew, 'Sew them in the order of the plan, pressing each seam before the next crosses it.', [], [], count($this->unit->joins), true);

            return;
        }
        foreach ($this->unit->joins as $join) {
            $steps = $this->steps();
            $stitches = [[[$join->seam->from->x / $steps, $join->seam->from->y / $steps], [$join->seam->to->x / $steps, $join->seam->to->y / $steps]]];
            $table->show(StageKind::Sew, sprintf('Sew %s to %s.', self::partName($join->right), self::partName($join->left)), [$this->opened($join)], $stitches, 1);
            $table->show(StageKind::Press, 'Open and press.'.(InnerTrim::isNeededAfter($join, $this->unit->joins) ? ' '.InnerTrim::WORDS : ''), [$this->opened($join)], [], 0, true);
        }
    }

    /** @return list<array{fabric: string, points: list<array{float, float}>, isBack: bool}> */
    private function opened(Join $join): array
    {
        $byId = [];
        foreach ($this->unit->patches as $patch) {
            $byId[$patch->id] = $patch;
        }
        $shown = $this->edges->patches($join);

        return array_map(fn (int $id, array $corners): array => $this->piece($byId[$id], $corners), array_keys($shown), $shown);
    }

    /** @return list<array{float, float}> */
    private function finished(Patch $patch): array
    {
        $steps = $this->steps();

        return array_map(static fn (Point $point): array => [$point->x / $steps, $point->y / $steps], $patch->outline->points);
    }

    /**
     * @param list<array{float, float}> $corners
     *
     * @return array{fabric: string, points: list<array{float, float}>, isBack: bool}
     */
    private function piece(Patch $patch, array $corners): array
    {
        return ['fabric' => $patch->fabric->key, 'points' => array_map(static fn (array $corner): array => [round($corner[0], 4), round($corner[1], 4)], $corners), 'isBack' => false];
    }

    private function steps(): int
    {
        return $this->edges->steps;
    }

    private static function partName(Assembly $part): string
    {
        $fabrics = [];
        $look = static function (Assembly $one) use (&$look, &$fabrics): void {
            if ($one instanceof Unsewn) {
                $fabrics[$one->patch->fabric->name] = true;
            }
            array_map($look, $one->children());
        };
        $look($part);

        return Listed::of(array_keys($fabrics));
    }

    /**
     * @param list<Piece> $pieces
     *
     * @return array{string, string} key and words
     */
    private static function named(UnitToMake $unit, array $pieces): array
    {
        if ($pieces === []) {
            return ['from-parts', 'from the units in it'];
        }
        if (array_filter($pieces, static fn (Piece $piece): bool => $piece->shape === CutShape::Template) !== []) {
            return ['template', 'cut with templates'];
        }
        $isKnown = in_array($unit->unit->kind(), ['half-square-triangle', 'quarter-square-triangle', 'split-quarter-square-triangle', 'flying-geese', 'square-in-square'], true);

        return match (true) {
            ! $isKnown => ['cut', 'cut to size'],
            $unit->unit->kind() === 'half-square-triangle' => ['from-triangles', 'from cut triangles'],
            $unit->unit->kind() === 'quarter-square-triangle' => ['from-triangles', 'from four cut triangles'],
            $unit->unit->kind() === 'square-in-square' => ['from-triangles', 'four triangles round a square'],
            default => ['from-triangles', 'from a large and two small triangles'],
        };
    }

    private static function check(UnitToMake $unit): string
    {
        return match ($unit->unit->kind()) {
            'half-square-triangle' => 'the seam on the ruler\'s 45 degree line',
            'quarter-square-triangle' => 'the centre at half the size both ways',
            'split-quarter-square-triangle' => 'the long seam on the 45 degree line',
            'flying-geese', 'triangle-in-square' => 'the tip one allowance below the raw edge and half way along',
            'square-in-square' => 'each tip one allowance inside the middle of its edge',
            default => 'all sides straight',
        };
    }
}
