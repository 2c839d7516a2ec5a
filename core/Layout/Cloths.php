<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\GridUnit;
use KeenSeam\Core\Block\PatternUnit;
use KeenSeam\Core\Block\PieceUnit;
use KeenSeam\Core\Block\Unit;
use KeenSeam\Core\Block\UnitPatterns;

/** The fabrics of a block: which is its ground, and where each of them lies. */
final readonly class Cloths
{
    public function __construct(private Block $block) {}

    /** @throws LayoutNotPossible */
    public function fabric(string $key): Fabric
    {
        return $this->block->fabrics[$key] ?? throw LayoutNotPossible::fabricUnknown($key);
    }

    /** The plain fabric there is most of; where there is none, the lightest. */
    public function background(): Fabric
    {
        $plain = [];
        foreach ($this->block->grid->cells as $cell) {
            if ($cell->unit instanceof PatternUnit && $cell->unit->kind() === 'plain') {
                $key = $cell->unit->fabrics[0]->key;
                $plain[$key] = ($plain[$key] ?? 0) + $cell->rowSpan * $cell->columnSpan;
            }
        }
        if ($plain !== []) {
            arsort($plain);

            return $this->fabric((string) array_key_first($plain));
        }

        return self::lightestFirst($this->block->fabrics)[0];
    }

    /** What a unit's figure is made of where the quilter chose nothing: the darkest. */
    public function figure(): Fabric
    {
        $fabrics = self::lightestFirst($this->block->fabrics);
        $darkest = $fabrics[count($fabrics) - 1]->value;

        return array_values(array_filter($fabrics, static fn (Fabric $fabric): bool => $fabric->value === $darkest))[0];
    }

    public function plain(): PatternUnit
    {
        return new PatternUnit(UnitPatterns::all()['plain'], [$this->background()]);
    }

    /** @return array{Fabric, Fabric, Fabric} the figure, a ground other than it where there is one, and a second figure */
    public function three(string $figure): array
    {
        $chosen = $this->fabric($figure);
        $others = self::lightestFirst(array_filter($this->block->fabrics, static fn (Fabric $fabric): bool => $fabric->key !== $figure));
        $background = $this->background();
        $ground = $background->key === $figure ? ($others[count($others) - 1] ?? $chosen) : $background;
        $rest = array_values(array_filter($others, static fn (Fabric $fabric): bool => $fabric->key !== $ground->key));

        return [$chosen, $ground, $rest[0] ?? $chosen];
    }

    /** @throws LayoutNotPossible when there is no such patch; they are numbered as on the block's face */
    public function painted(int $patch, string $fabric): Block
    {
        [$count, $paint] = [0, $this->fabric($fabric)];
        $painted = $this->everywhere(static function (Fabric $now) use (&$count, $patch, $paint): Fabric {
            return $count++ === $patch ? $paint : $now;
        });

        return $patch >= 0 && $patch < $count ? $painted : throw LayoutNotPossible::nothingThere($patch);
    }

    /** Adds the fabric, or puts it in the place of the one with its key, in all its patches. */
    public function with(Fabric $fabric): Block
    {
        $fabrics = [$fabric->key => $fabric] + $this->block->fabrics;
        ksort($fabrics, SORT_NATURAL);

        return $this->everywhere(static fn (Fabric $now): Fabric => $now->key === $fabric->key ? $fabric : $now)->with(fabrics: $fabrics);
    }

    /**
     * @param string|null $instead key of the fabric that takes its place; needed where it is used
     *
     * @throws LayoutNotPossible
     */
    public function without(string $key, ?string $instead): Block
    {
        $gone = $this->fabric($key);
        $fabrics = array_diff_key($this->block->fabrics, [$key => true]);
        if ($fabrics === []) {
            throw LayoutNotPossible::lastFabric();
        }
        $isUsed = false;
        $this->everywhere(static function (Fabric $fabric) use ($key, &$isUsed): Fabric {
            $isUsed = $isUsed || $fabric->key === $key;

            return $fabric;
        });
        if ($isUsed && ($instead === null || $instead === $key)) {
            throw LayoutNotPossible::fabricInUse($gone->name);
        }
        $other = $instead === null ? $gone : $this->fabric($instead);
        ksort($fabrics, SORT_NATURAL);

        return $this->everywhere(static fn (Fabric $fabric): Fabric => $fabric->key === $key ? $other : $fabric)->with(fabrics: $fabrics);
    }

    /** Each fabric of a unit takes the place of the one before it; two simply change places. */
    public static function swapped(Unit $unit): Unit
    {
        $fabrics = [];
        self::inFabrics($unit, static function (Fabric $fabric) use (&$fabrics): Fabric {
            return $fabrics[$fabric->key] = $fabric;
        });
        $next = array_combine(array_keys($fabrics), [...array_slice($fabrics, 1), ...array_slice($fabrics, 0, 1)]);

        return self::inFabrics($unit, static fn (Fabric $fabric): Fabric => $next[$fabric->key]);
    }

    /** The unit in three fabrics: the darkest becomes the figure, the lightest the ground, and what lies between the second figure. */
    public static function inRoles(Unit $unit, Fabric $figure, Fabric $ground, Fabric $second): Unit
    {
        $used = [];
        self::inFabrics($unit, static function (Fabric $fabric) use (&$used): Fabric {
            return $used[$fabric->key] = $fabric;
        });
        usort($used, static fn (Fabric $a, Fabric $b): int => $b->value->rank() <=> $a->value->rank());
        $roles = [];
        foreach ($used as $i => $fabric) {
            $roles[$fabric->key] = $i === 0 ? $figure : ($i === count($used) - 1 ? $ground : $second);
        }

        return self::inFabrics($unit, static fn (Fabric $fabric): Fabric => $roles[$fabric->key]);
    }

    /** @param \Closure(Fabric): Fabric $fabric asked for every piece in the order of the face's patches */
    public static function inFabrics(Unit $unit, \Closure $fabric): Unit
    {
        return match (true) {
            $unit instanceof GridUnit => $unit->withUnits(static fn (Unit $inner): Unit => self::inFabrics($inner, $fabric)),
            $unit instanceof PieceUnit => $unit->inFabrics(static fn (Fabric $now): Fabric => $fabric($now)),
            default => throw new \LogicException('No fabrics to change in a '.$unit->kind().'.'),
        };
    }

    /** @param \Closure(Fabric): Fabric $change */
    private function everywhere(\Closure $change): Block
    {
        return $this->block->with(grid: $this->block->grid->withCells(static fn (Cell $cell): Cell => $cell->holding(self::inFabrics($cell->unit, $change))));
    }

    /**
     * @param array<Fabric> $fabrics
     *
     * @return ($fabrics is non-empty-array ? non-empty-list<Fabric> : list<Fabric>)
     */
    private static function lightestFirst(array $fabrics): array
    {
        usort($fabrics, static fn (Fabric $a, Fabric $b): int => $a->value->rank() <=> $b->value->rank());

        return $fabrics;
    }
}
