<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Recipes;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\GridUnit;
use KeenSeam\Core\Block\PatternUnit;
use KeenSeam\Core\Making\Bench;
use KeenSeam\Core\Making\Recipe;
use KeenSeam\Core\Making\StageKind;
use KeenSeam\Core\Making\StripSet;
use KeenSeam\Core\Making\Table\Table;
use KeenSeam\Core\Making\UnitToMake;
use KeenSeam\Core\Measure\Fraction;

/** Checks and rails: strips sewn lengthwise, then cut across. Only where every place holds one plain patch, and row after row or column after column is sewn. */
final readonly class StripSets implements Recipe
{
    public const KEY = 'strip-sets';

    /**
     * @param non-empty-list<StripSet> $sets
     * @param int                      $bands cut rows that one unit is sewn of
     */
    private function __construct(
        private array $sets,
        private int $bands,
    ) {}

    public static function for(UnitToMake $unit, Bench $bench): array
    {
        $sets = self::sets($unit, $bench);

        $cuts = array_sum(array_map(static fn (StripSet $set): int => array_sum(array_column($set->cuts, 'count')), $sets));

        return $sets === [] ? [] : [new self($sets, intdiv($cuts, $unit->need + $unit->mirrored))];
    }

    /** @return list<StripSet> none where the grid holds more than plain patches, or is sewn neither in rows nor in columns */
    public static function sets(UnitToMake $unit, Bench $bench): array
    {
        $grid = $unit->unit instanceof GridUnit ? $unit->unit->grid : null;
        $byColumns = $bench->order === Order::Columns;
        $areColumns = array_values(array_filter([$byColumns, ! $byColumns], static fn (bool $are): bool => self::isSewnInBands($unit, $are)));
        if ($grid === null || $areColumns === []) {
            return [];
        }
        // Rows as they are sewn are columns of a grid that was turned by a quarter.
        $isUpright = ($unit->first?->placement->turn->swapsSides() ?? false) !== $areColumns[0];
        $bands = [];
        foreach ($grid->cells as $cell) {
            if (! $cell->unit instanceof PatternUnit || $cell->unit->kind() !== 'plain' || $cell->rowSpan !== 1 || $cell->columnSpan !== 1) {
                return [];
            }
            [$band, $place] = $isUpright ? [$cell->column, $cell->row] : [$cell->row, $cell->column];
            $bands[$band][$place] = $cell->unit->fabrics[0]->key;
        }
        $line = static fn (int $number, bool $isColumn): Fraction => $isColumn ? $unit->width->times($grid->columnLine($number)) : $unit->height->times($grid->rowLine($number));
        $span = static fn (int $number, bool $isColumn): Fraction => $line($number + 1, $isColumn)->minus($line($number, $isColumn));
        $found = [];
        foreach ($bands as $band => $fabrics) {
            ksort($fabrics);
            if (count($fabrics) < 2) {
                return [];
            }
            $widths = array_map(static fn (int $place): Fraction => $span($place, ! $isUpright), array_keys($fabrics));
            $set = StripSet::of(array_values($fabrics), $widths, $bench);
            $found[$set->key] = ($found[$set->key] ?? $set)->withCuts($span($band, $isUpright), $unit->need + $unit->mirrored);
        }

        return array_values($found);
    }

    /** Whether all seams within the rows, or within the columns, come before those between them. */
    private static function isSewnInBands(UnitToMake $unit, bool $areColumns): bool
    {
        $isWithin = static fn (Assembly $join): bool => $join instanceof Join && ($join->seam->direction()->y === 0) === $areColumns;
        foreach (array_filter($unit->joins, $isWithin) as $join) {
            if (array_filter($join->children(), static fn (Assembly $part): bool => $part instanceof Join && ! $isWithin($part)) !== []) {
                return false;
            }
        }

        return true;
    }

    public function key(): string
    {
        return self::KEY;
    }

    public function words(): string
    {
        return 'from strips, cut across';
    }

    public function note(): string
    {
        return 'The strips take the place of the single patches.';
    }

    public function isByChoice(): bool
    {
        return true;
    }

    public function carryOut(Table $table): void
    {
        $units = $table->unit->need + $table->unit->mirrored;
        $table->sewnByHand = $units;
        foreach ($this->sets as $set) {
            foreach ($set->pieces() as $piece) {
                $table->pieces[] = $piece;
            }
        }
        $picture = array_map(static fn (StripSet $set): array => $set->picture(), $this->sets);
        $seams = array_sum(array_map(static fn (StripSet $set): int => $set->seamCount(), $this->sets));
        $table->show(StageKind::Lay, 'Lay the strips of a set side by side.', $picture);
        $table->show(StageKind::Sew, 'Sew them together lengthwise, every other seam from the other end.', $picture, $this->sets[0]->seams(), seams: $seams);
        $table->show(StageKind::Press, 'Press as the plan has it.', $picture, isOpened: true);
        $table->show(StageKind::Cut, implode(' ', array_map(static fn (StripSet $set): string => $set->cutWords(), $this->sets)), $picture, knives: $this->sets[0]->knives());
        if ($this->bands > 1) {
            $table->show(StageKind::Sew, 'Sew the cut rows together, seams nested.', [], seams: $units * ($this->bands - 1));
        }
        $table->squareUp('all sides straight', []);
    }
}
