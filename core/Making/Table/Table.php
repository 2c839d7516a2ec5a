<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Table;

use KeenSeam\Core\Making\CutSizes;
use KeenSeam\Core\Making\Piece;
use KeenSeam\Core\Making\Stage;
use KeenSeam\Core\Making\StageKind;
use KeenSeam\Core\Making\UnitToMake;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Surd;

/**
 * The cutting table on which a recipe is carried out: cloth is taken, laid, marked, sewn, cut and opened, and every stage is
 * written down as it is done.
 *
 * Sizes are exact, in steps so small that halves of halves are whole. A piece laid on top lies face down; all places are
 * as seen from above.
 */
final class Table
{
    /** Corners are halved a few times: across a middle, along a diagonal. */
    private const FINE = 16;

    /** @var list<Piece> taken for one batch */
    public array $pieces = [];

    /** @var list<Stage> */
    public array $stages = [];

    /** @var list<Cloth> units that came out, raw; or finished outlines where they were sewn patch by patch */
    public array $made = [];

    /** @var list<array{int, Surd}> how many small half-square triangles the waste gives, and their raw side */
    public array $offcuts = [];

    /** Seams sewn for one batch. */
    public int $seams = 0;

    /** Parts of a batch that can be finished one by one, from what is half made. */
    public int $parts = 1;

    /** Half-made pairs that one such part uses up. */
    public int $halves = 0;

    /** Whether the quilter chooses the hand of each as she sews. */
    public bool $isEitherHand = false;

    /** Units of a batch, where they are sewn one by one as the plan says or with other seams than drawn. */
    public int $sewnByHand = 0;

    public bool $isOuterBias = false;

    public readonly RootTwo $allowance;

    private readonly int $steps;

    /** @var list<list<Cloth>> what lies on the table: things, each with its layers */
    private array $things = [];

    /** @var array{list<array{Place, Place}>, list<array{Place, Place}>, list<array{Place, Place}>} lines drawn, sewn and cut on the first thing */
    private array $lines = [[], [], []];

    private int $round = 0;

    public function __construct(
        public readonly UnitToMake $unit,
        public readonly CutSizes $sizes,
    ) {
        $steps = $sizes->allowance->denominator;
        foreach ($unit->lengths() as $length) {
            $steps = Fraction::leastCommonMultiple($steps, $length->denominator);
        }
        $this->steps = $steps * self::FINE;
        $this->allowance = $this->size(Surd::of($sizes->allowance));
    }

    /** A length in steps of the table. */
    public function size(Surd $length): RootTwo
    {
        $whole = fn (Fraction $part): int => $part->numerator * intdiv($this->steps, $part->denominator);

        return RootTwo::of($whole($length->whole), $whole($length->root));
    }

    public function length(Fraction $length): RootTwo
    {
        return $this->size(Surd::of($length));
    }

    /** One of the pieces, as it is cut. */
    public function take(Piece $piece): Cloth
    {
        $this->pieces[] = $piece;

        return Cloth::rectangle($piece->fabric, $this->size($piece->width), $this->size($piece->height));
    }

    /**
     * Clears the table and lays things on it.
     *
     * @param list<list<Cloth>> $things each with its layers, the lowest first
     */
    public function lay(string $words, array $things): void
    {
        [$this->things, $this->lines] = [$things, [[], [], []]];
        $this->note(StageKind::Lay, $words);
    }

    public function mark(string $words, Line ...$lines): void
    {
        $this->draw(0, $lines);
        $this->note(StageKind::Mark, $words);
    }

    /** @param int $seams how many seams are sewn so in one batch */
    public function sew(string $words, int $seams, Line ...$lines): void
    {
        $this->draw(1, $lines);
        $this->seams += $seams;
        $this->note(StageKind::Sew, $words);
    }

    /**
     * Stitches that begin and end within the cloth.
     *
     * @param list<array{Place, Place}> $stretches
     */
    public function sewStretches(string $words, array $stretches): void
    {
        array_push($this->lines[1], ...$stretches);
        $this->seams += count($stretches);
        $this->note(StageKind::Sew, $words);
    }

    public function cut(string $words, Line ...$lines): void
    {
        $this->draw(2, $lines);
        $this->note(StageKind::Cut, $words);
    }

    /** @param list<Cloth> $things what is left when it is cut */
    public function cutTo(string $words, array $things, Line ...$lines): void
    {
        $this->cut($words, ...$lines);
        $this->things = array_map(static fn (Cloth $thing): array => [$thing], $things);
        $this->lines = [[], [], []];
    }

