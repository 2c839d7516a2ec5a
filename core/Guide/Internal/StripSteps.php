<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide\Internal;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Strand;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Guide\Chain;
use KeenSeam\Core\Guide\PartNames;
use KeenSeam\Core\Guide\RowWords;
use KeenSeam\Core\Guide\SeamWords;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\StepKind;
use KeenSeam\Core\Guide\Words;
use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Matching\Remedy;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\Rules;

/**
 * Sewing units to rows, rows to larger parts, and those to the block.
 *
 * @internal
 */
final readonly class StripSteps
{
    /** Of more lumps along one seam nobody reads where each lies. */
    private const MOST_LUMPS = 4;

    private Construction $construction;

    private SeamWords $words;

    /** @var list<Point> crossings that lie thicker than a lump, once all is pressed */
    private array $thick;

    private PartNames $names;

    /** @var array<int, RowWords> by the joins of each row */
    private array $rows;

    public function __construct(
        private PressingPlan $plan,
        private int $blocks,
        private Chain $chain,
    ) {
        $this->construction = $plan->construction;
        $this->words = new SeamWords($plan);
        $this->thick = array_map(static fn (int $i): Point => $plan->junctions[$i]->at, array_keys(array_filter($plan->peaks(), static fn (int $peak): bool => $peak > PressQuestion::LUMP)));
        $this->names = new PartNames($plan->construction);
        $rows = [];
        foreach (RowWords::of($plan, new Rules($plan->construction)) as $row) {
            $rows += array_fill_keys($row->joins, $row);
        }
        $this->rows = $rows;
    }

    /**
     * Rows, then what is made of rows, then the block itself.
     *
     * @return list<Step>
     */
    public function all(): array
    {
        $open = array_filter($this->construction->strands, static fn (Strand $strand): bool => $strand->depth > 0);
        $steps = [];
        while ($open !== []) {
            $waiting = array_merge(...array_map(static fn (Strand $strand): array => $strand->joins, $open));
            $ready = array_values(array_filter($open, static fn (Strand $strand): bool => array_intersect(self::joinsUnder($strand), $waiting) === []));
            $steps = [...$steps, ...$this->wave($ready)];
            $open = array_filter($open, static fn (Strand $strand): bool => ! in_array($strand, $ready, true));
        }
        foreach ($this->construction->strands as $strand) {
            if ($strand->depth === 0) {
                $steps = [...$steps, ...$this->lastJoins($strand)];
            }
        }

        return $steps;
    }

    /** @return list<int> ids of the joins that made its parts */
    private static function joinsUnder(Strand $strand): array
    {
        $ids = [];
        $look = static function (mixed $part) use (&$look, &$ids): void {
            if ($part instanceof Join) {
                $ids[] = $part->id;
                array_map($look, $part->children());
            }
        };
        array_map($look, $strand->parts);

        return $ids;
    }

    /**
     * @param list<Strand> $strands that can be sewn side by side
     *
     * @return list<Step>
     */
    private function wave(array $strands): array
    {
        $sewn = $this->chain === Chain::Webbed && count($strands) > 1 ? $this->webbed($strands) : array_map($this->sewnStrand(...), $strands);
        [$checked, $pressed, $measured] = [[], [], []];
        foreach ($strands as $strand) {
            $joins = $this->joinsOf($strand);
            $title = $this->titleOf($strand);
            $points = array_sum(array_map(static fn (Join $join): int => count($join->matchPoints()), $joins));
            $patches = PatchIds::ofJoins($joins);
            $last = max($strand->joins);
            if ($points > 0) {
                $checked[] = new Step(StepKind::Check, [], $patches, [$last], $title, $this->checkWords($points), $this->blocks);
            }
            $pressed[] = new Step(StepKind::Press, $strand->joins, $patches, [$last], $title, $this->rowWords($strand).$this->words->pressWords($joins, ...$this->endsOf($strand)).$this->weightWords($joins), count($joins) * $this->blocks);
            // Only what has upright edges is as wide and as high as a ruler says.
            if ($this->construction->joins[$last]->outline()->isUprightRectangle()) {
                $measured[] = $this->measured($last, $title, $this->names->ofStrand($strand));
            }
        }

        return [...$sewn, ...$checked, ...$pressed, ...$measured];
    }

    private function sewnStrand(Strand $strand): Step
    {
        $joins = $this->joinsOf($strand);
        $title = $this->titleOf($strand);

        return new Step(
            StepKind::Join,
            $strand->joins,
            PatchIds::ofJoins($joins),
            [max($strand->joins)],
            $title,
            sprintf('Sew %s: flip %s, right sides together, and sew %s between them, %s%s.', $this->names->ofStrand($strand), $this->flipWords($strand), $this->edgeWords($joins), Words::counted(count($joins), 'seam', 'seams'), $this->inAllBlocks(count($joins) > 1)).$this->slowWords($joins),
            count($joins) * $this->blocks,
        );
    }

    /**
     * @param list<Strand> $strands
     *
     * @return list<Step>
     */
    private function webbed(array $strands): array
    {
        $steps = [];
        $longest = max([0, ...array_map(static fn (Strand $strand): int => count($strand->joins), $strands)]);
        $names = $this->construction->order->stripName($strands[0]->depth) === 'half' ? 'halves' : $this->construction->order->stripName($strands[0]->depth).'s';
        for ($i = 0; $i < $longest; ++$i) {
            $joins = [];
            foreach ($strands as $strand) {
                if (isset($strand->joins[$i])) {
                    $joins[] = $this->construction->joins[$strand->joins[$i]];
                }
            }
            $ids = array_map(static fn (Join $join): int => $join->id, $joins);
            $steps[] = new Step(
                StepKind::Join,
                $ids,
                PatchIds::ofJoins($joins),
                $ids,
                ucfirst($names),
                sprintf('Sew unit %d onto %s in all %s, one after the other; %s.', $i + 2, $i === 0 ? 'the first' : 'what is sewn', $names, $i + 1 < $longest ? 'leave the threads between them uncut' : 'the threads between them keep the '.$names.' in order'),
                count($joins) * $this->blocks,
            );
        }

        return $steps;
    }

    /** @return list<Step> */
    private function lastJoins(Strand $strand): array
    {
        $steps = [];
        foreach ($this->joinsOf($strand) as $i => $join) {
            [$sewn, $next, $title] = $this->names->growing($strand, $i);
            $points = count($join->matchPoints());
            $common = [$join->patchIds(), [$join->id], $title];
            $steps[] = new Step(StepKind::Join, [$join->id], ...$common, text: sprintf(
                'Flip %s onto %s, right sides together, and sew%s%s.',
                $next,
                $sewn,
                $points === 0 ? '' : sprintf(', matching %s', Words::counted($points, 'crossing', 'crossings')),
                $this->inAllBlocks(false),
            ).$this->slowWords([$join]), times: $this->blocks);
            if ($points > 0) {
                $steps[] = new Step(StepKind::Check, [], ...$common, text: $this->checkWords($points), times: $this->blocks);
            }
            $steps[] = new Step(StepKind::Press, [$join->id], ...$common, text: $this->words->pressWords([$join], $sewn, $next).$this->weightWords([$join]), times: $this->blocks);
            if ($join !== $this->construction->root && $join->outline()->isUprightRectangle()) {
                $steps[] = $this->measured($join->id, $title, $this->names->areNumbered(1) ? lcfirst($title) : 'it');
            }
        }

        return $steps;
    }

    /** How several blocks are chained. */
    private function inAllBlocks(bool $hasSeveralSeams): string
    {
        $blocks = $this->blocks;

        return $blocks === 1 ? '' : sprintf(' in each of the %d blocks: %s', $blocks, $hasSeveralSeams ? 'the first of every block in one chain, then the next' : 'all of them in one chain');
    }

    /**
     * Where the needle is turned by hand.
     *
     * @param list<Join> $joins
     */
    private function slowWords(array $joins): string
    {
        $lumps = $this->lumps($joins);

        return $lumps === [] ? '' : sprintf(' Slow down by hand over the %s at %s.', count($lumps) === 1 ? 'lump' : 'lumps', Words::listed($lumps));
    }

    /** @param list<Join> $joins */
    private function weightWords(array $joins): string
    {
        return $this->lumps($joins) === [] ? '' : ' Press the lump flat and lay a weight on it until it is cold.';
    }

    /**
     * Crossings on the seams that lie thicker than a lump, once all is pressed.
     *
     * @param list<Join> $joins
     *
     * @return list<string> where they are
     */
    private function lumps(array $joins): array
    {
        $ends = array_merge(...array_map(static fn (Join $join): array => [$join->seam->from, $join->seam->to], $joins));
        [$xs, $ys] = [array_map(static fn (Point $end): int => $end->x, $ends), array_map(static fn (Point $end): int => $end->y, $ends)];
        $box = [min([PHP_INT_MAX, ...$xs]), min([PHP_INT_MAX, ...$ys]), max([0, ...$xs]), max([0, ...$ys])];
        $places = [];
        foreach ($this->thick as $at) {
            $isNear = $at->x >= $box[0] && $at->x <= $box[2] && $at->y >= $box[1] && $at->y <= $box[3];
            if ($isNear && array_filter($joins, static fn (Join $join): bool => $join->seam->containsInside($at)) !== []) {
                $places[] = implode(', ', $this->construction->face->lattice->toText($at));
            }
        }

        return count($places) > self::MOST_LUMPS ? [sprintf('%d crossings', count($places))] : $places;
    }

    private function checkWords(int $points): string
    {
        return sprintf('Open it and look at the face. %s well enough to leave, or do you unpick a few stitches?', $points === 1 ? 'Does the crossing meet' : sprintf('Do all %d crossings meet', $points));
    }

    private function measured(int $join, string $title, string $name): Step
    {
        $made = $this->construction->joins[$join];
        $size = array_map(Amount::text(...), Remedy::rawSize($this->plan, $join));

        return new Step(
            StepKind::Measure,
            [],
            $made->patchIds(),
            [$join],
            $title,
            sprintf('Measure %s: %s x %s %s from raw edge to raw edge.', $name, $size[0], $size[1], $this->construction->face->block->unit->value),
            $this->blocks,
            sets: [$made->patchIds()],
            size: $size,
        );
    }

    /** @param list<Join> $joins */
    private function edgeWords(array $joins): string
    {
        $isUpright = static fn (Join $join): bool => $join->seam->from->x === $join->seam->to->x;
        $isLevel = static fn (Join $join): bool => $join->seam->from->y === $join->seam->to->y;

        return match (true) {
            array_filter($joins, $isUpright) === $joins => 'the upright edge',
            array_filter($joins, $isLevel) === $joins => 'the level edge',
            default => 'the edge',
        };
    }

    /** @return array{string, string} what its first and its last part are called, where pressing names them */
    private function endsOf(Strand $strand): array
    {
        return $this->names->areNumbered($strand->depth) || count($strand->parts) > 2
            ? ['its first unit', 'its last unit']
            : [$this->names->of($strand->parts[0]), $this->names->of($strand->parts[1])];
    }

    /** "Row 1 out, toward the plain squares. ": as quilters say it, before it is said seam by seam. */
    private function rowWords(Strand $strand): string
    {
        $row = count($strand->joins) > 1 && $this->names->areNumbered($strand->depth) ? ($this->rows[$strand->joins[0]] ?? null) : null;

        return $row === null || str_contains($row->way, ',') ? '' : sprintf('%s %s%s. ', $row->title, $row->way, $row->why === null ? '' : ', '.$row->why);
    }

    private function flipWords(Strand $strand): string
    {
        return $this->names->areNumbered($strand->depth) || count($strand->parts) > 2
            ? 'each unit onto the one before it'
            : sprintf('%s onto %s', $this->names->of($strand->parts[1]), $this->names->of($strand->parts[0]));
    }

    private function titleOf(Strand $strand): string
    {
        return PartNames::title($this->names->ofStrand($strand));
    }

    /** @return non-empty-list<Join> */
    private function joinsOf(Strand $strand): array
    {
        return array_map(fn (int $id): Join => $this->construction->joins[$id], $strand->joins);
    }
}
