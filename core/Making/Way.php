<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Making\Table\Outcome;
use KeenSeam\Core\Making\Table\Table;
use KeenSeam\Core\Measure\Surd;

/** A way to make a unit, read off the carrying-out of its recipe: what is cut, what is done with it, what one batch gives. */
final readonly class Way
{
    /**
     * @param string                 $key          "two-at-a-time"
     * @param string                 $words        as a quilter says it
     * @param list<Piece>            $pieces       that one batch takes
     * @param int                    $own          units in a batch that are built like this one
     * @param int                    $mirror       built and looking like its mirror image
     * @param int                    $lookAlike    built like its mirror image, looking the same
     * @param bool                   $isEitherHand whether the quilter chooses the hand as she sews, one unit at a time
     * @param int                    $seams        sewn for one batch
     * @param bool                   $isOuterBias  whether the unit's outer edges end on the bias
     * @param list<Stage>            $stages       in the order of work
     * @param int                    $parts        of a batch that are finished one by one from what is half made
     * @param int                    $halves       half-made pairs that one such part uses up
     * @param list<array{int, Surd}> $offcuts      small half-square triangles from the waste of a batch, if it is sewn first, and their raw side
     */
    private function __construct(
        public string $key,
        public string $words,
        public string $note,
        public bool $isByChoice,
        public array $pieces,
        public int $own,
        public int $mirror,
        public int $lookAlike,
        public bool $isEitherHand,
        public int $seams,
        public bool $isOuterBias,
        public array $stages,
        public int $parts,
        public int $halves,
        public array $offcuts,
    ) {}

    /** @return self|null null where nothing of what comes out is the unit */
    public static function carriedOut(Recipe $recipe, UnitToMake $unit, CutSizes $sizes): ?self
    {
        $table = new Table($unit, $sizes);
        $recipe->carryOut($table);
        [$own, $mirror, $lookAlike] = [$table->sewnByHand, 0, 0];
        if ($own === 0) {
            $outcome = Outcome::of($table);
            [$own, $mirror, $lookAlike] = $table->isEitherHand ? [$outcome->own + $outcome->mirror + $outcome->lookAlike, 0, 0] : [$outcome->own, $outcome->mirror, $outcome->lookAlike];
        }

        return $own + $mirror + $lookAlike === 0 ? null : new self($recipe->key(), $recipe->words(), $recipe->note(), $recipe->isByChoice(), $table->pieces, $own, $mirror, $lookAlike, $table->isEitherHand || $table->sewnByHand > 0, $table->seams, $table->isOuterBias, $table->stages, $table->parts, $table->halves, $table->offcuts);
    }

    /** Units in a batch that are built like the mirror image, whatever they look like. */
    public function other(): int
    {
        return $this->mirror + $this->lookAlike;
    }

    /** Units of any kind that come out of a batch. */
    public function yields(): int
    {
        return $this->own + $this->other();
    }

    /** Whether it leaves units that look the same and are built the other way, which the plan does not expect. */
    public function givesLookAlikes(): bool
    {
        return $this->lookAlike > 0;
    }

    /** How many parts of batches give the wanted units of each hand; null when this way never makes one of them. */
    public function partsFor(int $need, int $mirrored, BuildChoice $build): ?int
    {
        if ($this->isEitherHand) {
            return self::up($need + $mirrored, intdiv($this->own, $this->parts));
        }
        if ($build === BuildChoice::AsTheyCome && $this->lookAlike > 0 && $this->mirror === 0) {
            return self::up($need + $mirrored, intdiv($this->own + $this->lookAlike, $this->parts));
        }
        // Where both faces are the same, what is built as the mirror image is the other hand.
        $other = $this->other();
        if (($need > 0 && $this->own === 0) || ($mirrored > 0 && $other === 0)) {
            return null;
        }

        return max($need === 0 ? 0 : self::up($need, intdiv($this->own, $this->parts)), $mirrored === 0 ? 0 : self::up($mirrored, intdiv($other, $this->parts)));
    }

    /** How many batches of whole squares so many parts are made from. */
    public function batchesFor(int $parts): int
    {
        return self::up($parts, $this->parts);
    }

    /**
     * The stages of one kind, in order.
     *
     * @param int|null $round only what is done after the cloth was sewn and opened so often; all if null
     *
     * @return list<Stage>
     */
    public function stagesOf(StageKind $do, ?int $round = null): array
    {
        return array_values(array_filter($this->stages, static fn (Stage $stage): bool => $stage->do === $do && ($round === null || $stage->round === $round)));
    }

    /** How often a piece goes to the machine, and is opened, until it is the unit. */
    public function rounds(): int
    {
        return 1 + max([-1, ...array_map(static fn (Stage $stage): int => $stage->round, $this->stagesOf(StageKind::Sew))]);
    }

    private static function up(int $number, int $by): int
    {
        return intdiv($number + $by - 1, $by);
    }
}