    /** @param list<Cloth> $things that come of what lay there */
    public function openAndPress(string $words, array $things): void
    {
        $this->things = array_map(static fn (Cloth $thing): array => [$thing], $things);
        $this->lines = [[], [], []];
        ++$this->round;
        $this->note(StageKind::Press, $words);
    }

    /** @param list<Cloth> $things as they lie then */
    public function turn(string $words, array $things): void
    {
        $this->things = array_map(static fn (Cloth $thing): array => [$thing], $things);
        $this->note(StageKind::Turn, $words);
    }

    /** @param list<Cloth> $units what comes out of the batch */
    public function squareUp(string $how, array $units): void
    {
        $this->made = $units;
        $this->things = array_map(static fn (Cloth $unit): array => [$unit], $units);
        $this->lines = [[], [], []];
        $this->note(StageKind::Trim, sprintf('Square up to %s: %s; two sides, half a turn, two more.', $this->unit->rawText($this->sizes->allowance), $how));
    }

    /**
     * Two layers with a seam on each side of the line, one allowance away, cut along it and opened.
     *
     * @return list<Cloth>
     */
    public function besideBoth(Cloth $under, Cloth $over, Line $line, Line ...$kept): array
    {
        return [$this->opened($under, $over, $line->movedIn($this->allowance), ...$kept), $this->opened($under, $over, $line->reversed()->movedIn($this->allowance), ...$kept)];
    }

    /** Two layers stitched along the seam, cut to what lies on the kept sides, the upper one opened out. */
    public function opened(Cloth $under, Cloth $over, Line $seam, Line ...$kept): Cloth
    {
        return $under->cutTo($seam, ...$kept)->with($over->cutTo($seam, ...$kept)->foldedOver($seam));
    }

    /** @return list<Line> the seams on both sides of lines */
    public function beside(Line ...$lines): array
    {
        return array_merge(...array_map(fn (Line $line): array => [$line->movedIn($this->allowance), $line->reversed()->movedIn($this->allowance)], array_values($lines)));
    }

    /**
     * A stage with pictures of its own, for pieces of any shape.
     *
     * @param list<list<array{fabric: string, points: list<array{float, float}>, isBack: bool}>> $cloth
     * @param list<array{array{float, float}, array{float, float}}>                              $stitches
     * @param list<array{array{float, float}, array{float, float}}>                              $knives
     */
    public function show(StageKind $do, string $words, array $cloth, array $stitches = [], int $seams = 0, bool $isOpened = false, array $knives = []): void
    {
        $this->round += $isOpened ? 1 : 0;
        $this->seams += $seams;
        $this->stages[] = new Stage($do, $words, max(1, count($cloth)), $cloth, stitches: $stitches, knives: $knives, round: $this->round);
    }

    /** The first line from corner to corner of a square from 0, 0, falling to the right. */
    public static function falling(): Line
    {
        return Line::through(new Place(RootTwo::of(0), RootTwo::of(0)), 1, 1);
    }

    /** The other line from corner to corner, of a square with that side. */
    public static function rising(RootTwo $side): Line
    {
        return Line::through(new Place(RootTwo::of(0), $side), 1, -1);
    }

    /**
     * @param 0|1|2                  $kind  drawn, sewn or cut
     * @param array<array-key, Line> $lines
     */
    private function draw(int $kind, array $lines): void
    {
        $outline = self::outlineOf($this->things[0] ?? []);
        foreach ($lines as $line) {
            $stretch = $line->within($outline);
            if ($stretch !== null) {
                $this->lines[$kind][] = $stretch;
            }
        }
    }

    /**
     * @param list<Cloth> $layers
     *
     * @return list<Place> of the box round the lowest layer
     */
    private static function outlineOf(array $layers): array
    {
        if ($layers === []) {
            return [];
        }
        [$left, $top, $right, $bottom] = $layers[0]->bounds();

        return [new Place($left, $top), new Place($right, $top), new Place($right, $bottom), new Place($left, $bottom)];
    }

    private function note(StageKind $do, string $words): void
    {
        $place = fn (Place $place): array => [round($place->x->toFloat() / $this->steps, 4), round($place->y->toFloat() / $this->steps, 4)];
        $lines = array_map(static fn (array $lines): array => array_map(static fn (array $line): array => [$place($line[0]), $place($line[1])], $lines), $this->lines);
        $cloth = array_map(static fn (array $layers): array => array_merge(...array_map(static fn (Cloth $layer): array => array_map(static fn (array $patch): array => [
            'fabric' => $patch[0],
            'points' => array_map($place, $patch[1]),
            'isBack' => $patch[2],
        ], $layer->patches), $layers)), $this->things);
        $this->stages[] = new Stage($do, $words, max(1, count($cloth)), $cloth, $lines[0], $lines[1], $lines[2], $this->round);
    }
}
