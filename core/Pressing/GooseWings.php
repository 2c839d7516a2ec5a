<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\KnownShape;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PatchesUnit;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Geometry\ConvexPolygon;

/** The two wings of a goose, where a plan presses them two ways: nobody does so who is not told to. */
final readonly class GooseWings
{
    private const KINDS = ['flying-geese', 'triangle-in-square'];

    /** @param array{Join, Join} $wings of the class's first unit; the second part of each is the wing or holds it */
    private function __construct(
        public int $unitClass,
        private array $wings,
    ) {}

    /** @return list<self> */
    public static function pressedTwoWays(PressingPlan $plan): array
    {
        $found = [];
        foreach ($plan->construction->classes as $class) {
            if (! in_array(self::kindOf($class->members[0]), self::KINDS, true)) {
                continue;
            }
            $joins = array_values(array_filter($plan->construction->joins, static fn (Join $join): bool => $join->tie?->unitClass === $class->index && $join->tie->member === 0));
            if (count($joins) !== 2) {
                continue;
            }
            $ways = array_map(static fn (Join $join): string => match ($plan->pressing->of($join)[0]) {
                PressDirection::Open => 'open',
                self::towardWing($join) => 'wing',
                default => 'goose',
            }, $joins);
            if ($ways[0] !== $ways[1]) {
                $found[] = new self($class->index, [$joins[0], $joins[1]]);
            }
        }

        return $found;
    }

    /** @return array<string, list<Lock>> by what is said of it */
    public function alike(): array
    {
        $each = fn (\Closure $direction): array => array_map(static fn (Join $join): Lock => new Lock($join->id, $direction($join)), $this->wings);

        return [
            'both toward the wings' => $each(self::towardWing(...)),
            'both toward the goose' => $each(static fn (Join $join): PressDirection => self::towardWing($join)->swapped()),
            'both open' => $each(static fn (): PressDirection => PressDirection::Open),
        ];
    }

    private static function kindOf(PlacedUnit $unit): string
    {
        return $unit->cell->unit instanceof PatchesUnit
            ? (KnownShape::of(array_map(static fn (Patch $patch): ConvexPolygon => $patch->outline, $unit->patches()))->kind ?? '')
            : $unit->cell->unit->kind();
    }

    /** The wing is the smaller of the two. */
    private static function towardWing(Join $join): PressDirection
    {
        $isLeft = $join->left instanceof Piece && (! $join->right instanceof Piece || $join->left->outline()->areaDoubled() < $join->right->outline()->areaDoubled());

        return $isLeft ? PressDirection::Left : PressDirection::Right;
    }
}
