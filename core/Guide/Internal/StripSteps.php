<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide\Internal;

use KeenSeam\Core\Assembly\ClassKinship;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\FaceSide;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Strand;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Guide\Chain;
use KeenSeam\Core\Guide\PartNames;
use KeenSeam\Core\Guide\RowWords;
use KeenSeam\Core\Guide\SeamWords;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\StepKind;
use KeenSeam\Core\Guide\Words;
use KeenSeam\Core\Listed;
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

    /** @var array<int, Patch> by id */
    private array $patches;

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
        $this->patches = array_column($plan->construction->face->patches, null, 'id');
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
        [$sewn, $checked, $pressed, $measured] = [[], [], [], []];
        [$chains, $alone] = $this->chains($strands);
        foreach ($chains as $chain) {
            foreach ($this->isOfUnits($this->construction->joins[$chain[0]->joins[0]]) ? $this->chained($chain) : $this->likesChained($chain) as $step) {
                match ($step->do) {
                    StepKind::Join => $sewn[] = $step,
                    StepKind::Check => $checked[] = $step,
                    StepKind::Press => $pressed[] = $step,
                    default => $measured[] = $step,
                };
            }
        }
        $isWebbed = $this->chain === Chain::Webbed && count($alone) > 1 && $chains === [];
        $sewn = [...$sewn, ...$isWebbed ? $this->webbed($alone) : array_map($this->sewnStrand(...), $alone)];
        foreach ($alone as $strand) {
            $joins = $this->joinsOf($strand);
            $title = $this->titleOf($strand);
            $points = array_sum(array_map(static fn (Join $join): int => count($join->matchPoints()), $joins));
            $patches = PatchIds::ofJoins($joins);
            $last = max($strand->joins);
            if ($points > 0) {
                $checked[] = new Step(StepKind::Check, [], $patches, [$last], $title, $this->checkWords($points), $this->blocks);
            }
            $pressed[] = new Step(StepKind::Press, $strand->joins, $patches, [$last], $title, $this->rowWords($strand).$this->words->pressWords($joins, ...$this->names->endsOf($strand)).$this->weightWords($joins), count($joins) * $this->blocks);
            // Only what has upright edges is as wide and as high as a ruler says.
            if ($this->construction->joins[$last]->outline()->isUprightRectangle()) {
                $measured[] = $this->measured($last, $title, $this->names->ofStrand($strand));
            }
        }

        return [...$sewn, ...$checked, ...$pressed, ...$measured];
    }

    /**
     * Pairs that are as large as each other and lie the same way, and likes of pieces: they are fed one after the other.
     *
     * @param list<Strand> $strands
     *
     * @return array{list<non-empty-list<Strand>>, list<Strand>} chains of two and more, and what is sewn by itself
     */
    private function chains(array $strands): array
    {
        $alike = [];
        foreach ($strands as $strand) {
            $join = $this->construction->joins[$strand->joins[0]];
            $isOne = count($strand->joins) === 1 && ! $this->names->areNumbered($strand->depth) && count(array_unique($this->plan->pressing->of($join), SORT_REGULAR)) === 1;
            $key = match (true) {
                ! $isOne => 'alone '.$strand->joins[0],
                $this->isOfUnits($join) => implode(' ', [$this->edgeWords([$join]), ...Remedy::rawSize($this->plan, $join->id)]),
                default => ClassKinship::handKeyOf(array_map(fn (int $id): Patch => $this->patches[$id], $join->patchIds()), $join->outline(), false),
            };
            $alike[$key][] = $strand;
        }
        $chains = array_filter($alike, static fn (array $group): bool => count($group) > 1);

        return [array_values($chains), array_merge(...array_values(array_diff_key($alike, $chains)))];
    }

    /** Whether whole cells are sewn to each other, not pieces within one. */
    private function isOfUnits(Join $join): bool
    {
        return $join->outline()->isUprightRectangle() && ! $this->names->isOneCell($join);
    }

    /**
     * Pieces that are alike: sewn, and pressed toward the same cloth.
     *
     * @param non-empty-list<Strand> $strands
     *
     * @return list<Step>
     */
    private function likesChained(array $strands): array
    {
        $joins = array_map(fn (Strand $strand): Join => $this->construction->joins[$strand->joins[0]], $strands);
        $ids = array_map(static fn (Join $join): int => $join->id, $joins);
        $title = $this->words->sewnWords($joins[0]);
        $common = [$ids, PatchIds::ofJoins($joins), $ids, $title];
        $toward = [];
        foreach ($joins as $i => $join) {
            // Of two alike nobody knows which is meant but by where it lies.
            $toward[Words::sides($join)[0] === Words::ONE_SIDE ? $this->sideWords($join) : $this->words->unitPressWords($join)][] = $strands[$i];
        }
        $press = array_map(fn (string $side, array $where): string => count($toward) === 1 ? $side : sprintf('%s in %s', $side, $this->names->ofAll($where)), array_keys($toward), $toward);
        $steps = [
            new Step(StepKind::Join, ...$common, text: sprintf(
                'Sew %s, one after the other as a chain that starts on a scrap, and you have %s%s.',
                $title,
                $this->names->ofAll($strands),
                $this->blocks === 1 ? '' : sprintf(' of each of the %d blocks', $this->blocks),
            ).$this->slowWords($joins), times: count($joins) * $this->blocks),
            new Step(StepKind::Press, ...$common, text: sprintf('Press %s.%s', implode('; ', $press), $this->weightWords($joins)), times: count($joins) * $this->blocks),
        ];

        return $joins[0]->outline()->isUprightRectangle() ? [...$steps, $this->measured($ids[0], $title, 'one of them, '.$this->names->ofStrand($strands[0]))] : $steps;
    }

    /**
     * All pairs of a chain at the machine, then under the eye, at the iron and under the ruler.
     *
     * @param non-empty-list<Strand> $strands
     *
     * @return list<Step>
     */
    private function chained(array $strands): array
    {
        $joins = array_map(fn (Strand $strand): Join => $this->construction->joins[$strand->joins[0]], $strands);
        $ids = array_map(static fn (Join $join): int => $join->id, $joins);
        $title = sprintf('%d pairs', count($joins));
        $isUpright = $this->edgeWords($joins) === 'the upright edge';
        $common = [$ids, $patches = PatchIds::ofJoins($joins), $ids, $title];
        $points = array_sum(array_map(static fn (Join $join): int => count($join->matchPoints()), $joins));
        $toward = [];
        foreach ($joins as $i => $join) {
            $toward[$this->sideWords($join)][] = $strands[$i];
        }
        $press = array_map(fn (string $side, array $where): string => count($toward) === 1 ? $side.' in all' : sprintf('%s in %s', $side, $this->names->ofAll($where)), array_keys($toward), $toward);
        $steps = [new Step(StepKind::Join, ...$common, text: sprintf(
            'Sew %s, one after the other as a chain: flip the %s part of each onto the %s, right sides together, and sew %s%s.',
            $this->names->ofAll($strands),
            $isUpright ? 'right' : 'lower',
            $isUpright ? 'left' : 'upper',
            $this->edgeWords($joins),
            $this->blocks === 1 ? '' : sprintf(' in each of the %d blocks: the first pair of every block, then the next', $this->blocks),
        ).$this->slowWords($joins), times: count($joins) * $this->blocks)];
        if ($points > 0) {
            $steps[] = new Step(StepKind::Check, [], $patches, $ids, $title, $this->checkWords($points), $this->blocks);
        }
        $steps[] = new Step(StepKind::Press, ...$common, text: sprintf('Press %s.%s', implode('; ', $press), $this->weightWords($joins)), times: count($joins) * $this->blocks);

        return [...$steps, $this->measured($ids[0], $title, 'one of the pairs, '.$this->names->ofStrand($strands[0]))];
    }

    /** "to the right", "down", "open": as it lies seen on the face. */
    private function sideWords(Join $join): string
    {
        $side = $this->plan->pressing->of($join)[0]->onFace(FaceSide::ofLeftPart($join));

        return in_array($side, [FaceSide::Left->value, FaceSide::Right->value], true) ? 'to the '.$side : $side;
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
        $name = $this->names->strip($strands[0]->depth);
        $names = $name === 'half' ? 'halves' : $name.'s';
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
                sprintf('Sew %s %d onto %s in all %s, one after the other; %s.', $this->names->partsOf($strands[0]), $i + 2, $i === 0 ? 'the first' : 'what is sewn', $names, $i + 1 < $longest ? 'leave the threads between them uncut' : 'the threads between them keep the '.$names.' in order'),
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

        return $lumps === [] ? '' : sprintf(' Slow down by hand over the %s at %s.', count($lumps) === 1 ? 'lump' : 'lumps', Listed::of($lumps));
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
        return sprintf('Open it and look at the face. %s %s meet well enough to leave, or do you unpick a few stitches?', $points === 1 ? 'Does' : 'Do', Words::allOf($points, 'crossing', 'crossings'));
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

    /** "Row 1 out, toward the plain squares. ": as quilters say it, before it is said seam by seam. */
    private function rowWords(Strand $strand): string
    {
        $row = count($strand->joins) > 1 && $this->names->areNumbered($strand->depth) ? ($this->rows[$strand->joins[0]] ?? null) : null;

        return $row === null || str_contains($row->way, ',') ? '' : sprintf('%s %s%s. ', $row->title, $row->way, $row->why === null ? '' : ', '.$row->why);
    }

    private function flipWords(Strand $strand): string
    {
        return $this->names->areNumbered($strand->depth) || count($strand->parts) > 2
            ? sprintf('each %s onto the one before it', $this->names->partsOf($strand))
            : vsprintf('%2$s onto %1$s', $this->names->two($strand));
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
