<?php

declare(strict_types=1);

namespace App\Exceptions;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Guide\SeamName;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Pressing\LockNotPossible;
use KeenSeam\Core\Pressing\PressDirection;

/** A change of sides that cannot be, told by what the seams are called, with what there is to draw of it. */
final class NoWheelThere extends \InvalidArgumentException implements KeenSeamProblem
{
    /** @param array<string, mixed> $turn the crossing, and how the seams that meet there would have to lie */
    private function __construct(string $message, public readonly array $turn)
    {
        parent::__construct($message);
    }

    public static function of(LockNotPossible $problem, Construction $construction, Point $crossing): self
    {
        $names = SeamName::all($construction);
        $lattice = $construction->face->lattice;
        $needs = [];
        foreach ($problem->needs as $join => $direction) {
            $needs[] = sprintf('%s lies toward %s', lcfirst($names[$join]->title), $direction === PressDirection::Left ? $names[$join]->left : $names[$join]->right);
        }
        $at = $lattice->toText($crossing);

        return new self(
            sprintf('The seam cannot change sides at %s, %s: the allowances turn like a wheel there only where %s. Your other seams, equal units or the school hold them otherwise. Nothing was changed.', $at[0], $at[1], implode(' and ', $needs)),
            [
                'at' => [$lattice->toLengthNumber($crossing->x)->toFloat(), $lattice->toLengthNumber($crossing->y)->toFloat()],
                'text' => $at,
                'needs' => array_map(static fn (int $join, PressDirection $direction): array => ['join' => $join, 'press' => $direction->value], array_keys($problem->needs), $problem->needs),
            ],
        );
    }

    public function problemCode(): string
    {
        return 'no-wheel';
    }

    public function where(): string
    {
        return '';
    }
}
